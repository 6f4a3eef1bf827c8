import type { Words } from '../../plan/words/phrase.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { digits } from '../../plan/words/show.js';
import type { Job, Output } from '../../plan/document/load.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Stage } from '../../plan/document/stage.js';
import type { MachineKind } from '../powerpath/path.js';

/** What may be asked for: a motor that takes pulses is a stepper, or a step-driven servo. */
export type WishMachine = MachineKind | 'step-servo';

/** A number asked for when a mechanism is added. */
export interface WishField {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly hint: Words;
  /** Left empty, a typical value stands in. */
  readonly optional?: true;
  /** It may be nothing at all: an empty tip, an arm of no weight. */
  readonly orNone?: true;
}

export type WishValues = Readonly<Partial<Record<string, Quantity>>>;

/** What a wish comes to: jobs, an output, and what that takes at the output shaft. */
export interface WishPlan {
  readonly jobs: readonly Job[];
  readonly output: Output;
  /** Stages behind the one that is tuned. */
  readonly behind: readonly Stage[];
  /** Speed of the shaft behind the tuned stage at its fastest, rad/s. */
  readonly shaftSpeed: number;
  /** Power at the output, W. */
  readonly power: number;
  readonly motors: number;
}

/** One kind of mechanism as it is asked for: the numbers that decide, and what they come to. */
export interface WishKind {
  readonly title: string;
  readonly says: string;
  readonly name: string;
  readonly fields: readonly WishField[];
  /** What turns such a thing as a rule. */
  readonly machine: WishMachine;
  plan(values: WishValues): WishPlan;
}

/** From so many kilograms on a thing is as heavy as a large robot’s: bigger wheels and drums, more motors. */
const HEAVY = 8;
export const EVERY: WishField = {
  key: 'every',
  label: 'how often: once every',
  dimension: 'time',
  hint: '15 s, typical',
  optional: true,
};
export const TIME = (hint: Words): WishField => ({ key: 'time', label: 'in what time', dimension: 'time', hint });
export const MASS = (label: string, hint: Words): WishField => ({ key: 'mass', label, dimension: 'mass', hint });
export const FAR = (hint: Words): WishField => ({ key: 'distance', label: 'how far', dimension: 'length', hint });
export const ANGLE = (hint: Words): WishField => ({ key: 'angle', label: 'by what angle', dimension: 'angle', hint });

export const typicalOf = (si: number, as: string): Quantity => quantityOf(si, as, 'typical');
export const millimetres = (metres: number): Quantity => typicalOf(metres, `${digits(metres * 1000)} mm`);

/** A figure that was asked for. Throws where it is not there: the screen asks first. */
export function need(values: WishValues, key: string): Quantity {
  const found = values[key];
  if (!found) throw new Error(`${key} is needed`);
  return found;
}

/** The three that every job takes, and how often where it was said. */
export const timing = (values: WishValues) => ({
  time: need(values, 'time'),
  ...(values['every'] ? { every: values['every'] } : {}),
});

/** A mass moved straight: how much, how far, and its mean speed, m/s. */
export function straight(values: WishValues) {
  const [mass, distance, time] = [need(values, 'mass'), need(values, 'distance'), need(values, 'time')];
  return { mass, distance, speed: distance.si / time.si };
}

export const heavier = (values: WishValues): boolean => need(values, 'mass').si > HEAVY;
