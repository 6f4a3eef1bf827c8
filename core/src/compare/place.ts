import { currentChoice, type Choice, type Mechanism, type Plan } from '../plan/plan.js';

/** The open design and the keys that lead to it. */
export interface Design {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly choice: Choice;
  readonly choiceAt: readonly (string | number)[];
}

/** Throws where the plan has no such mechanism. */
export function designOf(plan: Plan, mechanismId: string): Design {
  const mechanism = plan.mechanisms.find(({ id }) => id === mechanismId);
  if (!mechanism) throw new Error(`the plan has no mechanism ${mechanismId}`);
  const choice = currentChoice(mechanism);
  const choiceAt = ['mechanisms', plan.mechanisms.indexOf(mechanism), 'choices', mechanism.choices.indexOf(choice)];
  return { plan, mechanism, choice, choiceAt };
}
