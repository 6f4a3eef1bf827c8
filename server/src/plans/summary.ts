import type { PlanSummary } from '@rough-gear/contract';
import { evaluate } from '@rough-gear/core';
import { readDocument, UnreadablePlan } from './document.js';
import type { ListedPlan } from './store.js';

type Judged = Pick<PlanSummary, 'mechanisms' | 'unreadable'>;

const judged = new Map<string, Judged>();
const MOST_KEPT = 200;

/** What is wrong in a plan at a glance, judged once a revision; or why it cannot be read. */
export function summaryOf({ id, name, revision, savedAt, deletedAt, text }: ListedPlan): PlanSummary {
  const key = `${id}:${revision}`;
  let result = judged.get(key);
  if (!result) {
    result = judgedFrom(text);
    if (judged.size >= MOST_KEPT) judged.clear();
    judged.set(key, result);
  }
  return { id, revision, savedAt, name, deletedAt, ...result };
}

function judgedFrom(text: string): Judged {
  try {
    const { mechanisms } = evaluate(readDocument(text));
    return { mechanisms: mechanisms.map(({ id, name, kind, headline }) => ({ id, name, kind, headline })) };
  } catch (problem) {
    // One odd document must not take the list down with it, whatever is odd about it.
    const why = problem instanceof UnreadablePlan ? problem.message : 'it cannot be evaluated';
    return { mechanisms: [], unreadable: why };
  }
}
