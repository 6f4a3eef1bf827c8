import { drivePoint } from '../controller/drivePoint.js';
import type { HeldBy } from '../controller/drive.js';
import type { Need } from '../figures/figure.js';
import { worstOver } from '../load/load.js';
import { motorSpeed, lacksOf, type PowerPath } from '../powerpath/path.js';

/** Output force against speed, and which limit holds it there. On q. */
export interface ReachPoint {
  readonly speed: number;
  readonly force: number;
  readonly heldBy: HeldBy;
}

export interface Reach {
  readonly points: readonly ReachPoint[];
  /** What resists while moving. */
  readonly load: number;
  /** Speed the job needs. */
  readonly wanted: number;
  /** Where full effort meets the load; absent where it cannot move it. */
  readonly settles?: number;
  /** What the tyres carry. */
  readonly grip?: number;
}

const NEEDS: readonly Need[] = ['motor', 'pack', 'wiring', 'controller', 'train', 'output', 'load', 'grip', 'job'];

/** The envelope of a path at full effort; `undefined` where a figure is missing. */
export function reachOf(path: PowerPath, count = 80): Reach | undefined {
  if (lacksOf(path, NEEDS).length > 0) return undefined;
  const { drive, train, radius, load, asked } = path;
  const forceAt = (speed: number): ReachPoint => {
    const point = drivePoint(drive, motorSpeed(path, speed));
    return {
      speed,
      force: (drive.motors * point.shaftTorque * train.efficiency * train.total) / radius,
      heldBy: point.heldBy,
    };
  };
  const fastest = freeSpeed(path);
  const points: ReachPoint[] = [];
  for (let i = 0; i <= count; i++) {
    const next = forceAt((fastest * i) / count);
    const before = points.at(-1);
    // The corner itself, once for each of the two limits that meet there.
    if (before && before.heldBy !== next.heldBy) {
      const corner = cornerBetween(forceAt, before, next);
      points.push({ ...corner, heldBy: before.heldBy }, { ...corner, heldBy: next.heldBy });
    }
    points.push(next);
  }
  const resists = worstOver(asked.travel, load.force);
  const settles = settlesAt(forceAt, resists, fastest);
  return {
    points,
    load: resists,
    wanted: asked.speed,
    ...(settles === undefined ? {} : { settles }),
    ...(load.grip === undefined ? {} : { grip: load.grip }),
  };
}

/** Speed on q at which nothing is left to pull with. */
function freeSpeed(path: PowerPath): number {
  const { drive, train, radius } = path;
  const spare = drive.greatestDuty * drive.restVoltage;
  const perSpeed = drive.motor.backEmfConstant * (train.total / radius);
  const lost = drive.motor.freeCurrent * (drive.motor.resistance + drive.controllerResistance + drive.supplyResistance);
  return Math.max(0, spare - lost) / perSpeed;
}

function cornerBetween(forceAt: (speed: number) => ReachPoint, before: ReachPoint, after: ReachPoint): ReachPoint {
  let [low, high] = [before.speed, after.speed];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (forceAt(middle).heldBy === before.heldBy) low = middle;
    else high = middle;
  }
  return forceAt(high);
}

function settlesAt(forceAt: (speed: number) => ReachPoint, resists: number, fastest: number): number | undefined {
  if (forceAt(0).force < resists) return undefined;
  let [low, high] = [0, fastest];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (forceAt(middle).force >= resists) low = middle;
    else high = middle;
  }
  return low;
}
