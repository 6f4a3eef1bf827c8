import { applyChanges, type Change } from './change.js';
import { currentChoice, type Choice, type Mechanism, type Plan } from './plan.js';

/** As many ways to do a mechanism's jobs as are kept side by side. */
export const MOST_CHOICES = 4;

/** A choice's name has no room for more. */
export const LONGEST_NAME = 60;

/**
 * Changes to the choice in force made into another choice beside it, which is put in force. Whatever they change outside
 * the mechanism stays as they say. Throws where as many are kept as there may be.
 */
export function besideChanges(
  plan: Plan,
  mechanismId: string,
  changes: readonly Change[],
  name: string,
): readonly Change[] {
  const m = plan.mechanisms.findIndex(({ id }) => id === mechanismId);
  const mechanism = plan.mechanisms[m];
  if (!mechanism) throw new Error(`the plan has no mechanism ${mechanismId}`);
  if (mechanism.choices.length >= MOST_CHOICES)
    throw new Error(`${MOST_CHOICES} choices are kept side by side: remove one first`);
  const made = currentChoice(applyChanges(plan, changes).mechanisms[m]!);
  const added: Choice = { ...made, id: freshLetter(mechanism), name: name.slice(0, LONGEST_NAME) };
  return [
    ...changes.filter(({ at }) => at[0] !== 'mechanisms'),
    { at: ['mechanisms', m, 'choices', mechanism.choices.length], to: added },
    { at: ['mechanisms', m, 'current'], to: added.id },
  ];
}

/** A letter that none of a mechanism's choices has. */
export const freshLetter = ({ choices }: Mechanism): string =>
  ['a', 'b', 'c', 'd', 'e'].find((letter) => choices.every(({ id }) => id !== letter))!;
