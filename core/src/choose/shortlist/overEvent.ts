import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import { eventChecks, worsened } from '../../judge/ledger/eventRungs.js';

/** What a design does to the event's limits: those it passes, and those that were passed and would be by more. */
export type EventWorsened = ReturnType<typeof worsened>;

/**
 * How designs stand against the event's limits, asked of one after the other. Its wheels are taken for those that are there:
 * an open total has none yet.
 */
export function eventFor(plan: Plan): (design: { readonly changes: readonly Change[] }) => EventWorsened {
  const now = eventChecks(plan);
  return ({ changes }) => {
    if (now.length === 0) return { passed: [], more: [] };
    const drive = changes.filter(({ at }) => !at.includes('stages') && !at.includes('tuning'));
    return worsened(now, eventChecks(applyChanges(plan, drive)));
  };
}
