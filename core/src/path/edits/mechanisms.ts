import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import { withoutGoesOf } from './scripts.js';
import { withoutUnused } from './unused.js';

/** A mechanism taken away, with the branches and the copies of parts that only it used, and its goes in every script. */
export function removeMechanism(plan: Plan, mechanismId: string): readonly Change[] {
  const rest = plan.mechanisms.filter(({ id }) => id !== mechanismId);
  const changes: readonly Change[] = [{ at: ['mechanisms'], to: rest }, ...withoutGoesOf(plan, mechanismId)];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}
