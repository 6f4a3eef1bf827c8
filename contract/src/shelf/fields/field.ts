import type { Dimension, Part } from '@rough-gear/core';

/** One thing a kind of part says of itself: what the shelf's form, its file and its comparisons are made of. */
export interface PartField {
  /** Keys to the value in the part, joined by dots; what is in a list is counted from 0. */
  readonly key: string;
  readonly label: string;
  readonly type: FieldType;
  /** Only in parts of this form. */
  readonly form?: 'sheet' | 'kv' | 'turns';
  /** A table shows it at first. */
  readonly main?: boolean;
  /** A part cannot be without it. */
  readonly needed?: boolean;
}

export type FieldType =
  | { readonly is: 'figure'; readonly dimension: Dimension }
  | { readonly is: 'count' }
  | { readonly is: 'text' }
  | { readonly is: 'yes' }
  | { readonly is: 'choice'; readonly options: readonly (string | number)[] }
  /** Several of some words. */
  | { readonly is: 'words'; readonly options: readonly string[] }
  /** "12, 14, 15" */
  | { readonly is: 'counts' }
  /** "8 = 101; 16 = 001": a setting and its switches. */
  | { readonly is: 'switches' }
  /** "10 > 40, 9 > 36": driver and driven wheel of each stage. */
  | { readonly is: 'pairs' };

type More = Pick<PartField, 'form' | 'main' | 'needed'>;

export const figure = (key: string, label: string, dimension: Dimension, more: More = {}): PartField => ({
  key,
  label,
  type: { is: 'figure', dimension },
  ...more,
});
export const count = (key: string, label: string, more: More = {}): PartField => ({
  key,
  label,
  type: { is: 'count' },
  ...more,
});
export const text = (key: string, label: string, more: More = {}): PartField => ({
  key,
  label,
  type: { is: 'text' },
  ...more,
});
export const yes = (key: string, label: string): PartField => ({ key, label, type: { is: 'yes' } });
export const choice = (
  key: string,
  label: string,
  options: readonly (string | number)[],
  more: More = {},
): PartField => ({ key, label, type: { is: 'choice', options }, ...more });
export const words = (key: string, label: string, options: readonly string[], more: More = {}): PartField => ({
  key,
  label,
  type: { is: 'words', options },
  ...more,
});

/** What a key leads to in a part; `undefined` where there is nothing. */
export function valueAt(part: Part, key: string): unknown {
  return key
    .split('.')
    .reduce<unknown>(
      (node, step) => (typeof node === 'object' && node !== null ? (node as Record<string, unknown>)[step] : undefined),
      part,
    );
}

/** A copy of an object with one value set, or taken away; lists and objects on the way are made. */
export function withValue(node: unknown, key: string, value: unknown): unknown {
  const [step = '', ...rest] = key.split('.');
  const isList = Array.isArray(node) || (node === undefined && /^\d+$/.test(step));
  if (isList) {
    const copy: unknown[] = Array.isArray(node) ? [...(node as unknown[])] : [];
    copy[Number(step)] = rest.length === 0 ? value : withValue(copy[Number(step)], rest.join('.'), value);
    return copy;
  }
  const record = { ...(node as Record<string, unknown> | undefined) };
  const next = rest.length === 0 ? value : withValue(record[step], rest.join('.'), value);
  if (next === undefined) return Object.fromEntries(Object.entries(record).filter(([name]) => name !== step));
  return { ...record, [step]: next };
}
