import { applyChanges, clashIn, type Change, type Plan } from '@rough-gear/core';
import type { problemAt } from '@rough-gear/contract/plan';
import { shallowRef } from 'vue';

/** What reads a plan comes when the first field is gone into: no page waits for it. */
const reader = shallowRef<typeof problemAt>();

export async function fetchReader(): Promise<void> {
  // Without the server nothing is refused here: what cannot be saved is said then when it is sent.
  const fetched = reader.value ? undefined : await import('@rough-gear/contract/plan').catch(() => undefined);
  if (fetched) reader.value = fetched.problemAt;
}

/**
 * Why the plan would not take a change, in a sentence: it goes against another figure, or could not be saved.
 *
 * @param show a bound of what is changed, with its unit
 */
export function refusedByPlan(document: Plan, change: Change, show: (bound: number) => string): string | undefined {
  const next = applyChanges(document, [change]);
  const [list, which] = change.at;
  const copy = list === 'parts' ? next.parts[String(which)] : undefined;
  const clash = copy && clashIn(copy.part);
  if (clash) return clash;
  const problem = reader.value?.(next, change.at);
  if (!problem) return undefined;
  if ('most' in problem) return `at most ${show(problem.most)} is allowed`;
  if ('least' in problem) return `at least ${show(problem.least)} is allowed`;
  return problem.reason;
}
