import { driveOf, type Drive, type HeldBy } from '../../models/controller/drive.js';
import { RUN_NEEDS } from '../motion/needs.js';
import { coastToStop, type Coast } from '../motion/coast.js';
import { brakeToStop, type Stop } from '../motion/brakeToStop.js';
import { systemOf } from '../motion/system.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';
import { fullBrakingAt } from './fullEffortAt.js';
import { reachOf } from './reach.js';

/** Braking force against speed, and which limit holds it there. On q. */
export interface BrakeReachPoint {
  readonly speed: number;
  readonly force: number;
  readonly heldBy: HeldBy;
}

export interface BrakeReach {
  readonly points: readonly BrakeReachPoint[];
  /** The same with a pack that takes twice the current; absent where that gives no more. */
  readonly open?: readonly BrakeReachPoint[];
  /** Speed the stop is reckoned from: the one the job needs. */
  readonly from: number;
  readonly stop: Stop;
  readonly coast: Coast;
}

/** Less than this is not worth a second line. */
const GAIN = 1.01;

/**
 * Braking of a path at full command; `undefined` where a figure is missing. Losses help to brake.
 *
 * @example brakeReachOf(path).points.length //=> 81
 */
export function brakeReachOf(path: DcPath, count = 80): BrakeReach | undefined {
  if (lacksOf(path, RUN_NEEDS).length > 0) return undefined;
  const reach = reachOf(path, 4);
  const fastest = reach?.points.at(-1)?.speed ?? 0;
  if (!(fastest > 0)) return undefined;
  const { drive, asked, control } = path;
  const curve = (braking: Drive): readonly BrakeReachPoint[] =>
    Array.from({ length: count + 1 }, (_, i) => forceAt(path, braking, (fastest * i) / count));
  const points = curve(drive);
  const open =
    drive.returnLimit === undefined ? undefined : curve(driveOf({ ...drive, returnLimit: 2 * drive.returnLimit }));
  const system = systemOf(path);
  const from = Math.min(asked.speed, fastest);
  return {
    points,
    open: open?.some((point, i) => point.force > points[i]!.force * GAIN) ? open : undefined,
    from,
    stop: brakeToStop(system, from),
    coast: coastToStop(system, from, control.dragOffset),
  };
}

function forceAt(path: DcPath, drive: Drive, speed: number): BrakeReachPoint {
  const { point, force } = fullBrakingAt(path, drive, speed);
  // What the tyres do not carry brakes nothing.
  return { speed, force: Math.min(force, path.load.traction ?? Infinity), heldBy: point.heldBy };
}
