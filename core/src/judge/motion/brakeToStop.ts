import { brakeAt } from './acceleration.js';
import { fastestOf } from './alongSettled.js';
import { Q, stateOf, V, type State } from './integrate.js';
import { march, type Stretch } from './march.js';
import type { MotionSystem } from './system.js';
import { Watch } from './watch.js';
import type { RunSample } from './run.js';

/** A stop from a speed at full braking. */
export interface Stop {
  readonly stops: boolean;
  readonly time: number;
  readonly distance: number;
  /** Greatest current back into the pack, all motors, A. */
  readonly peakReturned: number;
  readonly slipped: boolean;
  readonly samples: readonly RunSample[];
}

const LONGEST = 60;

/**
 * Full braking from a speed on q until it stands.
 *
 * @example brakeToStop(system, 0.8).distance //=> 0.03075
 */
export function brakeToStop(system: MotionSystem, fromSpeed: number, place = 0): Stop {
  const watch = new Watch(system);
  const reached = march(system, watch, brakingStretch(system, stateOf(place, fromSpeed), 0, LONGEST));
  const run = watch.result('arrived', reached.time, reached.state);
  return {
    stops: reached.why === 'beyond',
    time: reached.time,
    distance: reached.state[Q]! - place,
    peakReturned: run.peakReturned,
    slipped: run.slipped,
    samples: run.samples,
  };
}

/** Full braking as a stretch: over when it stands. */
export function brakingStretch(system: MotionSystem, from: State, since: number, end: number): Stretch {
  const fromSpeed = from[V]!;
  const first = Math.abs(brakeAt(system, from[Q]!, fromSpeed).acceleration);
  const seconds = fromSpeed / Math.max(first, 1e-9);
  return {
    rule: (q, speed, _time, into) => brakeAt(system, q, speed, into),
    from,
    since,
    end,
    past: (state) => -state[V]!,
    stuck: (state) => state[V]! > 3 * Math.max(fromSpeed, fastestOf(system)),
    distance: Math.max(fromSpeed * seconds, 1e-9),
    speed: Math.max(fromSpeed, 1e-9),
    tolerance: 1e-5,
    longestStep: Math.max(seconds / 30, 1e-6),
    firstStep: seconds / 200,
    mostSteps: 4000,
  };
}
