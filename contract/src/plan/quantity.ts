import type { Quantity, Source } from '@rough-gear/core';
import Joi from 'joi';

const SOURCES: readonly Source[] = ['sheet', 'typed', 'measured', 'estimated', 'typical'];

const quantity = (si: Joi.NumberSchema) =>
  Joi.object<Quantity, true>({
    si: si.required(),
    as: Joi.string().max(80).allow('').required(),
    source: Joi.string()
      .valid(...SOURCES)
      .required(),
    from: Joi.string().max(500),
  });

/** A figure of any sign. */
export const anyQuantity = quantity(Joi.number());
/** Greater than zero: everything that is divided by. */
export const positive = quantity(Joi.number().greater(0));
/** Zero or greater. */
export const notNegative = quantity(Joi.number().min(0));
/** A share of 0…1. */
export const share = quantity(Joi.number().min(0).max(1));
/** An efficiency: a share greater than 0. */
export const efficiency = quantity(Joi.number().greater(0).max(1));
/** A slope within ±90°. */
export const slope = quantity(
  Joi.number()
    .min(-Math.PI / 2)
    .max(Math.PI / 2),
);
/** A lead or flank angle, over 0° and under 90°. */
export const angle = quantity(
  Joi.number()
    .greater(0)
    .less(Math.PI / 2),
);
/** American wire gauge of a robot's wires. */
export const gauge = quantity(Joi.number().min(0).max(36));
/** A temperature in °C. */
export const temperature = quantity(Joi.number().min(-60).max(400));
/** A lap of angle either way: where an arm stands. */
export const bearing = quantity(
  Joi.number()
    .min(-2 * Math.PI)
    .max(2 * Math.PI),
);
/** One or more, and not beyond reason: a count, an exponent. */
export const atLeastOne = quantity(Joi.number().min(1).max(100));
/** None or more of something. */
export const countOf = quantity(Joi.number().integer().min(0).max(100));
/** Matches in a row: no day has more. */
export const rounds = quantity(Joi.number().min(1).max(20));
/** What an hour holds, s. */
export const withinAnHour = quantity(Joi.number().greater(0).max(3600));
