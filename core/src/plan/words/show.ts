import type { Amount } from './phrase.js';
import type { Dimension } from './dimension.js';

/**
 * Three significant digits without trailing zeros or powers of ten: 0.844, 11.8, 208, 5800.
 *
 * @example digits(1234.567, 4) //=> '1235'
 */
export function digits(value: number, significant = 3): string {
  if (!Number.isFinite(value)) return '—';
  const size = Math.abs(value);
  if (size === 0) return '0';
  const places = Math.max(0, significant - 1 - Math.floor(Math.log10(size)));
  return String(Number(value.toFixed(Math.min(places, 9))));
}

/**
 * So many of something, one of it by its own word, and no more digits than a person reads.
 *
 * @example counted(1, 'servo') //=> '1 servo'
 */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${digits(count, 4)} ${count === 1 ? one : many}`;

const UNITS: Readonly<Record<Dimension, readonly [unit: string, perUnit: number]>> = {
  torque: ['N·m', 1],
  'torque constant': ['N·m/A', 1],
  'back-EMF constant': ['V·s/rad', 1],
  'angular impulse': ['N·m·s', 1],
  speed: ['rpm', Math.PI / 30],
  kv: ['rpm/V', Math.PI / 30],
  voltage: ['V', 1],
  current: ['A', 1],
  resistance: ['mΩ', 1e-3],
  mass: ['kg', 1],
  force: ['N', 1],
  stress: ['MPa', 1e6],
  length: ['m', 1],
  time: ['s', 1],
  angle: ['°', Math.PI / 180],
  velocity: ['m/s', 1],
  acceleration: ['m/s²', 1],
  'angular acceleration': ['rad/s²', 1],
  stiffness: ['N·m/rad', 1],
  'air drag': ['µN·m·s²', 1e-6],
  inertia: ['kg·cm²', 1e-4],
  temperature: ['°C', 1],
  charge: ['Ah', 3600],
  share: ['%', 0.01],
  ratio: [':1', 1],
  number: ['', 1],
  gauge: ['AWG', 1],
  energy: ['J', 1],
  power: ['W', 1],
  drag: ['mA·s/rad', 1e-3],
  inductance: ['mH', 1e-3],
  capacitance: ['nF', 1e-9],
  rate: ['/s', 1],
  pulse: ['µs', 1e-6],
  turning: ['°/s', Math.PI / 180],
  'pin current': ['mA', 1e-3],
  'input resistance': ['Ω', 1],
};

/** Lengths under half a metre are written in these. */
const MILLIMETRES = ['mm', 1e-3] as const;

/**
 * A value as core writes it where a text is kept, a quantity's `as` first of all: "1.48 s", "9.4:1", "30 %".
 *
 * @example show(0.0225, 'length') //=> '22.5 mm'
 */
export function show(value: number, dimension: Dimension, significant = 3): string {
  const [unit, perUnit] =
    dimension === 'length' && value !== 0 && Math.abs(value) < 0.5 ? MILLIMETRES : UNITS[dimension];
  const text = digits(value / perUnit, significant);
  if (unit === '' || unit === '°' || unit === ':1') return `${text}${unit}`;
  return `${text} ${unit}`;
}

/**
 * A value of a sentence in the unit that plans are written with.
 *
 * @example inMetric(amount(400, 'force')) //=> '400 N'
 */
export const inMetric = ({ value, dimension, significant }: Amount): string => show(value, dimension, significant);

/** A multiple that a sum has made a hair less than what was typed is what was typed. */
const HAIR = 1e-12;
/** What is less than this is written as such. */
const LEAST = 0.001;

/**
 * A multiple of the job in three digits, rounded towards the worse, so that it never contradicts the word beside it: 0.9174
 * gives way and reads 0.917×, and 1.2478 is under a wanted 1.25 and reads 1.24×.
 *
 * @example showMultiple(1.2478) //=> '1.24×'
 */
export function showMultiple(multiple: number): string {
  if (!Number.isFinite(multiple)) return '—';
  if (multiple === 0) return '0×';
  if (Math.abs(multiple) < LEAST) return `<${LEAST}×`;
  const places = Math.max(0, 2 - Math.floor(Math.log10(Math.abs(multiple))));
  const scale = 10 ** places;
  return `${(Math.floor(multiple * scale * (1 + HAIR)) / scale).toFixed(places)}×`;
}
