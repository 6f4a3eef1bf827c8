import type { LinkKind, Need } from './figure.js';
import type { Dimension } from '../words/dimension.js';

/** What stands in for a figure that nobody gave. */
export type Fallback =
  | { readonly typical: number; readonly why: string }
  /** Worked out by a rule from other figures; the rule itself is beside the model that holds it. */
  | { readonly rule: string };

export interface FigureMeta {
  readonly label: string;
  readonly symbol: string;
  readonly dimension: Dimension;
  readonly link: LinkKind;
  readonly need: Need;
  readonly fallback?: Fallback;
  readonly optional?: true;
}

export const figure = (
  label: string,
  symbol: string,
  dimension: Dimension,
  link: LinkKind,
  need: Need,
  fallback?: Fallback,
): FigureMeta => ({ label, symbol, dimension, link, need, fallback });

export const optional = (meta: FigureMeta): FigureMeta => ({ ...meta, optional: true });
export const typical = (value: number, why: string): Fallback => ({ typical: value, why });
export const rule = (text: string): Fallback => ({ rule: text });
