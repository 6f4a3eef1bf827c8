import type { Mechanism, Plan } from './plan.js';

/** A plan in which one of a mechanism's choices is in force, and the mechanism in it. The same where it is already. */
export function withChoice(
  plan: Plan,
  mechanism: Mechanism,
  choiceId: string,
): { readonly plan: Plan; readonly mechanism: Mechanism } {
  if (mechanism.current === choiceId) return { plan, mechanism };
  const other: Mechanism = { ...mechanism, current: choiceId };
  return {
    plan: { ...plan, mechanisms: plan.mechanisms.map((one) => (one === mechanism ? other : one)) },
    mechanism: other,
  };
}
