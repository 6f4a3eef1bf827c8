import { LEAST_FIGURE, MOST_FIGURE, type Quantity, type Source } from '@rough-gear/core';
import Joi from 'joi';

const SOURCES: readonly Source[] = ['sheet', 'typed', 'measured', 'estimated', 'typical'];

/** Sums stay finite: nothing of a robot is smaller or larger. */
const figure = Joi.number().custom((value: number, helpers) =>
  value !== 0 && !(Math.abs(value) >= LEAST_FIGURE && Math.abs(value) <= MOST_FIGURE)
    ? helpers.message({ custom: `must be 0, or between ${LEAST_FIGURE} and ${MOST_FIGURE} in size` })
    : value,
);

const quantity = (si: Joi.NumberSchema) =>
  Joi.object<Quantity, true>({
    si: si.required(),
    as: Joi.string().max(80).allow('').required(),
    source: Joi.string()
      .valid(...SOURCES)
      .required(),
    from: Joi.string().max(500),
    error: Joi.number().min(0).max(MOST_FIGURE),
    trial: Joi.string().max(80),
  });

/** A figure of any sign. */
export const anyQuantity = quantity(figure);
/** Greater than zero: everything that is divided by. */
export const positive = quantity(figure.greater(0));
/** Zero or greater. */
export const notNegative = quantity(figure.min(0));
/** A share of 0…1. */
export const share = quantity(figure.min(0).max(1));
/** An efficiency: a share greater than 0. */
export const efficiency = quantity(figure.greater(0).max(1));
/** A slope within ±90°. */
export const slope = quantity(figure.min(-Math.PI / 2).max(Math.PI / 2));
/** A lead or flank angle, over 0° and under 90°. */
export const angle = quantity(figure.greater(0).less(Math.PI / 2));
/** An electrical angle that a motor is timed ahead by: 0 … 60°. */
export const advance = quantity(figure.min(0).max(Math.PI / 3));
/** American wire gauge of a robot's wires. */
export const gauge = quantity(figure.min(0).max(36));
/** A temperature in °C. */
export const temperature = quantity(figure.min(-60).max(400));
/** A lap of angle either way: where an arm stands. */
export const bearing = quantity(figure.min(-2 * Math.PI).max(2 * Math.PI));
/** One or more, and not beyond reason: a count, an exponent. */
export const atLeastOne = quantity(figure.min(1).max(100));
/** None or more of something. */
export const countOf = quantity(figure.integer().min(0).max(100));
/** Matches in a row: no day has more. */
export const rounds = quantity(figure.min(1).max(20));
/** What an hour holds, s. */
export const withinAnHour = quantity(figure.greater(0).max(3600));
