import type { Dimension } from '@rough-gear/core';
import type { Entry } from './entries.js';
import { fieldsCalled, plainLabel, unitOfLabel, voltsIn } from './labels.js';
import { SHEET_FIELDS, type SheetField } from './fields.js';
import { RANGE, readFigure, settled, valuesIn, type Value } from './readFigure.js';
import type { Doubtful, Told } from './reading.js';

/** Figures of a servo that its sheet tells for each voltage. */
export const pointFields: ReadonlySet<string> = new Set([
  'stallTorque',
  'stallForce',
  'speed',
  'velocity',
  'stallCurrent',
  'voltage',
]);
const MOST_POINTS = 4;

interface AtVolts {
  readonly field: SheetField;
  readonly entry: Entry;
  readonly value: Value;
  /** Told for these volts; of several values in a row without volts, the how manieth it is, of how many. */
  readonly volts?: number;
  readonly place?: readonly [number, number];
}

interface Points {
  readonly told: readonly Told[];
  readonly doubtful: readonly Doubtful[];
  /** Entries that were understood, whatever came of them. */
  readonly read: ReadonlySet<Entry>;
}

/** The volts it is fed with, as its sheet has them. */
interface Supply {
  readonly entry: Entry;
  readonly volts: readonly Value[];
  readonly range: boolean;
}

/** What the lines of a sheet say, before it is known which volts each goes with. */
interface Gathered {
  readonly values: readonly AtVolts[];
  readonly doubtful: readonly Doubtful[];
  readonly supply?: Supply;
  readonly read: ReadonlySet<Entry>;
}

/** The lines of a servo's sheet, told for one voltage or for several in any of the ways sheets do, as points by their volts. */
export function servoPoints(entries: readonly Entry[]): Points {
  const { values, doubtful, supply, read } = gathered(entries);
  const given = supply?.volts.map(({ told }) => told[0]!.si!) ?? [];
  const placed = values.map((one) => place(one, given, supply?.range ?? false));
  const volts = voltsOf(placed, given, supply);
  const told: Told[] = [];
  for (const [i, at] of volts.entries()) {
    const from = given.includes(at) ? supply?.entry : placed.find((one) => one.volts === at)?.entry;
    if (from) told.push({ name: `points.${i}.voltage`, si: at, as: `${at} V`, line: from.line, at: from.at });
  }
  const outcomes = placed.flatMap((one) => atPoint(one, volts));
  for (const outcome of outcomes) if ('told' in outcome) told.push(outcome.told);
  if (supply?.range) {
    const { entry, volts: ends } = supply;
    told.push({ ...ends.at(-1)!.told[0]!, name: 'highestVoltage', line: entry.line, at: entry.at });
  }
  return {
    told,
    doubtful: [...doubtful, ...outcomes.flatMap((outcome) => ('doubt' in outcome ? [outcome.doubt] : []))],
    read,
  };
}

function gathered(entries: readonly Entry[]): Gathered {
  const read = new Set<Entry>();
  const values: AtVolts[] = [];
  const doubtful: Doubtful[] = [];
  let supply: Supply | undefined;
  for (const entry of entries) {
    if (isVoltsAlone(entry.label)) {
      read.add(entry);
      values.push(...underVolts(entry));
      continue;
    }
    const fields = fieldsCalled('servo', entry.label).filter(({ name }) => pointFields.has(name));
    if (fields.length === 0) continue;
    if (fields.some(({ name }) => name === 'voltage')) {
      const volts = valuesIn(entry.value, 'voltage', unitOfLabel(entry.label));
      if (volts.length === 0) continue;
      read.add(entry);
      supply ??= { entry, volts, range: volts.length === 2 && RANGE.test(volts[1]!.figure.gap) };
      continue;
    }
    const found = fields
      .map((field) => ({ field, values: pairsOf(field, entry) }))
      .find((one) => one.values.length > 0);
    if (found) {
      read.add(entry);
      values.push(...found.values.map((value) => ({ ...value, field: found.field, entry })));
      continue;
    }
    const asked = fields.map((field) => readFigure(field, entry)).find((one) => one !== undefined);
    if (asked && 'doubt' in asked) {
      read.add(entry);
      doubtful.push(doubtAt(asked.doubt, (name) => `points.0.${name}`));
    }
  }
  return { values, doubtful, supply, read };
}

/** A doubt of a figure, under other names. */
const doubtAt = (doubt: Doubtful, named: (name: string) => string): Doubtful => ({
  ...doubt,
  name: named(doubt.name),
  choices: doubt.choices.map((choice) => ({ ...choice, name: named(choice.name) })),
});

/** The volts of its points, the lowest first. */
function voltsOf(placed: readonly AtVolts[], given: readonly number[], supply?: Supply): readonly number[] {
  const all = [...new Set(placed.flatMap(({ volts }) => (volts === undefined ? [] : [volts])))].sort((a, b) => a - b);
  return (all.length === 0 && supply && !supply.range ? given : all).slice(0, MOST_POINTS);
}

/** What a figure says of the point of its volts; a question where nobody knows which that is. */
function atPoint(
  { field, entry, value, volts: its }: AtVolts,
  volts: readonly number[],
): readonly ({ readonly told: Told } | { readonly doubt: Doubtful })[] {
  const outcome = settled(field, entry, value);
  if (!outcome) return [];
  const { line, at } = entry;
  if (its === undefined) {
    const choices = (volts.length > 0 ? volts.map((_, i) => i) : [0]).flatMap((i) =>
      value.told.map((one) => ({ ...one, line, at, name: `points.${i}.${field.name}` })),
    );
    return [{ doubt: { line, at, name: choices[0]!.name, as: value.figure.as, reason: 'at which volts?', choices } }];
  }
  const point = volts.indexOf(its);
  if (point < 0) return [];
  const name = `points.${point}.${field.name}`;
  return 'told' in outcome ? [{ told: { ...outcome.told, name } }] : [{ doubt: doubtAt(outcome.doubt, () => name) }];
}

const isVoltsAlone = (label: string): boolean => plainLabel(label) === '' && voltsIn(label).length === 1;

/** "6.0 V: 11.2 kg·cm, 0.14 s/60°, 2.4 A stall": what a figure is, its unit says. */
function underVolts(entry: Entry): readonly AtVolts[] {
  const volts = Number(voltsIn(entry.label)[0]!.readings[0]);
  const of = (name: string, dimension: Dimension): readonly AtVolts[] => {
    const field = SHEET_FIELDS.servo.find((one) => one.name === name)!;
    const values = valuesIn(entry.value, dimension);
    return values.length === 1 ? [{ field, entry, value: values[0]!, volts }] : [];
  };
  const stall = /stall/i.test(entry.value) ? of('stallCurrent', 'current') : [];
  return [...of('stallTorque', 'torque'), ...of('speed', 'turning'), ...stall];
}

/** The values of a field with the volts each is told for. */
function pairsOf(field: SheetField, entry: Entry): readonly Pick<AtVolts, 'value' | 'volts' | 'place'>[] {
  const dimension = field.dimension as Dimension;
  const values = valuesIn(entry.value, dimension, unitOfLabel(entry.label.replace(/\(?[\d.,/ v-]+v\)?/gi, ' ')));
  if (values.length === 0 || values.length > MOST_POINTS) return [];
  // The same in two columns of units, for the volts of the label.
  const [first] = values;
  if (voltsIn(entry.label).length === 1 && values.every((value) => value.told[0]!.si === first!.told[0]!.si))
    return [{ value: first!, volts: Number(voltsIn(entry.label)[0]!.readings[0]) }];
  const told = [voltsIn(entry.value), voltsIn(entry.label)].find((volts) => volts.length === values.length);
  return values.map((value, i) => ({
    value,
    volts: told ? Number(told[i]!.readings[0]) : undefined,
    place: told ? undefined : [i, values.length],
  }));
}

/** Without volts of its own it is told for those of the supply, where there are as many; of a range that is asked. */
function place(one: AtVolts, supply: readonly number[], range: boolean): AtVolts {
  if (one.volts !== undefined || !one.place || range) return one;
  const [i, of] = one.place;
  return supply.length === of ? { ...one, volts: supply[i]! } : one;
}
