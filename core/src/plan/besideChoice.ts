import { mechanismAt, mechanismById } from './place.js';
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
  const mechanism = mechanismById(plan, mechanismId);
  const made = currentChoice(mechanismById(applyChanges(plan, changes), mechanismId));
  return besideChoice(plan, mechanism, { ...made, name: name.slice(0, LONGEST_NAME) }, changes);
}

/**
 * A choice put beside those of a mechanism and in force; what `changes` do outside of mechanisms stays. Throws where as
 * many are kept as there may be.
 */
export function besideChoice(
  plan: Plan,
  mechanism: Mechanism,
  made: Choice,
  changes: readonly Change[],
): readonly Change[] {
  if (mechanism.choices.length >= MOST_CHOICES)
    throw new Error(`${MOST_CHOICES} choices are kept side by side: remove one first`);
  const at = mechanismAt(plan, mechanism.id);
  const added: Choice = { ...made, id: freshLetter(mechanism) };
  return [
    ...changes.filter((change) => change.at[0] !== 'mechanisms'),
    { at: [...at, 'choices', mechanism.choices.length], to: added },
    { at: [...at, 'current'], to: added.id },
  ];
}

/**
 * A letter that none of a mechanism's choices has.
 *
 * @example freshLetter(mast) //=> 'b'
 */
export const freshLetter = ({ choices }: Mechanism): string =>
  ['a', 'b', 'c', 'd', 'e'].find((letter) => choices.every(({ id }) => id !== letter))!;
