import type { Part, Quantity } from '@rough-gear/core';
import { withValue } from '../shelf/fields/field.js';
import { fieldsOf } from '../shelf/fields/table.js';
import type { Told } from './reading.js';

const LONGEST_LINE = 200;

/** Where a name stands in a part: a motor's figures by the way it is given stand together. */
export function keyOf(part: Part, name: string): string {
  const inData = `data.${name}`;
  return fieldsOf(part.kind).some(({ key }) => key === inData) && !fieldsOf(part.kind).some(({ key }) => key === name)
    ? inData
    : name;
}

/** How a motor's figures are given, by which of them there are. */
function formOf(names: ReadonlySet<string>): 'sheet' | 'kv' | 'turns' {
  if (names.has('kv') || names.has('resistance')) return 'kv';
  return names.has('turns') ? 'turns' : 'sheet';
}

/** A part with what was told of it: figures say that a sheet has them, and on which line. */
export function takeInto(part: Part, told: readonly Told[]): Part {
  let taken: unknown = part;
  if (part.kind === 'motor') {
    const given = told.filter(({ name }) => keyOf(part, name).startsWith('data.'));
    const form = formOf(new Set(given.map(({ name }) => name)));
    // Figures of another way are not kept: they would say something that is not read any more.
    if (given.length > 0 && form !== part.data.form) taken = withValue(taken, 'data', { form });
  }
  for (const one of [...told].sort((a, b) => a.name.localeCompare(b.name)))
    taken = withValue(taken, keyOf(part, one.name), valueOf(part, one));
  return withoutGaps(taken as Part);
}

/** A point that was left out leaves no hole in the list. */
const withoutGaps = (part: Part): Part =>
  part.kind === 'servo' ? { ...part, points: part.points.filter((point) => point !== undefined) } : part;

function valueOf(part: Part, { name, si, value, as, line }: Told): unknown {
  const type = fieldsOf(part.kind).find(({ key }) => key === keyOf(part, name))?.type;
  if (si === undefined) return typeof value === 'string' ? value.slice(0, 120) : value;
  if (type?.is !== 'figure') return si;
  const quantity: Quantity = { si, as, source: 'sheet', from: line.slice(0, LONGEST_LINE) };
  return quantity;
}
