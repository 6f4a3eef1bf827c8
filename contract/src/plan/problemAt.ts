import type { Plan } from '@rough-gear/core';
import type { ValidationErrorItem } from 'joi';
import { planSchema } from './plan.js';
import { problemOf } from './read.js';

/** What the schema has against a figure: a bound of it, in its own SI unit, or else a reason in words. */
export type FigureProblem = { readonly least: number } | { readonly most: number } | { readonly reason: string };

/**
 * What the schema has against a figure that was put in a place: why the plan could not be saved with it; `undefined`
 * where nothing is. Other parts, mechanisms and scripts are left out, so that it takes no longer than a keystroke may.
 *
 * @param at the place of the figure: "parts", the part's id, and so on
 */
export function problemAt(document: Plan, at: readonly (string | number)[]): FigureProblem | undefined {
  const [list, which] = at;
  const part = which === undefined ? undefined : document.parts[which];
  const mechanism = document.mechanisms[Number(which)];
  const about: Plan = {
    ...document,
    scripts: [],
    reasons: [],
    parts: list === 'parts' && part ? { [String(which)]: part } : {},
    mechanisms: list === 'mechanisms' && mechanism ? [mechanism] : [],
  };
  const { error } = planSchema.validate(about, { convert: false, errors: { wrap: { label: false } } });
  return error && told(error.details[0]!);
}

function told(detail: ValidationErrorItem): FigureProblem {
  const limit: unknown = detail.context?.limit;
  if (typeof limit === 'number' && detail.type === 'number.max') return { most: limit };
  if (typeof limit === 'number' && detail.type === 'number.min') return { least: limit };
  if (detail.type === 'number.integer') return { reason: 'a whole number is allowed' };
  return { reason: problemOf(detail).reason };
}
