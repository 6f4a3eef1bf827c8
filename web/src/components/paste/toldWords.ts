import { cellOf, fieldsOf, valueAt } from '@rough-gear/contract/shelf';
import { keyOf, type Told } from '@rough-gear/contract/sheet';
import type { Part } from '@rough-gear/core';

/** What a figure of a sheet is called on the part's own form. */
export function labelOf(part: Part, name: string): string {
  const key = keyOf(part, name);
  return fieldsOf(part.kind).find((field) => field.key === key)?.label ?? name;
}

/** Words and lists of words as they are read out. */
export const shownNow = (value: string | boolean | readonly string[]): string =>
  typeof value === 'boolean' ? (value ? 'yes' : 'no') : typeof value === 'string' ? value : value.join(', ');

/** What a part cannot be without and nothing was told of: as it stands now. */
export function unsaidOf(part: Part, told: readonly Told[]): string {
  const keys = new Set(told.map(({ name }) => keyOf(part, name)));
  return fieldsOf(part.kind)
    .filter(
      ({ key, needed, type }) =>
        needed && type.is !== 'figure' && key !== 'name' && key !== 'data.form' && !keys.has(key),
    )
    .map((field) => `${field.label} ${cellOf(field, valueAt(part, field.key))}`)
    .join(', ');
}
