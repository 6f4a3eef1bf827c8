import { newPull, type Pull, type PullRule } from './acceleration.js';
import { errorOf, nextStep, Q, slopeInto, StepRoom, V, type State } from './integrate.js';
import type { MotionSystem } from './system.js';
import type { Watch } from './watch.js';

/** A stretch of a run under one rule. */
export interface Stretch {
  readonly rule: PullRule;
  readonly from: State;
  readonly since: number;
  /** Gives up at this time. */
  readonly end: number;
  /** How far a state is past the end of the stretch, in whatever is asked: from 0 on it is over. */
  past(state: State): number;
  /** Whether it has come to nothing. */
  stuck(state: State, pull: Pull, time: number): boolean;
  /** What errors are measured against. */
  readonly distance: number;
  readonly speed: number;
  readonly tolerance: number;
  readonly longestStep: number;
  readonly firstStep: number;
  readonly mostSteps: number;
}

export interface Reached {
  readonly why: 'beyond' | 'stuck' | 'end' | 'many steps';
  readonly state: State;
  readonly time: number;
}

/** The smallest step over the longest. */
const SMALLEST = 1e-5;

/** Goes along a stretch in steps of controlled error; where it ends is found within the last step. */
export function march(system: MotionSystem, watch: Watch, stretch: Stretch): Reached {
  const { rule, end, past, stuck, distance, speed, tolerance, longestStep } = stretch;
  const state = Float64Array.from(stretch.from);
  let [time, step] = [stretch.since, Math.min(longestStep, stretch.firstStep)];
  const room = new StepRoom(system, rule);
  let pull = rule(state[Q]!, state[V]!, time, newPull());
  watch.see(time, state, pull, rule);
  slopeInto(room.k1, system, state[V]!, pull);
  for (let steps = 0; time < end;) {
    step = Math.min(step, end - time, longestStep);
    room.try(state, time, step);
    const error = errorOf(room.error, room.next, distance, speed, tolerance);
    // Where a limit changes by a jump no step is small enough: the smallest is taken as it is.
    if (error > 1 && step > SMALLEST * longestStep) {
      step = nextStep(step, error);
      continue;
    }
    if (past(room.next) >= 0) {
      const last = room.endOf(state, time, step, past);
      const at = time + last.step;
      watch.see(at, last.state, rule(last.state[Q]!, last.state[V]!, at, pull), rule);
      return { why: 'beyond', state: last.state, time: at };
    }
    time += step;
    state.set(room.next);
    // Where it does not go backwards, the last slope of the step was this very pull.
    if (state[V]! >= 0) pull = room.takePull(pull);
    else rule(state[Q]!, state[V]!, time, pull);
    if (stuck(state, pull, time)) return { why: 'stuck', state, time };
    watch.see(time, state, pull, rule);
    room.k1.set(room.k4);
    step = nextStep(step, error);
    if (++steps > stretch.mostSteps) return { why: 'many steps', state, time };
  }
  return { why: 'end', state, time };
}
