import type { Dimension } from '@rough-gear/core';
import { doubtIn } from './doubtful.js';
import { farOff } from './farOff.js';
import { displayText, siSpelling, withUnit } from './display.js';
import { readNumber, type ReadNumber } from './readNumber.js';
import { readTrade } from './trade.js';
import { HOURS, convert, UNITS, unitsOf, type DisplayUnit, type UnitSystem } from './units.js';

/** What a person typed, understood: or refused with the reason and an example that would be. */
export type Parsed =
  | {
      readonly ok: true;
      readonly si: number;
      readonly understood: string;
      /** What was typed; a bare number with the unit it was read in, so that it means the same ever after. */
      readonly as: string;
    }
  | { readonly ok: false; readonly reason: string; readonly example: string; readonly choices?: readonly string[] };

/**
 * Reads a figure as the trade writes it. A bare number takes the unit that stands in the field, where
 * none stands there the dimension's own; "lb", "oz" and "kg" are a force where the field is one. Nothing
 * is guessed: what is unclear is asked about.
 *
 * @param standing label of the unit the field shows before anything is typed, such as "mm"
 * @param near the value that stands in the field, in SI units: a bare number far from it is asked about
 * @example parseQuantity('44', 'length', 'metric', 'mm') //=> { ok: true, si: 0.044, understood: '44 mm', as: '44 mm' }
 */
export function parseQuantity(
  text: string,
  dimension: Dimension,
  system: UnitSystem = 'metric',
  standing?: string,
  near?: number,
): Parsed {
  const cleaned = clean(text);
  const finish = (si: number, as = text.trim()) => finished(si, as, dimension, system);
  if (cleaned === '') return refuse(dimension, 'nothing was typed');
  const doubt = doubtIn(cleaned, dimension);
  if (doubt) return { ...refuse(dimension, doubt.reason), choices: doubt.choices };
  const trade = readTrade(cleaned, dimension);
  if (trade !== undefined) return finish(trade);

  const read: ReadNumber = readNumber(cleaned);
  if (!read.ok) return { ...refuse(dimension, read.reason), choices: read.choices };
  const rest = read.rest;
  if (rest === '') {
    const units = unitsOf(dimension, system);
    const bare =
      dimension === 'time' && standing === HOURS.label
        ? HOURS
        : (units.find(({ label }) => label === standing) ?? units[0]!);
    const si = fromBare(read.value, dimension, bare);
    const far = near === undefined ? undefined : farOff(cleaned, si, near, dimension, system, bare.label);
    if (far) return { ...refuse(dimension, far.reason), choices: far.choices };
    return finish(si, inUnitOf(text.trim(), dimension, bare));
  }
  const shown = shownUnit(rest, dimension);
  if (shown?.spelled === '') return finish(read.value);
  const spelled = shown?.spelled ?? spellUnit(rest, dimension);
  try {
    const expected = siSpelling(dimension);
    if (dimension === 'share' && spelled === 'percent') return finish(read.value / 100);
    if (expected === '') return refuse(dimension, `${quote(rest)} has no place here`);
    if (dimension === 'temperature') return finish(convert(read.value, spelled, 'degC'));
    return finish(read.value * convert(1, spelled, expected));
  } catch {
    return refuse(dimension, `${quote(rest)} is not understood as a ${dimension}`);
  }
}

function fromBare(value: number, dimension: Dimension, { spelled }: DisplayUnit): number {
  // A share may be typed as 95 or 0.95: nobody means 0.95 %.
  if (dimension === 'share') return value > 1 ? value / 100 : value;
  if (spelled === '') return value;
  if (dimension === 'temperature') return convert(value, spelled, 'degC');
  return value * convert(1, spelled, siSpelling(dimension));
}

/** The unit in which the program itself writes: what it shows, it reads. */
const shownUnit = (text: string, dimension: Dimension): DisplayUnit | undefined =>
  [...unitsOf(dimension, 'metric'), ...unitsOf(dimension, 'inch')].find(({ label }) => clean(label) === text);

/** A bare number with its unit behind it. A share keeps to itself: 0.95 is not 0.95 %. */
const inUnitOf = (text: string, dimension: Dimension, { label }: DisplayUnit): string =>
  dimension === 'share' ? text : withUnit(text, label);

function finished(si: number, as: string, dimension: Dimension, system: UnitSystem): Parsed {
  if (!Number.isFinite(si)) return refuse(dimension, 'that is no finite number');
  if (Math.abs(si) > GREATEST) return refuse(dimension, 'that is beyond anything a robot has');
  return { ok: true, si: Number(si.toPrecision(14)), understood: displayText(si, dimension, system, 4), as };
}

function refuse(dimension: Dimension, reason: string): Extract<Parsed, { ok: false }> {
  return { ok: false, reason, example: UNITS[dimension].example };
}

/** A refusal in a sentence: the reason, and an example where nothing has to be chosen. */
export function refusalText({ reason, example, choices }: Extract<Parsed, { ok: false }>): string {
  return choices ? reason : `${reason}. For example ${example}.`;
}

/** In SI units; the plan's schema takes no number much greater. */
const GREATEST = 1e12;

const quote = (text: string): string => `“${text}”`;

/** One spelling for the signs people paste: dots, dashes, squares, Greek letters. */
function clean(text: string): string {
  return text
    .normalize('NFKC')
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\u00b7\u22c5\u2219*×]/g, ' ')
    .replace(/\u00b0/g, '°')
    .replace(/[\u03a9\u2126]/g, 'ohm')
    .replace(/[\u00b5\u03bc]/g, 'u')
    .replace(/\s+/g, ' ')
    .trim();
}

const AS_FORCE: Readonly<Record<string, string>> = {
  lb: 'lbf',
  lbs: 'lbf',
  oz: 'ozf',
  kg: 'kgf',
  kp: 'kgf',
  g: 'gf',
  ozf: 'ozf',
  pounds: 'lbf',
  pound: 'lbf',
};
const AS_MASS: Readonly<Record<string, string>> = {
  lb: 'lbm',
  lbs: 'lbm',
  pounds: 'lbm',
  pound: 'lbm',
  kgs: 'kg',
  grams: 'g',
};
const SPELLINGS: Readonly<Record<string, string>> = {
  '"': 'in',
  '″': 'in',
  inch: 'in',
  inches: 'in',
  "'": 'ft',
  ft: 'ft',
  feet: 'ft',
  '°': 'deg',
  '°c': 'degC',
  '°f': 'degF',
  c: 'degC',
  f: 'degF',
  sec: 's',
  secs: 's',
  seconds: 's',
  second: 's',
  min: 'minute',
  mins: 'minute',
  minutes: 'minute',
  h: 'hr',
  hours: 'hr',
  amp: 'A',
  amps: 'A',
  a: 'A',
  ma: 'mA',
  volt: 'V',
  volts: 'V',
  v: 'V',
  ohms: 'ohm',
  w: 'W',
  kw: 'kW',
  nm: 'N m',
  ncm: 'N cm',
  mnm: 'mN m',
  n: 'N',
  kn: 'kN',
  rad: 'rad',
  'r/min': 'rpm',
  '1/min': 'rpm',
  rps: '2 pi',
  ah: 'A hr',
  mah: 'mA hr',
  metres: 'm',
  meters: 'm',
  '%': 'percent',
  rpm: 'rpm',
};

/** The units library's spelling: "oz-in" is a torque, "kg" a force where the field is one. */
function spellUnit(text: string, dimension: Dimension): string {
  const forces = dimension === 'force' || dimension === 'torque';
  const words = text
    .replace(/[µμ]/g, 'u')
    .replace(/\^?²|\^2/g, '^2')
    .replace(/(m|s|in|ft|cm|mm)2\b/g, '$1^2')
    .replace(/-/g, ' ')
    .replace(/\//g, ' / ')
    .replace(/\bper\b/gi, '/')
    .split(' ')
    .filter((word) => word !== '');
  const spelled = words.map((word) => {
    const lower = word.toLowerCase();
    if (forces && AS_FORCE[lower]) return AS_FORCE[lower];
    if ((dimension === 'mass' || dimension === 'inertia') && AS_MASS[lower]) return AS_MASS[lower];
    if (lower.startsWith('lbft') || lower === 'ftlb') return 'lbf ft';
    if (lower === 'lbin' || lower === 'inlb') return 'lbf in';
    if (lower === 'ozin') return 'ozf in';
    if (lower === 'kgcm' || lower === 'kgfcm') return 'kgf cm';
    if (dimension === 'temperature' || lower !== 'c' || words.length > 1) return SPELLINGS[lower] ?? word;
    return word;
  });
  return spelled.join(' ');
}
