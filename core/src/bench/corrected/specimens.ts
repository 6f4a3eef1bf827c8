import type { MeasuredFigure } from '../trials/measured.js';
import { meanOf } from '../trials/means.js';

/** One figure of one specimen. */
export interface SpecimenFigure {
  readonly specimen: string;
  readonly value: number;
}

export interface KindFigure extends MeasuredFigure {
  /** How many different ones were measured. */
  readonly specimens: number;
}

/**
 * A kind by its specimens: the mean of them, and as its error how far they scatter from one to the next: the next one that
 * is bought is another again. Several trials of one specimen count as their mean.
 *
 * @returns `undefined` with fewer than two specimens
 * @example kindOf([{ specimen: 'tape 1', value: 0.1 }, { specimen: 'tape 2', value: 0.12 }]) //=> { value: 0.11, error: 0.01414, specimens: 2 }
 */
export function kindOf(figures: readonly SpecimenFigure[]): KindFigure | undefined {
  const by = new Map<string, number[]>();
  for (const { specimen, value } of figures) by.set(specimen, [...(by.get(specimen) ?? []), value]);
  const means = [...by.values()].map((values) => meanOf(values).value);
  if (means.length < 2) return undefined;
  const { value, error } = meanOf(means);
  return { value, error: error * Math.sqrt(means.length), specimens: means.length };
}
