import { withoutUnused } from '../edits/unused.js';
import { LONGEST_NAME } from '../plan/most.js';
import { applyChanges, type Change } from '../plan/change.js';
import { choiceAt, mechanismById } from '../plan/place.js';
import { currentChoice, type Plan } from '../plan/plan.js';
import { foundWords, withFreeIds } from '../shortlist/adopt.js';
import type { RobotOption } from './option.js';

/**
 * The changes that put a choice for all mechanisms into the plan at once: each found design in place of the choice in
 * force, under a name of its own; what is to stay as it is stays. Parts and branches nothing hangs on any more go.
 *
 * @example adoptAll(plan, []).length //=> 0
 */
export function adoptAll(plan: Plan, taken: readonly RobotOption[]): readonly Change[] {
  const put = taken.reduce<readonly Change[]>((changes, { mechanism, found }) => {
    if (!found) return changes;
    const now = applyChanges(plan, changes);
    const adopted = withFreeIds(now, found.changes);
    const there = mechanismById(applyChanges(now, adopted), mechanism);
    const name = foundWords(found).slice(0, LONGEST_NAME);
    return [...changes, ...adopted, { at: choiceAt(plan, there), to: { ...currentChoice(there), name } }];
  }, []);
  return put.length === 0 ? [] : [...put, ...withoutUnused(plan, applyChanges(plan, put))];
}
