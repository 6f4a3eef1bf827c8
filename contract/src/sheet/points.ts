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

/** The lines of a servo's sheet, told for one voltage or for several in any of the ways sheets do, as points by their volts. */
export function servoPoints(entries: readonly Entry[]): Points {
  const read = new Set<Entry>();
  const values: AtVolts[] = [];
  const doubtful: Doubtful[] = [];
  let supply: { readonly entry: Entry; readonly volts: readonly Value[]; readonly range: boolean } | undefined;
  for (const entry of entries) {
    if (isVoltsAlone(entry.label)) {
      read.add(entry);
      values.push(...underVolts(entry));
      continue;
    }
    const fields = fieldsCalled('servo', entry.label).filter(({ name }) => pointFields.has(name));
    if (fields.length === 0) continue;
    const volts = fields.find(({ name }) => name === 'voltage');
    if (volts) {
      const told = valuesIn(entry.value, 'voltage', unitOfLabel(entry.label));
      if (told.length === 0) continue;
      read.add(entry);
      supply ??= { entry, volts: told, range: told.length === 2 && RANGE.test(told[1]!.figure.gap) };
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
      doubtful.push({
        ...asked.doubt,
        name: `points.0.${asked.doubt.name}`,
        choices: asked.doubt.choices.map((one) => ({ ...one, name: `points.0.${one.name}` })),
      });
    }
  }
  const given = supply?.volts.map(({ told }) => told[0]!.si!) ?? [];
  const placed = values.map((one) => place(one, given, supply?.range ?? false));
  const allVolts = [...new Set([...placed.flatMap(({ volts }) => (volts === undefined ? [] : [volts]))])].sort(
    (a, b) => a - b,
  );
  if (allVolts.length === 0 && supply && !supply.range) allVolts.push(...given.slice(0, MOST_POINTS));
  const told: Told[] = [];
  const at = (volts: number) => allVolts.slice(0, MOST_POINTS).indexOf(volts);
  for (const [i, volts] of allVolts.slice(0, MOST_POINTS).entries()) {
    const from = given.includes(volts) ? supply?.entry : placed.find((one) => one.volts === volts)?.entry;
    if (from) told.push({ name: `points.${i}.voltage`, si: volts, as: `${volts} V`, line: from.line, at: from.at });
  }
  for (const { field, entry, value, volts } of placed) {
    const outcome = settled(field, entry, value);
    if (!outcome) continue;
    const { line, at: number } = entry;
    if (volts === undefined) {
      const as = value.figure.as;
      const choices = (allVolts.length > 0 ? allVolts.slice(0, MOST_POINTS).map((_, i) => i) : [0]).flatMap((i) =>
        value.told.map((one) => ({ ...one, line, at: number, name: `points.${i}.${field.name}` })),
      );
      doubtful.push({ line, at: number, name: choices[0]!.name, as, reason: 'at which volts?', choices });
    } else if (at(volts) >= 0) {
      const name = `points.${at(volts)}.${field.name}`;
      if ('told' in outcome) told.push({ ...outcome.told, name });
      else doubtful.push({ ...outcome.doubt, name, choices: outcome.doubt.choices.map((one) => ({ ...one, name })) });
    }
  }
  if (supply?.range) {
    const { entry, volts } = supply;
    const top = volts.at(-1)!.told[0]!;
    told.push({ ...top, name: 'highestVoltage', line: entry.line, at: entry.at });
  }
  return { told, doubtful, read };
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
