import type { Dimension, Part, Quantity } from '@rough-gear/core';
import { displayText, type UnitSystem } from '../units/index.js';
import { cellOf, sourceCell, unitOf } from './fields/cell.js';
import { valueAt, type PartField } from './fields/field.js';
import { fieldsOfPart } from './fields/table.js';

/** One field in which two versions of a part differ, as a person reads it. */
export interface Difference {
  readonly key: string;
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

/** Numbers that went through a file and its units are the same to this. */
const SAME = 1e-9;

/** Whether a field says the same in two parts; figures by value and source, however they were typed. */
export function alike({ type }: PartField, a: unknown, b: unknown): boolean {
  if (a === undefined || b === undefined) return a === b;
  if (type.is !== 'figure') return JSON.stringify(a) === JSON.stringify(b);
  const [x, y] = [a as Quantity, b as Quantity];
  return sameNumber(x.si, y.si) && x.source === y.source && (x.from ?? '') === (y.from ?? '');
}

const sameNumber = (x: number, y: number): boolean => Math.abs(x - y) <= SAME * Math.max(Math.abs(x), Math.abs(y));

const figureText = (field: PartField, dimension: Dimension, { si, as }: Quantity, system?: UnitSystem): string =>
  system ? displayText(si, dimension, system, 4) : as || `${cellOf(field, { si })} ${unitOf(field)}`;

/** A value with its unit, and its source where that is what differs. */
function shown(field: PartField, value: unknown, withSource: boolean, system: UnitSystem | undefined): string {
  if (value === undefined) return 'not given';
  const text =
    field.type.is === 'figure'
      ? figureText(field, field.type.dimension, value as Quantity, system)
      : cellOf(field, value, system);
  return withSource ? `${text.trim()} (${sourceCell(value)})` : text.trim();
}

/**
 * Where two versions of a part differ, field by field. Figures stand as they were typed, as the report on a file says them,
 * or in the units of one system.
 */
export function differencesOf(before: Part, after: Part, system?: UnitSystem): readonly Difference[] {
  return fieldsOfPart(after).flatMap((field) => {
    const [a, b] = [valueAt(before, field.key), valueAt(after, field.key)];
    if (alike(field, a, b)) return [];
    const figures = field.type.is === 'figure' && a !== undefined && b !== undefined;
    const onlySource = figures && sameNumber((a as Quantity).si, (b as Quantity).si);
    return [
      {
        key: field.key,
        label: field.label,
        before: shown(field, a, onlySource, system),
        after: shown(field, b, onlySource, system),
      },
    ];
  });
}
