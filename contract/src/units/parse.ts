import type { Dimension } from '@rough-gear/core';
import { displayText, siSpelling } from './display.js';
import { readNumber, type ReadNumber } from './readNumber.js';
import { readTrade } from './trade.js';
import { unit, UNITS, unitsOf, type UnitSystem } from './units.js';

/** What a person typed, understood: or refused with the reason and an example that would be. */
export type Parsed =
  | { readonly ok: true; readonly si: number; readonly understood: string }
  | { readonly ok: false; readonly reason: string; readonly example: string; readonly choices?: readonly string[] };

/**
 * Reads a figure as the trade writes it. A bare number takes the unit the field shows; "lb", "oz" and
 * "kg" are a force where the field is one. Nothing is guessed: what is unclear is asked about.
 */
export function parseQuantity(text: string, dimension: Dimension, system: UnitSystem = 'metric'): Parsed {
  const cleaned = clean(text);
  if (cleaned === '') return refuse(dimension, 'nothing was typed');
  const trade = readTrade(cleaned, dimension);
  if (trade !== undefined) return finish(trade, dimension, system);

  const read: ReadNumber = readNumber(cleaned);
  if (!read.ok) return { ...refuse(dimension, read.reason), choices: read.choices };
  const rest = read.rest;
  if (rest === '') return finish(fromBare(read.value, dimension, system), dimension, system);
  const spelled = spellUnit(rest, dimension);
  try {
    const expected = siSpelling(dimension);
    if (dimension === 'share' && spelled === 'percent') return finish(read.value / 100, dimension, system);
    if (expected === '') return refuse(dimension, `${quote(rest)} has no place here`);
    if (dimension === 'temperature') return finish(unit(read.value, spelled).to('degC').value, dimension, system);
    return finish(read.value * unit(1, spelled).to(expected).value, dimension, system);
  } catch {
    return refuse(dimension, `${quote(rest)} is not understood as a ${dimension}`);
  }
}

function fromBare(value: number, dimension: Dimension, system: UnitSystem): number {
  // A share may be typed as 95 or 0.95: nobody means 0.95 %.
  if (dimension === 'share') return value > 1 ? value / 100 : value;
  const { spelled } = unitsOf(dimension, system)[0]!;
  if (spelled === '') return value;
  if (dimension === 'temperature') return unit(value, spelled).to('degC').value;
  return value * unit(1, spelled).to(siSpelling(dimension)).value;
}

function finish(si: number, dimension: Dimension, system: UnitSystem): Parsed {
  if (!Number.isFinite(si)) return refuse(dimension, 'that is no finite number');
  if (Math.abs(si) > GREATEST) return refuse(dimension, 'that is beyond anything a robot has');
  return { ok: true, si: Number(si.toPrecision(14)), understood: displayText(si, dimension, system, 4) };
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
