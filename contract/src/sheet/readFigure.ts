import type { Dimension } from '@rough-gear/core';
import { displayText } from '../units/display.js';
import { parseQuantity } from '../units/parse.js';
import type { Entry } from './entries.js';
import type { SheetField } from './fields.js';
import { figuresIn, type SheetFigure } from './figures.js';
import { unitOfLabel } from './labels.js';
import type { Doubtful, Told } from './reading.js';
import type { SheetUnit } from './spellings.js';

/** Two figures this near are one, told in two units. */
const SAME = 0.03;
/** Between the two ends of a range. */
export const RANGE = /^\s*(?:v(?:dc)?)?\s*(?:-|–|—|~|\.{2,3}|…|to)\s*$/i;
/** Labels that ask for an end: "up to" says no less than they do. */
const OF_AN_END = /max|limit|peak|highest|most|least|min|permissible/i;

/** "Continuous / burst current: 60 A / 80 A". */
const STEADY_FIRST = /^(?:max\.? )?cont/i;

/** Figures that are ends themselves. */
const LIMITS = /Limit$|^highest|^lowest|^continuous/;

/** Units in which a bare number of a dimension may be meant. */
const BARE: Partial<Record<Dimension, readonly string[]>> = {
  torque: ['N·m', 'N·cm', 'mN·m', 'kg·cm', 'oz-in'],
  current: ['A', 'mA'],
  resistance: ['mΩ', 'Ω'],
  inductance: ['mH', 'µH'],
  length: ['mm', 'in'],
  mass: ['g', 'kg', 'oz'],
  charge: ['mAh', 'Ah'],
  speed: ['rpm'],
  turning: ['s/60°', '°/s', 'rpm'],
  angle: ['°'],
  pulse: ['µs'],
  inertia: ['g·cm²', 'kg·cm²'],
  'torque constant': ['N·m/A', 'mN·m/A', 'oz-in/A'],
};
/** What nobody writes in another unit. */
const ALWAYS: Partial<Record<Dimension, string>> = { kv: 'Kv', voltage: 'V', temperature: '°C' };

/** A figure in SI and as the program's own fields read it. */
export interface Figure {
  readonly si: number;
  readonly as: string;
}

/** A value of a text, understood: once, or as what it may be. */
export interface Value {
  readonly figure: SheetFigure;
  readonly told: readonly Figure[];
}

/** What figures of a text may be of a dimension, in order; the same in another unit is left out. */
export function valuesIn(text: string, dimension: Dimension, standing?: SheetUnit): readonly Value[] {
  const fits = standing?.of.includes(dimension) ? standing.unit : ALWAYS[dimension];
  const values = figuresIn(text).flatMap((figure): readonly Value[] => {
    const { unit } = figure;
    if (unit ? !unit.of.includes(dimension) : dimension !== 'number' && fits === undefined) return [];
    const spelled = unit?.of.includes(dimension) ? unit.unit : fits;
    const told = figure.readings.flatMap((reading) =>
      toldBy(spelled === '°' ? `${reading}°` : `${reading} ${spelled ?? ''}`.trim(), dimension),
    );
    return told.length > 0 ? [{ figure, told }] : [];
  });
  return values.filter((value, i) => i === 0 || !alike(values[i - 1]!, value) || sameUnit(values[i - 1]!, value));
}

const sameUnit = (a: Value, b: Value): boolean => a.figure.unit?.unit === b.figure.unit?.unit;
const alike = ({ told: [a] }: Value, { told: [b] }: Value): boolean =>
  Math.abs(a!.si - b!.si) <= SAME * Math.abs(a!.si);

/** One text as the program's own field reads it. */
export function toldBy(as: string, dimension: Dimension): readonly Figure[] {
  const read = parseQuantity(as, dimension);
  return read.ok ? [{ si: read.si, as: as.replace('ohm', 'Ω').replace('us', 'µs') }] : [];
}

export type Outcome = { readonly told: Told } | { readonly doubt: Doubtful } | undefined;

/** The figure of a field in what stands behind its label. */
export function readFigure(field: SheetField, entry: Entry): Outcome {
  const { line, at, value } = entry;
  const { dimension, name } = field;
  if (dimension === 'count') return readCount(field, entry);
  const values = valuesIn(value, dimension, unitOfLabel(entry.label));
  const [first, second] = values;
  if (first && dimension === 'current' && figuresIn(value).some(({ unit }) => unit?.of.includes('time')))
    return { doubt: forAWhile(field, entry, values) };
  if (!first) return bareIn(field, entry);
  if (second) {
    if (STEADY_FIRST.test(entry.label) && !RANGE.test(second.figure.gap)) return settled(field, entry, first);
    const several = (field.either ?? [name]).flatMap((side) =>
      values.flatMap(({ told }) => told).map((told) => ({ line, at, name: side, ...told })),
    );
    const reason = RANGE.test(second.figure.gap) ? 'a range: which end?' : 'several figures stand there';
    return { doubt: { line, at, name, as: value, reason, choices: several } };
  }
  return settled(field, entry, first);
}

/** "60 A (10 s)" is what it stands for so long. */
function forAWhile(
  { name, either = [name] }: SheetField,
  { line, at, value }: Entry,
  values: readonly Value[],
): Doubtful {
  const choices = either.flatMap((side) =>
    values.flatMap(({ told }) => told.map((one) => ({ line, at, name: side, ...one }))),
  );
  return { line, at, name, as: value, reason: 'for a while only: what of it for long?', choices };
}

/** One value: taken where it can be meant in one way only and is no unusual size. */
export function settled(field: SheetField, { line, at, label }: Entry, { figure, told }: Value): Outcome {
  const { name, dimension, usual, either } = field;
  const full = told.map((one) => ({ line, at, name, ...one }));
  const likely = full.filter(({ si }) => si >= usual[0] && si <= usual[1]);
  const doubt = (reason: string, choices: readonly Told[]): Outcome => ({
    doubt: { line, at, name, as: figure.as, reason, choices },
  });
  if (either)
    return doubt(
      'of which side?',
      either.flatMap((side) => likely.map((one) => ({ ...one, name: side }))),
    );
  if (full.length > 1 && likely.length !== 1) return doubt('does the comma part thousands or decimals?', full);
  if (likely.length === 0)
    return doubt(`between ${shown(usual[0], dimension)} and ${shown(usual[1], dimension)} is usual`, full);
  if (figure.bound && !OF_AN_END.test(label) && !LIMITS.test(name))
    return doubt('an end is told, not the value', likely);
  return { told: likely[0]! };
}

const shown = (si: number, dimension: SheetField['dimension']): string =>
  dimension === 'count' ? String(si) : displayText(si, dimension, 'metric', 2);

function readCount(field: SheetField, entry: Entry): Outcome {
  const { line, at, value } = entry;
  const counts = [...value.matchAll(/(?<![\d.,])\d{1,4}(?![\d]|[.,]\d)/g)].map(([text]) => Number(text));
  const choices = counts.map((si) => ({ line, at, name: field.name, si, as: String(si) }));
  const [only, ...more] = choices;
  if (!only) return undefined;
  if (more.length > 0)
    return { doubt: { line, at, name: field.name, as: value, reason: 'several figures stand there', choices } };
  if (only.si >= field.usual[0] && only.si <= field.usual[1]) return { told: only };
  const reason = `between ${field.usual[0]} and ${field.usual[1]} is usual`;
  return { doubt: { line, at, name: field.name, as: value, reason, choices } };
}

/** A number without a unit, or with one that says too little: what it may be is asked. */
function bareIn({ name, dimension, usual }: SheetField, { line, at, value }: Entry): Outcome {
  const figures = figuresIn(value);
  const [figure] = figures;
  if (!figure || figures.length > 1 || dimension === 'count') return undefined;
  const [reading] = figure.readings;
  if (figure.unit) {
    const read = parseQuantity(`${reading} ${figure.unit.unit}`, dimension);
    if (read.ok || !read.choices) return undefined;
    const choices = read.choices.flatMap((as) => toldBy(as, dimension)).map((told) => ({ line, at, name, ...told }));
    return { doubt: { line, at, name, as: figure.as, reason: read.reason, choices } };
  }
  // What stands behind the number is a unit that is not known here: it is not read as another.
  if (/^\s*[\p{L}µΩ°%]/u.test(value.slice(figure.end))) return undefined;
  const choices = figure.readings
    .flatMap((one) => (BARE[dimension] ?? []).flatMap((unit) => toldBy(`${one} ${unit}`, dimension)))
    .filter(({ si }) => si >= usual[0] && si <= usual[1])
    .map((told) => ({ line, at, name, ...told }));
  return choices.length === 0
    ? undefined
    : { doubt: { line, at, name, as: figure.as, reason: 'no unit stands there', choices } };
}
