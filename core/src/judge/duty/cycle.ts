import type { Run } from '../motion/run.js';
import { operatingAt } from '../../path/powerpath/operating.js';
import { heldForce, type DcPath } from '../../path/powerpath/path.js';
import { drivePoint } from '../../models/controller/drivePoint.js';
import { supplyForMotorCurrent } from '../../models/controller/currents.js';
import { dragHeat } from '../../models/motor/constants.js';
import { throwAt } from '../motion/throw.js';
import { systemOf } from '../motion/system.js';

/** A stretch of time with steady heating. Currents of one motor unless it says otherwise. */
export interface Segment {
  readonly seconds: number;
  /** Mean of I² as the hottest winding feels it, A². */
  readonly motorSquared: number;
  /** Friction and iron heat in the case, W. */
  readonly friction: number;
  /** Mean supply current drawn, and the mean of its square. */
  readonly supply: number;
  readonly supplySquared: number;
}

/** One go of a job over and over: work, hold, rest. */
export interface Cycle {
  /** What happens once, before the first go: spinning up. */
  readonly prelude: readonly Segment[];
  readonly segments: readonly Segment[];
  readonly seconds: number;
  /** What holding takes of one motor, A; 0 where the motor may rest. */
  readonly holdCurrent: number;
}

const PIECES = 6;
/** A brushless motor at rest heats one phase twice as much as the mean. */
const AT_REST_BRUSHLESS = 2;

/**
 * The duty of a job from its run. A go that takes longer than the time between two starts makes that time longer.
 *
 * @example cycleOf(path, judgement.run).seconds //=> 15
 */
export function cycleOf(path: DcPath, run: Run): Cycle {
  if (path.thrown) return throwingCycle(path, run);
  if (path.asked.endless) return endlessCycle(path, run);
  const { asked } = path;
  const work = piecesOf(path, run);
  const holdCurrent = holdCurrentOf(path);
  const worked = work.reduce((sum, { seconds }) => sum + seconds, 0);
  const held = holdCurrent > 0 ? holding(path, holdCurrent, asked.held) : undefined;
  const busy = worked + (held ? asked.held : 0);
  const seconds = Math.max(asked.every, busy);
  const rest = { seconds: seconds - busy, motorSquared: 0, friction: 0, supply: 0, supplySquared: 0 };
  return { prelude: [], segments: [...work, ...(held ? [held] : []), rest], seconds, holdCurrent };
}

/**
 * Motor current that holds the load at rest; 0 where something else does, or nothing pulls.
 *
 * @example holdCurrentOf(path) //=> 0
 */
export function holdCurrentOf(path: DcPath): number {
  const { drive, train, radius, holder } = path;
  if (holder === 'brake' || holder === 'ratchet' || train.backEfficiency === 0) return 0;
  const demand = heldForce(path);
  if (demand <= 0) return 0;
  return (demand * train.backEfficiency) / (drive.motors * drive.motor.torqueConstant * (train.total / radius));
}

function holding(path: DcPath, wanted: number, seconds: number): Segment {
  const { drive, motor } = path;
  // A load beyond it runs back: no more flows than full command gives.
  const current = Math.min(wanted, drivePoint(drive, 0).motorCurrent);
  const supply = supplyForMotorCurrent(drive, 0, current) ?? drive.restVoltage / (2 * drive.supplyResistance);
  const hottest = motor.type === 'brushless' ? AT_REST_BRUSHLESS : 1;
  return { seconds, motorSquared: hottest * current ** 2, friction: 0, supply, supplySquared: supply ** 2 };
}

/** A run cut into a few pieces, each with its own means. */
function piecesOf(path: DcPath, run: Run): readonly Segment[] {
  const { drive, train, radius } = path;
  const { motor } = drive;
  const brushless = path.motor.type === 'brushless';
  const total = run.samples.at(-1)!.time;
  const sums = Array.from({ length: PIECES }, () => ({
    seconds: 0,
    squared: 0,
    friction: 0,
    supply: 0,
    supplySquared: 0,
  }));
  for (let i = 1; i < run.samples.length; i++) {
    const from = run.samples[i - 1]!;
    const to = run.samples[i]!;
    const step = to.time - from.time;
    if (step <= 0) continue;
    const sum = sums[Math.min(PIECES - 1, Math.floor((PIECES * (from.time + step / 2)) / total))]!;
    const omega = (((from.speed + to.speed) / 2) * train.total) / radius;
    const current = (from.motorCurrent + to.motorCurrent) / 2;
    const a = Math.max(0, from.supplyCurrent) / drive.motors;
    const b = Math.max(0, to.supplyCurrent) / drive.motors;
    sum.seconds += step;
    const hottest = brushless && from.speed === 0 && to.speed === 0 ? AT_REST_BRUSHLESS : 1;
    sum.squared += (hottest * step * (from.motorCurrent ** 2 + to.motorCurrent ** 2)) / 2;
    sum.friction += step * dragHeat(motor, current, omega);
    sum.supply += (step * (a + b)) / 2;
    sum.supplySquared += (step * (a * a + b * b)) / 2;
  }
  return sums
    .filter(({ seconds }) => seconds > 0)
    .map(({ seconds, squared, friction, supply, supplySquared }) => ({
      seconds,
      motorSquared: squared / seconds,
      friction: friction / seconds,
      supply: supply / seconds,
      supplySquared: supplySquared / seconds,
    }));
}

/** Brought to its speed once, and kept there. */
function endlessCycle(path: DcPath, run: Run): Cycle {
  const { asked } = path;
  return {
    prelude: piecesOf(path, run),
    segments: [keptAt(path, asked.speed, asked.every)],
    seconds: asked.every,
    holdCurrent: 0,
  };
}

/** A stretch at a steady speed of the output; full effort where that is not enough for it. */
function keptAt(path: DcPath, speed: number, seconds: number): Segment {
  const { motorCurrent, supplyCurrent } = operatingAt(path, path.load.force(0, speed), speed);
  const omega = (speed * path.train.total) / path.radius;
  return segmentAt(path, omega, seconds, motorCurrent, supplyCurrent ?? drivePoint(path.drive, omega).supplyCurrent);
}

const segmentAt = (path: DcPath, omega: number, seconds: number, current: number, supply: number): Segment => ({
  seconds,
  motorSquared: current ** 2,
  friction: dragHeat(path.drive.motor, current, omega),
  supply,
  supplySquared: supply ** 2,
});

/** Spin up once; then, throw after throw, back to speed and kept there. */
function throwingCycle(path: DcPath, run: Run): Cycle {
  const { drive, asked } = path;
  const target = asked.target ?? 0;
  const thrown = throwAt(systemOf(path), path.thrown!, target);
  const recovering = Math.min(thrown.recovery, asked.every);
  const omega = target * path.train.total;
  const full = drivePoint(drive, omega);
  return {
    prelude: piecesOf(path, run),
    segments: [
      segmentAt(path, omega, recovering, full.motorCurrent, full.supplyCurrent),
      keptAt(path, target, asked.every - recovering),
    ],
    seconds: asked.every,
    holdCurrent: 0,
  };
}
