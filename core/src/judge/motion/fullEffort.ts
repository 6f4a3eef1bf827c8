import { pullAt } from './acceleration.js';
import { alongSettled, fastestOf, relaxation } from './alongSettled.js';
import { Q, stateOf, V, type State } from './integrate.js';
import { march, type Stretch } from './march.js';
import type { Run } from './run.js';
import { Watch } from './watch.js';
import type { MotionSystem } from './system.js';

export interface RunOptions {
  /** Error allowed per step, over travel and greatest speed. */
  readonly tolerance?: number;
  /** Time after which it is given up, s. */
  readonly longest?: number;
  /** At least so many steps to the end. */
  readonly fewestSteps?: number;
  /** Starts at this speed instead of at rest. */
  readonly fromSpeed?: number;
}

/** A run that crawls along its settled speed is finished along it. */
const MANY_STEPS = 1500;
/** A start-up this much shorter than the run is left out: it would only cost steps. */
const NEGLIGIBLE_START = 1e-5;

/**
 * Full effort from rest to the end (a place, a speed, or a time), arriving on the move: Bogacki–Shampine
 * steps of controlled error, the end found within the last step. A load that cannot be moved stays,
 * and the result says `stalled` and where. Where speed follows force almost at once (next to no moved
 * mass), the run goes along the speed at which force and load balance.
 *
 * @example fullEffort(system).time //=> 1.509
 */
export function fullEffort(system: MotionSystem, options: RunOptions = {}): Run {
  return watched(system, options, new Watch(system));
}

/**
 * The greatest speed on the way of such a run.
 *
 * @example topSpeedAlong(system) //=> 0.9939
 */
export function topSpeedAlong(system: MotionSystem, options: RunOptions = {}): number {
  return watched(system, options, new Watch(system, true)).topSpeed;
}

function watched(system: MotionSystem, options: RunOptions, watch: Watch): Run {
  const { longest = 60, fewestSteps = 60, fromSpeed = 0 } = options;
  const ends = endsOf(system, longest);
  const start = stateOf(0, fromSpeed);
  const first = pullAt(system, 0, fromSpeed);
  if (!(first.acceleration > 0)) {
    watch.see(0, start, first);
    return watch.result('stalled', 0, start);
  }
  const span = Math.min(ends.end, ends.distance / fastestOf(system));
  if (fromSpeed === 0 && !system.rampTime && relaxation(system, 0, 0) < NEGLIGIBLE_START * span) {
    watch.see(0, start, first);
    return alongSettled(system, watch, start, 0, ends.end, fewestSteps);
  }
  const reached = march(system, watch, effortStretch(system, ends, start, first.acceleration, options));
  switch (reached.why) {
    case 'beyond':
      return watch.result('arrived', reached.time, reached.state);
    case 'stuck':
      return watch.result('stalled', reached.time, reached.state);
    case 'end':
      return watch.result(ends.timed ? 'arrived' : 'time-up', reached.time, reached.state);
    case 'many steps':
      return alongSettled(system, watch, reached.state, reached.time, ends.end, fewestSteps);
  }
}

export interface Ends {
  readonly end: number;
  readonly distance: number;
  past(state: State): number;
  readonly timed: boolean;
}

/** What ends a run at full effort. */
export function endsOf(system: MotionSystem, longest: number): Ends {
  const { until } = system;
  const fastest = fastestOf(system);
  if ('travel' in until)
    return { end: longest, distance: until.travel, past: (state) => state[Q]! - until.travel, timed: false };
  if ('speed' in until) {
    const acceleration = pullAt(system, 0, 0).acceleration;
    const distance = acceleration > 0 ? until.speed ** 2 / acceleration : until.speed;
    return { end: longest, distance, past: (state) => state[V]! - until.speed, timed: false };
  }
  return { end: Math.min(longest, until.time), distance: fastest * until.time, past: () => -1, timed: true };
}

/** Full effort as a stretch: stuck where it stands still once the ramp is over. */
export function effortStretch(
  system: MotionSystem,
  { end, distance, past }: Ends,
  from: State,
  firstAcceleration: number,
  { tolerance = 1e-5, fewestSteps = 60 }: RunOptions,
): Stretch {
  const { rampTime = 0 } = system;
  const fastest = fastestOf(system);
  return {
    rule: (q, speed, time, into) => pullAt(system, q, speed, time, into),
    from,
    since: 0,
    end,
    past,
    stuck: (state, pull, time) => time >= rampTime && state[V]! <= 0 && pull.acceleration <= 0,
    distance,
    speed: fastest,
    tolerance,
    longestStep: Math.max(distance / fastest, Math.sqrt(distance / firstAcceleration)) / fewestSteps,
    firstStep: (1e-3 * fastest) / firstAcceleration,
    mostSteps: MANY_STEPS,
  };
}
