import { freshId } from '../../plan/document/freshId.js';
import { mechanismById } from '../../plan/document/place.js';
import { digits } from '../../plan/words/show.js';
import type { CheckId } from '../limits/check.js';
import { evaluateMechanism } from '../evaluate/mechanism.js';
import { fullVoltsOf } from '../../models/pack/cells.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { BoardPart, DriverPart, StepperPart, StepServoPart } from '../../plan/document/part.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { WishPlan } from '../../path/job/wish.js';
import { copyOf, newBranch, packOf, type Proposal, type Shelved, type Wish } from './proposal.js';

/** Reductions tried, the plainest first: on the shaft itself, then one pair of pulleys. */
const TOTALS = [1, 2, 3, 4, 5] as const;

type StepMotorPart = StepperPart | StepServoPart;

/**
 * A stepper for a wish: the least holding torque, on the shaft itself or behind one pair of pulleys, with which nothing
 * gives way for want of torque; the strongest tried where none does it.
 */
export function proposeStep(plan: Plan, wish: Wish, wished: WishPlan, shelf: readonly Shelved[]): Proposal {
  const full = fullVoltsOf(packOf(plan));
  const motors = shelf
    .filter(
      (item): item is Shelved & { part: StepMotorPart } =>
        item.part.kind === (wish.machine === 'step-servo' ? 'step-servo' : 'stepper'),
    )
    .sort((a, b) => torqueOf(a.part) - torqueOf(b.part));
  const boards = shelf.filter((item): item is Shelved & { part: BoardPart } => item.part.kind === 'board');
  if (motors.length === 0 || boards.length === 0)
    throw new Error('the shelf has no stepper, or no board to command one');
  const id = freshId(plan, wish.kind);
  let last: Proposal | undefined;
  for (const motor of motors) {
    const driver = driverFor(motor.part, full, shelf);
    if (!driver) continue;
    for (const total of TOTALS) {
      for (const board of boards) {
        last = stepProposal(plan, wish, wished, id, { motor, driver, board }, total, shelf);
        const found = doneBy(plan, last);
        if (found === 'all') return last;
        // Another board changes nothing about the torque.
        if (found === 'no torque') break;
      }
    }
  }
  if (!last)
    throw new Error(
      `no stepper driver of the shelf takes ${digits(full)} V: put one on the shelf, or choose another machine`,
    );
  return last;
}

const torqueOf = (part: StepMotorPart): number =>
  (part.kind === 'stepper' ? part.holdingTorque : part.ratedTorque)?.si ?? Infinity;

/** The smallest driver that takes the pack and the motor's current. */
export function driverFor(
  motor: StepMotorPart,
  full: number,
  shelf: readonly Shelved[],
): (Shelved & { part: DriverPart }) | undefined {
  const wanted = motor.kind === 'stepper' ? (motor.ratedCurrent?.si ?? 0) : 0;
  const able = shelf
    .filter((item): item is Shelved & { part: DriverPart } => item.part.kind === 'driver')
    .filter(
      ({ part }) =>
        part.drives === motor.kind &&
        (part.highestVoltage?.si ?? 0) >= full &&
        (part.lowestVoltage?.si ?? 0) < 0.75 * full,
    )
    .sort((a, b) => (a.part.mostCurrent?.si ?? 0) - (b.part.mostCurrent?.si ?? 0));
  return able.find(({ part }) => (part.mostCurrent?.si ?? Infinity) >= wanted) ?? able.at(-1);
}

interface Parts {
  readonly motor: Shelved;
  readonly driver: Shelved & { part: DriverPart };
  readonly board: Shelved;
}

/** A pair of belt wheels for a total reduction; none where the motor drives it straight. */
const pulleysFor = (total: number): readonly Stage[] =>
  total === 1
    ? []
    : [
        {
          id: 's1',
          kind: 'belt',
          pitch: quantityOf(0.005, '5 mm', 'typical'),
          face: quantityOf(0.009, '9 mm', 'typical'),
          driver: 20,
          driven: 20 * total,
          efficiency: quantityOf(0.97, '97 %', 'typical'),
        },
      ];

function stepProposal(
  plan: Plan,
  wish: Wish,
  wished: WishPlan,
  id: string,
  { motor, driver, board }: Parts,
  total: number,
  shelf: readonly Shelved[],
): Proposal {
  const branch = newBranch(plan, wish.kind, 5, shelf);
  const parts = {
    motor: freshId(plan, 'motor'),
    driver: freshId(plan, 'driver'),
    board: freshId(plan, 'board'),
  };
  const mechanism: Mechanism = {
    id,
    name: wish.name,
    kind: wish.kind,
    jobs: wished.jobs,
    current: 'a',
    choices: [
      {
        id: 'a',
        name: `${motor.part.kind === 'stepper' ? 'stepper' : 'step servo'} ${total === 1 ? 'on the shaft' : `and belt, ${total}:1`}`,
        drive: {
          kind: 'step',
          motor: parts.motor,
          motors: 1,
          driver: parts.driver,
          board: parts.board,
          node: branch.node,
          ...(motor.part.kind === 'stepper' ? { steps: 8 } : { steps: 3200 }),
          ramp: 'ramp',
        },
        stages: [...pulleysFor(total), ...wished.behind],
        tuning: total === 1 ? undefined : 's1',
        output: wished.output,
      },
    ],
  };
  const changes: readonly Change[] = [
    { at: ['parts', parts.motor], to: copyOf(motor) },
    { at: ['parts', parts.driver], to: copyOf(driver) },
    { at: ['parts', parts.board], to: copyOf(board) },
    ...branch.changes,
    { at: ['mechanisms', plan.mechanisms.length], to: mechanism },
  ];
  return { id, changes };
}

/** What is wanting in any job: torque, or only what a better board would mend. */
function doneBy(plan: Plan, { id, changes }: Proposal): 'all' | 'pulses' | 'no torque' {
  const changed = applyChanges(plan, changes);
  const mechanism = mechanismById(changed, id);
  const { jobs } = evaluateMechanism(changed, mechanism);
  const well = (check: CheckId): boolean =>
    jobs.every((job) => (job.checks.find((one) => one.id === check)?.verdict ?? 'enough') === 'enough');
  const torque = jobs.every((job) => Object.values(job.ladders).every(({ verdict }) => verdict === 'enough'));
  if (!torque || !well('keeps-step') || !well('standing-heat')) return 'no torque';
  return well('pulse-rate') && well('signal') ? 'all' : 'pulses';
}
