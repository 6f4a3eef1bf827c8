import { applyChanges, type Change } from '../../plan/document/change.js';
import { LONGEST_NAME, MOST } from '../../plan/document/most.js';
import { mechanismAt, mechanismById } from '../../plan/document/place.js';
import { currentChoice, type Choice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { valueAt } from '../../plan/document/valueAt.js';
import { withoutUnused } from './unused.js';

/**
 * Changes to the choice in force made into another choice beside it; the one in force stays in force. What they add
 * outside the mechanism comes along, what stands there stays as it is: comparing decides nothing.
 *
 * @throws where as many are kept as there may be
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
 * A choice put beside those of a mechanism, with what `changes` add outside of mechanisms.
 *
 * @throws where as many are kept as there may be
 */
export function besideChoice(
  plan: Plan,
  mechanism: Mechanism,
  made: Choice,
  changes: readonly Change[],
): readonly Change[] {
  if (mechanism.choices.length >= MOST.choices)
    throw new Error(`${MOST.choices} choices are kept side by side: remove one first`);
  const at = [...mechanismAt(plan, mechanism.id), 'choices', mechanism.choices.length];
  return [
    ...changes.filter((change) => change.at[0] !== 'mechanisms' && valueAt(plan, change.at) === undefined),
    { at, to: { ...made, id: freshLetter(mechanism) } satisfies Choice },
  ];
}

/**
 * A letter that none of a mechanism's choices has.
 *
 * @example freshLetter(mast) //=> 'b'
 */
export const freshLetter = ({ choices }: Mechanism): string =>
  ['a', 'b', 'c', 'd', 'e'].find((letter) => choices.every(({ id }) => id !== letter))!;

/** One of a mechanism's choices put in force. */
export const putInForce = (plan: Plan, mechanismId: string, choiceId: string): readonly Change[] => [
  { at: [...mechanismAt(plan, mechanismId), 'current'], to: choiceId },
];

/**
 * One of several choices taken away, with the branches and the copies of parts that only it used; where it was in force
 * the first of the rest is.
 *
 * @throws where it is the only one
 */
export function removeChoice(plan: Plan, mechanismId: string, choiceId: string): readonly Change[] {
  const { choices, current } = mechanismById(plan, mechanismId);
  const rest = choices.filter(({ id }) => id !== choiceId);
  if (rest.length === 0) throw new Error('a mechanism keeps one choice');
  const at = mechanismAt(plan, mechanismId);
  const changes: readonly Change[] = [
    { at: [...at, 'choices'], to: rest },
    { at: [...at, 'current'], to: choiceId === current ? rest[0]!.id : current },
  ];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}
