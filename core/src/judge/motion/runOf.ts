import type { DcPath } from '../../path/powerpath/path.js';
import { fullEffort, type RunOptions } from './fullEffort.js';
import type { Run } from './run.js';
import { stopThere } from './stopThere.js';
import { systemOf, type MotionSystem } from './system.js';
import { trapezoid, type Trapezoid } from './trapezoid.js';

/**
 * Runs a job by the profile it asks for. Its lacks must have been looked at.
 *
 * @example runBy(path).time //=> 1.509
 */
export function runBy(path: DcPath, system: MotionSystem = systemOf(path), options: RunOptions = {}): Run {
  const { profile, travel } = path.asked;
  if (travel === undefined || profile === 'moving') return fullEffort(system, options);
  const stop = stopThere(system, options);
  if (profile === 'stop') return stop;
  const run = trapezoid(system, trapezoidOf(path));
  // What falls behind cannot be there before the best that the drive can do.
  return run.follows!.behindAt && stop.time > run.time ? { ...run, time: stop.time, outcome: stop.outcome } : run;
}

/**
 * The commanded motion of a job: speed and acceleration typed, else a third of the time each for speeding up, going and slowing down.
 *
 * @example trapezoidOf(path) //=> { speed: 1.266, acceleration: 2.373 }
 */
export function trapezoidOf({ asked }: DcPath): Trapezoid {
  const travel = asked.travel ?? 0;
  const speed = asked.typedSpeed ?? (1.5 * travel) / asked.time;
  return { speed, acceleration: asked.typedAcceleration ?? (3 * speed) / asked.time };
}
