import type { Plan } from '../../plan/document/plan.js';
import { evaluateMechanism, type MechanismResult } from './mechanism.js';

export interface PlanResult {
  readonly name: string;
  readonly mechanisms: readonly MechanismResult[];
}

/**
 * Everything the application knows of a plan: computed from it alone, never stored.
 *
 * @example evaluate(plan).mechanisms.length //=> 10
 */
export function evaluate(plan: Plan): PlanResult {
  return { name: plan.name, mechanisms: plan.mechanisms.map((mechanism) => evaluateMechanism(plan, mechanism)) };
}
