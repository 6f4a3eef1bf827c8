import { freshId } from '../../plan/document/freshId.js';
import { mechanismById } from '../../plan/document/place.js';
import { evaluateMechanism } from '../evaluate/mechanism.js';
import { nominalVoltsOf } from '../../models/pack/cells.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { ServoPart } from '../../plan/document/part.js';
import type { MechanismKind } from '../../plan/document/load.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { WishPlan } from '../../path/job/wish.js';
import { copyOf, newBranch, packOf, type Proposal, type Shelved, type Wish } from './proposal.js';

const RAIL_VOLTS = 6;
const RAIL_STEADY = 5;
const RAIL_BURST = 10;

/**
 * A servo for a wish: the weakest of the shelf that has its wanted margins in torque and is in time, on the robot's servo
 * rail, or a new one of 6 V where there is none. Where none does, the one that comes nearest, and a note that says so.
 */
export function proposeServo(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  const motion = motionFor(wished);
  const servos = shelf
    .filter((item): item is Shelved & { part: ServoPart } => item.part.kind === 'servo' && item.part.motion === motion)
    .sort((a, b) => stallOf(a.part) - stallOf(b.part));
  if (servos.length === 0) throw new Error('the shelf has no servo that moves like this');
  const id = freshId(plan, wish.kind);
  let nearest: { readonly proposal: Proposal; readonly name: string; readonly margin: number } | undefined;
  for (const servo of servos) {
    const proposal = servoProposal(plan, wish, wished, id, servo, shelf);
    const margin = marginOf(plan, proposal);
    if (margin >= 1) return proposal;
    if (!nearest || margin > nearest.margin) nearest = { proposal, name: servo.part.name, margin };
  }
  const { proposal, name, margin } = nearest!;
  return {
    ...proposal,
    note: `No servo of the shelf does it with its margins. The nearest is proposed, ${name}: it has ${Math.floor(100 * margin)} % of what is wanted.`,
  };
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
  const volts = Math.min(RAIL_VOLTS, Math.floor(10 * 0.85 * nominalVoltsOf(pack)) / 10);
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

/** The least share of what is wanted that is there: torque over its margin, time allowed over time taken. 1 and over does it. */
function marginOf(plan: Plan, { id, changes }: Proposal): number {
  const changed = applyChanges(plan, changes);
  const { jobs } = evaluateMechanism(changed, mechanismById(changed, id));
  const shares = jobs.flatMap(({ checks, ladders }) => [
    ...checks.filter((check) => check.id === 'in-time').map(({ multiple = 1 }) => Math.min(1, multiple)),
    ...Object.values(ladders).flatMap(({ rungs }) =>
      rungs
        .filter((rung) => rung.id === 'servo' || rung.id === 'servo-hold')
        .map(({ multiple = 0, wants }) => multiple / wants),
    ),
  ]);
  return Math.min(...shares);
}
