import { PLAN_FORMAT, PLAN_VERSION, type Plan } from '@rough-gear/core';
import type { ValidationErrorItem } from 'joi';
import { migrate } from './migrate.js';
import { planSchema } from './plan.js';
import { shortened, type Problem } from './problem.js';
import { checkReferences } from './references.js';
import { textProblems } from './text.js';

export type PlanRead =
  { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * Holds a document against the schema and its references. The one gate for the API, the file import
 * and the command line. From the second version on, older documents are brought up to date here first.
 */
export function readPlan(document: unknown): PlanRead {
  const newer = newerThanThis(document);
  if (newer) return { ok: false, problems: [newer] };
  const { error, value } = planSchema.validate(migrate(document), {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  if (error) return { ok: false, problems: error.details.slice(0, 20).map(problemOf).map(shortened) };
  const plan = value as Plan;
  const problems = [...textProblems(plan), ...checkReferences(plan)].slice(0, 20).map(shortened);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, plan };
}

/** A plan of a later version may differ in anything: that is said, and nothing else of it. */
function newerThanThis(document: unknown): Problem | undefined {
  if (typeof document !== 'object' || document === null) return undefined;
  const { format, version } = document as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT || typeof version !== 'number' || version <= PLAN_VERSION) return undefined;
  return {
    field: 'version',
    reason: `is ${version}, of a newer version of the program: this one reads up to ${PLAN_VERSION}`,
  };
}

/** The same from a file's text. */
export function readPlanText(text: string): PlanRead {
  try {
    return readPlan(JSON.parse(text));
  } catch (problem) {
    return { ok: false, problems: [{ field: 'file', reason: `is not JSON: ${(problem as Error).message}` }] };
  }
}

/** A problem of the schema as a person reads it. */
export function problemOf({ path, message, context }: ValidationErrorItem): Problem {
  const field =
    path.reduce<string>(
      (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${key}` : key),
      '',
    ) || 'document';
  const label = context?.label ?? '';
  const reason = message.startsWith(label) ? message.slice(label.length).replace(/^:? /, '') : message;
  const value: unknown = context?.value;
  const shown =
    typeof value === 'number' || typeof value === 'string' ? ` (is ${JSON.stringify(value).slice(0, 60)})` : '';
  return { field, reason: `${reason}${shown}` };
}
