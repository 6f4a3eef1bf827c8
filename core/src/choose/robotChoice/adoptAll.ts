import { withoutUnused } from '../../path/edits/unused.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import { inPlace } from '../shortlist/adopt.js';
import type { RobotOption } from './option.js';

/**
 * The changes that put a choice for all mechanisms into the plan at once: each found design in place of the choice in
 * force, under a name of its own; what is to stay as it is stays. Parts and branches nothing hangs on any more go.
 *
 * @example adoptAll(plan, []).length //=> 0
 */
export function adoptAll(plan: Plan, taken: readonly RobotOption[]): readonly Change[] {
  const put = taken.reduce<readonly Change[]>(
    (changes, { mechanism, found }) =>
      found ? [...changes, ...inPlace(applyChanges(plan, changes), mechanism, found)] : changes,
    [],
  );
  return put.length === 0 ? [] : [...put, ...withoutUnused(plan, applyChanges(plan, put))];
}
