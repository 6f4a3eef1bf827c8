import { digits, worded, type Dimension, type Words } from '@rough-gear/core';
import { HOURS, convert, unitsOf, type DisplayUnit, type UnitSystem } from './units.js';

/** A value as shown: its number and its unit apart, so that they can be set differently. */
export interface Displayed {
  readonly number: string;
  readonly unit: string;
}

const SI: Readonly<Partial<Record<Dimension, string>>> = {
  torque: 'N m',
  'torque constant': 'N m / A',
  'back-EMF constant': 'V s / rad',
  'angular impulse': 'N m s',
  speed: 'rad / s',
  kv: 'rad / s / V',
  voltage: 'V',
  current: 'A',
  resistance: 'ohm',
  mass: 'kg',
  force: 'N',
  stress: 'Pa',
  length: 'm',
  time: 's',
  angle: 'rad',
  velocity: 'm / s',
  acceleration: 'm / s^2',
  'angular acceleration': 'rad / s^2',
  stiffness: 'N m / rad',
  'air drag': 'N m s^2',
  inertia: 'kg m^2',
  temperature: 'degC',
  charge: 'A s',
  energy: 'J',
  power: 'W',
  inductance: 'H',
  capacitance: 'F',
  turning: 'rad / s',
  'pin current': 'A',
  'input resistance': 'ohm',
  rate: 'Hz',
  pulse: 's',
  drag: 'A s / rad',
};

/** The spelling of a dimension's unit inside; empty where it has none. */
export const siSpelling = (dimension: Dimension): string => SI[dimension] ?? '';

const factors = new Map<string, number>();

/** Value in a unit. Linear units are converted by a factor that is asked for once. */
export function inUnit(si: number, dimension: Dimension, { spelled }: DisplayUnit): number {
  if (spelled === '') return si;
  if (spelled === 'percent') return si * 100;
  if (dimension === 'temperature') return convert(si, 'degC', spelled);
  return si * factorOf(dimension, spelled);
}

function factorOf(dimension: Dimension, spelled: string): number {
  const key = `${dimension}:${spelled}`;
  const known = factors.get(key);
  if (known !== undefined) return known;
  const factor = convert(1, siSpelling(dimension), spelled);
  factors.set(key, factor);
  return factor;
}

/** Times from here on are told in hours: nobody counts the seconds of a brush's life. s */
const LONG = 7200;

function chosenUnit(si: number, dimension: Dimension, system: UnitSystem): DisplayUnit {
  const [first, small] = unitsOf(dimension, system);
  const long = dimension === 'time' && Math.abs(si) >= LONG;
  return long ? HOURS : small && Math.abs(si) < 0.5 && si !== 0 ? small : first!;
}

/** A value in the chosen system's unit, three digits unless said otherwise. */
export function display(si: number, dimension: Dimension, system: UnitSystem = 'metric', significant = 3): Displayed {
  const chosen = chosenUnit(si, dimension, system);
  return { number: digits(inUnit(si, dimension, chosen), significant), unit: chosen.label };
}

/** All values of an axis or a column in one unit: that of the value it is chosen by. */
export interface Scale {
  readonly unit: string;
  at(si: number): number;
}

/**
 * The unit that a value is shown in, for all its neighbours too.
 *
 * @example scaleOf(9000, 'time').at(1800) //=> 0.5
 */
export function scaleOf(like: number, dimension: Dimension, system: UnitSystem = 'metric'): Scale {
  const chosen = chosenUnit(like, dimension, system);
  return { unit: chosen.label, at: (si) => inUnit(si, dimension, chosen) };
}

/** The same in one piece: "1.48 s", "9.4:1", "20°". */
export function displayText(si: number, dimension: Dimension, system: UnitSystem = 'metric', significant = 3): string {
  const { number, unit: label } = display(si, dimension, system, significant);
  return withUnit(number, label);
}

/** A number and its unit as they are written: a space between them, but not before a degree or ":1". */
export const withUnit = (number: string, label: string): string =>
  label === '' || label === '°' || label === ':1' ? `${number}${label}` : `${number} ${label}`;

/** What core says, its values in the chosen system's units: the one place where its words get units. */
export const wordsText = (words: Words, system: UnitSystem = 'metric'): string =>
  worded(words, ({ value, dimension, significant }) => displayText(value, dimension, system, significant));
