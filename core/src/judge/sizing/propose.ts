import { MOST } from '../../plan/document/most.js';
import type { Plan } from '../../plan/document/plan.js';
import { WISHES } from '../../path/job/table.js';
import type { WishPlan } from '../../path/job/wish.js';
import { proposeDc } from './proposeDc.js';
import { proposeServo } from './proposeServo.js';
import { proposeStep } from './proposeStep.js';
import type { Proposal, Shelved, Wish } from './proposal.js';
import { SERVO_USES } from './servoGuide.js';

export type { Proposal, Shelved, Wish } from './proposal.js';

/**
 * A first path for a wish, all marked typical, so that the gauge can answer at once. Throws where the shelf has
 * nothing at all for this pack.
 */
export function proposeMechanism(plan: Plan, wish: Wish, shelf: readonly Shelved[]): Proposal {
  if (plan.mechanisms.length >= MOST.mechanisms)
    throw new Error(`a robot has ${MOST.mechanisms} mechanisms at most: remove one first`);
  const wished = (wish.use ? SERVO_USES[wish.use] : WISHES[wish.kind]).plan(wish.values);
  return proposeFor(plan, wish, wished, shelf);
}

/** The same for jobs and an output that are there already. */
export function proposeFor(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  switch (wish.machine ?? WISHES[wish.kind].machine) {
    case 'dc':
      return proposeDc(plan, wish, wished, shelf);
    case 'step':
    case 'step-servo':
      return proposeStep(plan, wish, wished, shelf);
    case 'servo':
      return proposeServo(plan, wish, wished, shelf);
  }
}
