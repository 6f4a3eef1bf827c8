import { choiceAt, mechanismById, type Place } from '../../plan/document/place.js';
import { currentChoice, type Choice, type Mechanism, type Plan } from '../../plan/document/plan.js';

/** The open design and the keys that lead to it. */
export interface Design {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly choice: Choice;
  readonly choiceAt: Place;
}

/** Throws where the plan has no such mechanism. */
export function designOf(plan: Plan, mechanismId: string): Design {
  const mechanism = mechanismById(plan, mechanismId);
  return { plan, mechanism, choice: currentChoice(mechanism), choiceAt: choiceAt(plan, mechanism) };
}
