import { applyChanges, type Change } from '../plan/change.js';
import type { Plan } from '../plan/plan.js';
import { withoutUnused } from './unused.js';

/** A mechanism taken away, with the branches and the copies of parts that only it used. */
export function removeMechanism(plan: Plan, mechanismId: string): readonly Change[] {
  const rest = plan.mechanisms.filter(({ id }) => id !== mechanismId);
  const changes: readonly Change[] = [{ at: ['mechanisms'], to: rest }];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}
