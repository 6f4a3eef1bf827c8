import type { PlanSummary } from '@rough-gear/contract';
import { evaluate, type PlanResult } from '@rough-gear/core';
import type { ListedPlan } from './store.js';

const judged = new Map<string, PlanResult>();
const MOST_KEPT = 200;

/** What is wrong in a plan at a glance; judged once a revision. */
export function summaryOf({ id, revision, savedAt, deletedAt, document }: ListedPlan): PlanSummary {
  const key = `${id}:${revision}`;
  let result = judged.get(key);
  if (!result) {
    result = evaluate(document);
    if (judged.size >= MOST_KEPT) judged.clear();
    judged.set(key, result);
  }
  return {
    id,
    revision,
    savedAt,
    name: document.name,
    deletedAt,
    mechanisms: result.mechanisms.map((mechanism) => ({
      id: mechanism.id,
      name: mechanism.name,
      kind: mechanism.kind,
      headline: mechanism.headline,
    })),
  };
}
