import { freshLetter, MOST_CHOICES } from '../plan/besideChoice.js';
import { situationOf } from '../limits/situation.js';
import { applyChanges, type Change } from '../plan/change.js';
import { currentChoice, type Choice, type Plan } from '../plan/plan.js';
import { resolvePath } from '../resolve/resolvePath.js';
import type { Shelved, WishMachine } from './proposal.js';
import { proposeFor } from './propose.js';

/**
 * Another way to turn a mechanism that is there: its jobs and output stay, the drive and its stages are proposed. The
 * new choice is put in force. Throws where there are as many as are kept, or the shelf has nothing.
 */
export function proposeChoice(
  plan: Plan,
  mechanismId: string,
  machine: WishMachine,
  shelf: readonly Shelved[],
): readonly Change[] {
  const at = plan.mechanisms.findIndex(({ id }) => id === mechanismId);
  const mechanism = plan.mechanisms[at];
  if (!mechanism) throw new Error(`the plan has no mechanism ${mechanismId}`);
  if (mechanism.choices.length >= MOST_CHOICES)
    throw new Error(`${MOST_CHOICES} choices are kept side by side: remove one first`);
  const choice = currentChoice(mechanism);
  const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  const { demand, speed } = situationOf(path, 'working');
  const shaftSpeed = (1.5 * speed) / path.radius;
  const wished = {
    jobs: mechanism.jobs,
    output: choice.output,
    // What turns a nut stays; a linear servo moves it itself.
    behind: machine === 'servo' ? [] : choice.stages.filter(({ kind }) => kind === 'screw'),
    shaftSpeed: Number.isFinite(shaftSpeed) && shaftSpeed > 0 ? shaftSpeed : 1,
    power: Number.isFinite(demand * speed) && demand * speed > 0 ? 1.5 * demand * speed : 1,
    motors: 1,
  };
  const proposed = proposeFor(plan, { kind: mechanism.kind, name: mechanism.name, values: {}, machine }, wished, shelf);
  const changed = applyChanges(plan, proposed.changes);
  const made = changed.mechanisms.find(({ id }) => id === proposed.id)!;
  const id = freshLetter(mechanism);
  const added: Choice = { ...currentChoice(made), id };
  return [
    ...proposed.changes.filter((change) => change.at[0] !== 'mechanisms'),
    { at: ['mechanisms', at, 'choices', mechanism.choices.length], to: added },
    { at: ['mechanisms', at, 'current'], to: id },
  ];
}
