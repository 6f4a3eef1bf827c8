import { coastAt } from './acceleration.js';
import { brakingStretch } from './brakeToStop.js';
import { march } from './march.js';
import { Q, stateOf } from './integrate.js';
import type { MotionSystem } from './system.js';
import { Watch } from './watch.js';

/** How far it rolls with no command. `stops` is false where a drag offset, or a slope, keeps it going. */
export interface Coast {
  readonly stops: boolean;
  readonly time: number;
  readonly distance: number;
}

/**
 * Rolls from a speed with nothing commanded but a drag offset, A of one motor.
 *
 * @example coastToStop(system, 0.8, 0).distance //=> 0.04649
 */
export function coastToStop(system: MotionSystem, fromSpeed: number, offset: number): Coast {
  const watch = new Watch(system);
  const seconds = fromSpeed / Math.max(Math.abs(coastAt(system, 0, fromSpeed, offset).acceleration), 1e-9);
  const reached = march(system, watch, {
    ...brakingStretch(system, stateOf(0, fromSpeed), 0, 60),
    rule: (q, speed, _time, into) => coastAt(system, q, speed, offset, into),
    distance: Math.max(fromSpeed * seconds, 1e-9),
    longestStep: Math.max(seconds / 20, 1e-6),
    firstStep: seconds / 200,
  });
  return { stops: reached.why === 'beyond', time: reached.time, distance: reached.state[Q]! };
}
