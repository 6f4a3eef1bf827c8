import { mechanismById } from '../../plan/document/place.js';
import { besideChoice } from '../../path/edits/choices.js';
import { situationOf } from '../limits/situation.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { MOST } from '../../plan/document/most.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { WishMachine } from '../../path/job/wish.js';
import { usualScrew } from '../../path/job/slide.js';
import type { Shelved } from './proposal.js';
import { proposeFor } from './propose.js';

/**
 * Another way to turn a mechanism put beside the choice in force, which stays in force: its jobs and output stay, the drive
 * and its stages are proposed.
 *
 * @throws where there are as many as are kept, or the shelf has nothing
 */
export function proposeBeside(
  plan: Plan,
  mechanismId: string,
  machine: WishMachine,
  shelf: readonly Shelved[],
): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  if (mechanism.choices.length >= MOST.choices)
    throw new Error(`${MOST.choices} choices are kept side by side: remove one first`);
  const choice = currentChoice(mechanism);
  const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  const { demand, speed } = situationOf(path, 'working');
  // What turns a nut stays, and a motor that finds none gets one; a linear servo moves the carriage itself.
  const screws = choice.stages.filter((stage) => stage.kind === 'screw');
  const behind =
    machine === 'servo' || choice.output.kind !== 'carriage' ? [] : screws.length > 0 ? screws : [usualScrew()];
  // A screw's shaft turns as often as its lead goes into the way.
  const perTurn = behind[0]?.lead?.si;
  const shaftSpeed = ((1.5 * speed) / path.radius) * (perTurn === undefined ? 1 : (2 * Math.PI) / perTurn);
  const wished = {
    jobs: mechanism.jobs,
    output: choice.output,
    behind,
    shaftSpeed: Number.isFinite(shaftSpeed) && shaftSpeed > 0 ? shaftSpeed : 1,
    power: Number.isFinite(demand * speed) && demand * speed > 0 ? 1.5 * demand * speed : 1,
    motors: 1,
  };
  const proposed = proposeFor(plan, { kind: mechanism.kind, name: mechanism.name, values: {}, machine }, wished, shelf);
  const changed = applyChanges(plan, proposed.changes);
  const made = mechanismById(changed, proposed.id);
  return besideChoice(plan, mechanism, currentChoice(made), proposed.changes);
}
