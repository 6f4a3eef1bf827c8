import { freshId } from '../plan/freshId.js';
import { mechanismById } from '../plan/place.js';
import { evaluateMechanism } from '../evaluate/mechanism.js';
import { CELLS } from '../pack/cells.js';
import { applyChanges, type Change } from '../plan/change.js';
import type { ServoPart } from '../plan/part.js';
import type { Mechanism, MechanismKind, Plan } from '../plan/plan.js';
import { quantityOf } from '../plan/quantityOf.js';
import { copyOf, newBranch, packOf, type Proposal, type Shelved, type Wish } from './proposal.js';
import type { WishPlan } from './wish.js';

const RAIL_VOLTS = 6;
const RAIL_STEADY = 5;
const RAIL_BURST = 10;

/**
 * A servo for a wish: the weakest of the shelf with which nothing gives way for want of torque or time, on the robot's
 * servo rail, or a new one of 6 V where there is none.
 */
export function proposeServo(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  const motion = motionFor(wished);
  const servos = shelf
    .filter((item): item is Shelved & { part: ServoPart } => item.part.kind === 'servo' && item.part.motion === motion)
    .sort((a, b) => stallOf(a.part) - stallOf(b.part));
  if (servos.length === 0) throw new Error('the shelf has no servo that moves like this');
  const id = freshId(plan, wish.kind);
  let last: Proposal | undefined;
  for (const servo of servos) {
    last = servoProposal(plan, wish, wished, id, servo, shelf);
    if (does(plan, last)) return last;
  }
  return last!;
}

/** What turns without end takes a continuous servo, what goes along a line a linear one. */
function motionFor({ output }: WishPlan): ServoPart['motion'] {
  if (output.kind === 'carriage') return 'linear';
  return output.kind === 'drum' || output.kind === 'wheels' || output.kind === 'roller' ? 'continuous' : 'joint';
}

const stallOf = ({ points }: ServoPart): number =>
  Math.max(...points.map(({ stallTorque, stallForce }) => (stallTorque ?? stallForce)?.si ?? 0));

function servoProposal(
  plan: Plan,
  wish: Wish,
  wished: WishPlan,
  id: string,
  servo: Shelved & { part: ServoPart },
  shelf: readonly Shelved[],
): Proposal {
  const rail = plan.supply.find((node) => node.kind === 'rail');
  const made = rail ? { node: rail.id, changes: [] } : newRail(plan, wish.kind, shelf);
  const part = freshId(plan, 'servo');
  const mechanism: Mechanism = {
    id,
    name: wish.name,
    kind: wish.kind,
    jobs: wished.jobs,
    current: 'a',
    choices: [
      {
        id: 'a',
        name: 'servo',
        drive: { kind: 'servo', servo: part, servos: 1, node: made.node, linkage: { kind: 'direct' } },
        // A linear servo needs no screw of its own.
        stages: [],
        output: wished.output,
      },
    ],
  };
  return {
    id,
    changes: [
      { at: ['parts', part], to: copyOf(servo) },
      ...made.changes,
      { at: ['mechanisms', plan.mechanisms.length], to: mechanism },
    ],
  };
}

function newRail(
  plan: Plan,
  kind: MechanismKind,
  shelf: readonly Shelved[],
): { node: string; changes: readonly Change[] } {
  const branch = newBranch(plan, kind, RAIL_STEADY, shelf);
  const node = freshId(plan, `rail-${kind}`);
  const pack = packOf(plan);
  // What a regulator holds must be less than the pack gives.
  const volts = Math.min(RAIL_VOLTS, Math.floor(10 * 0.85 * pack.series * CELLS[pack.chemistry].nominal) / 10);
  return {
    node,
    changes: [
      ...branch.changes,
      {
        at: ['supply', plan.supply.length + 1],
        to: {
          id: node,
          kind: 'rail',
          name: 'Servo rail',
          parent: branch.node,
          source: 'regulator',
          voltage: quantityOf(volts, `${volts} V`, 'typical'),
          continuous: quantityOf(RAIL_STEADY, `${RAIL_STEADY} A`, 'typical'),
          burst: quantityOf(RAIL_BURST, `${RAIL_BURST} A`, 'typical'),
          ground: 'common',
        },
      },
    ],
  };
}

/** Whether neither torque nor time is wanting in any job. */
function does(plan: Plan, { id, changes }: Proposal): boolean {
  const changed = applyChanges(plan, changes);
  const mechanism = mechanismById(changed, id);
  return evaluateMechanism(changed, mechanism).jobs.every(
    (job) =>
      job.checks.find((check) => check.id === 'in-time')?.verdict !== 'gives way' &&
      Object.values(job.ladders).every(({ rungs }) =>
        rungs.every(({ id: rung, verdict }) => (rung !== 'servo' && rung !== 'servo-hold') || verdict === 'enough'),
      ),
  );
}
