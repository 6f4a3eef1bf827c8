import type { HeldBy } from '../controller/drive.js';
import { pullAt, type Pull } from './acceleration.js';
import { Warmth } from './warmth.js';
import type { MotionSystem } from './system.js';

/** One moment of a run. Currents: motor of one motor, supply of all. */
export interface RunSample {
  readonly time: number;
  readonly place: number;
  readonly speed: number;
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  readonly packVoltage: number;
  readonly heldBy: HeldBy;
}

/** A run at full effort from rest. `time-up`: the end was not reached within the time looked at. */
export interface Run {
  readonly outcome: 'arrived' | 'stalled' | 'time-up';
  readonly time: number;
  readonly place: number;
  readonly endSpeed: number;
  readonly topSpeed: number;
  readonly peakMotorCurrent: number;
  readonly rmsMotorCurrent: number;
  readonly peakSupplyCurrent: number;
  readonly leastPackVoltage: number;
  /** Terminal volts × total amperes over time, J. */
  readonly packEnergy: number;
  /** Winding temperature at the end, °C; absent without thermal figures. */
  readonly windingTemperature?: number;
  /** Breaker heat at the end, 1 trips; absent without a breaker. */
  readonly breakerHeat?: number;
  readonly slipped: boolean;
  readonly samples: readonly RunSample[];
}

export interface RunOptions {
  /** Relative error allowed in one step. */
  readonly tolerance?: number;
  /** Seconds after which it counts as not arriving. */
  readonly longest?: number;
  /** Fewest steps a run is drawn with. */
  readonly fewestSteps?: number;
}

// What the step's error is controlled on, and what is summed along with it.
type State = readonly [place: number, speed: number, energy: number, currentSquared: number];
const Q = 0;
const V = 1;
const ENERGY = 2;
const I2 = 3;

/** Steps after which a run that crawls along its settled speed is finished along it. */
const MANY_STEPS = 1500;
/** A start-up this much shorter than the run is left out: it would only cost steps. */
const NEGLIGIBLE_START = 1e-5;

/**
 * Full effort from rest to the end, arriving on the move: Bogacki–Shampine steps of controlled error,
 * the end found by halving the last step. A load that cannot be moved stays, and the result says
 * `stalled` and where. Where speed follows force almost at once (next to no moved mass), the run goes
 * along the speed at which force and load balance.
 */
export function fullEffort(system: MotionSystem, options: RunOptions = {}): Run {
  const { tolerance = 1e-5, longest = 60, fewestSteps = 60 } = options;
  const watch = new Watch(system);
  let state: State = [0, 0, 0, 0];
  let time = 0;
  let pull = pullAt(system, 0, 0);
  watch.see(time, state, pull);
  if (!(pull.acceleration > 0)) return watch.result('stalled', time, state);

  const fastest = fastestOf(system);
  const distance = 'travel' in system.until ? system.until.travel : fastest * system.until.time;
  const end = 'time' in system.until ? Math.min(longest, system.until.time) : longest;
  const span = Math.min(end, distance / fastest);
  if (relaxation(system, 0, 0) < NEGLIGIBLE_START * span)
    return alongSettled(system, watch, state, time, end, fewestSteps);

  const scale = [distance, fastest];
  const longestStep = Math.max(distance / fastest, Math.sqrt(distance / pull.acceleration)) / fewestSteps;
  let step = Math.min(longestStep, (1e-3 * fastest) / pull.acceleration);
  let slope = slopeAt(system, state, pull);
  let steps = 0;
  while (time < end) {
    step = Math.min(step, end - time, longestStep);
    const tried = tryStep(system, state, slope, step);
    const error = Math.max(...[Q, V].map((i) => Math.abs(tried.error[i]!) / (tolerance * scale[i]!)));
    if (error > 1) {
      step *= Math.max(0.2, 0.9 / Math.cbrt(error));
      continue;
    }
    if ('travel' in system.until && tried.state[Q] >= system.until.travel) {
      const last = stepTo(system, state, slope, step, system.until.travel);
      watch.see(time + last.step, last.state, pullAt(system, last.state[Q], last.state[V]));
      return watch.result('arrived', time + last.step, last.state);
    }
    time += step;
    state = tried.state;
    pull = pullAt(system, state[Q], state[V]);
    if (state[V] <= 0 && pull.acceleration <= 0) return watch.result('stalled', time, state);
    watch.see(time, state, pull);
    slope = tried.slope;
    step *= Math.min(4, 0.9 / Math.cbrt(Math.max(error, 1e-4)));
    if (++steps > MANY_STEPS) return alongSettled(system, watch, state, time, end, fewestSteps);
  }
  return watch.result('time' in system.until ? 'arrived' : 'time-up', time, state);
}

/** Speed at which the pack's rest voltage is all back-EMF: nothing goes faster by itself. */
function fastestOf({ drive, radius, total }: MotionSystem): number {
  return (drive.restVoltage / drive.motor.backEmfConstant) * (radius / total);
}

/** Seconds in which speed settles, from how acceleration falls with it; ∞ where it does not. */
function relaxation(system: MotionSystem, q: number, speed: number): number {
  const nudge = 1e-4 * fastestOf(system);
  const fall = (pullAt(system, q, speed).acceleration - pullAt(system, q, speed + nudge).acceleration) / nudge;
  return fall > 0 ? 1 / fall : Infinity;
}

/** Goes on at the speed at which drive and load balance, place by place. */
function alongSettled(system: MotionSystem, watch: Watch, from: State, since: number, end: number, count: number): Run {
  let [state, time] = [from, since];
  const { until } = system;
  for (let i = 0; i < count; i++) {
    const speed = settledSpeed(system, state[Q]);
    if (speed === undefined) return watch.result('stalled', time, [state[Q], 0, state[ENERGY], state[I2]]);
    const left = 'travel' in until ? (until.travel - state[Q]) / speed : end - time;
    const step = Math.min(left / (count - i), end - time);
    const moving: State = [state[Q], speed, state[ENERGY], state[I2]];
    const slope = slopeAt(system, moving, pullAt(system, state[Q], speed));
    state = [state[Q] + speed * step, speed, state[ENERGY] + slope[ENERGY] * step, state[I2] + slope[I2] * step];
    time += step;
    watch.see(time, state, pullAt(system, state[Q], speed));
    if (time >= end) return watch.result('time' in until ? 'arrived' : 'time-up', time, state);
  }
  return watch.result('arrived', time, state);
}

/** The speed at one place at which nothing speeds up any more; `undefined` where it cannot start. */
function settledSpeed(system: MotionSystem, q: number): number | undefined {
  if (!(pullAt(system, q, 0).acceleration > 0)) return undefined;
  let [low, high] = [0, fastestOf(system)];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (pullAt(system, q, middle).acceleration > 0) low = middle;
    else high = middle;
  }
  return low > 0 ? low : undefined;
}

function slopeAt({ drive, packResistance }: MotionSystem, state: State, pull: Pull): State {
  const { motorCurrent, supplyCurrent } = pull.point;
  const total = drive.motors * supplyCurrent;
  const power = (drive.restVoltage - packResistance * total) * total;
  return [state[V], pull.acceleration, power, motorCurrent * motorCurrent];
}

const along = (state: State, step: number, ...slopes: readonly (readonly [number, State])[]): State => {
  const at = (i: 0 | 1 | 2 | 3) =>
    state[i] + step * slopes.reduce((sum, [weight, slope]) => sum + weight * slope[i], 0);
  return [at(Q), at(V), at(ENERGY), at(I2)];
};

function slopeOf(system: MotionSystem, state: State): State {
  return slopeAt(system, state, pullAt(system, state[Q], Math.max(0, state[V])));
}

/** One Bogacki–Shampine step: third order, with the second-order answer beside it as the error. */
function tryStep(system: MotionSystem, state: State, k1: State, step: number) {
  const k2 = slopeOf(system, along(state, step, [1 / 2, k1]));
  const k3 = slopeOf(system, along(state, step, [3 / 4, k2]));
  const next = along(state, step, [2 / 9, k1], [1 / 3, k2], [4 / 9, k3]);
  const k4 = slopeOf(system, next);
  const error = along([0, 0, 0, 0], step, [2 / 9 - 7 / 24, k1], [1 / 3 - 1 / 4, k2], [4 / 9 - 1 / 3, k3], [-1 / 8, k4]);
  return { state: next, slope: k4, error };
}

/** Shortens a step that went beyond the end until it ends there. */
function stepTo(system: MotionSystem, state: State, slope: State, beyond: number, travel: number) {
  let [low, high] = [0, beyond];
  let reached = tryStep(system, state, slope, high).state;
  for (let i = 0; i < 50 && high - low > 1e-12; i++) {
    const middle = (low + high) / 2;
    const tried = tryStep(system, state, slope, middle).state;
    if (tried[Q] < travel) low = middle;
    else [high, reached] = [middle, tried];
  }
  return { step: high, state: reached };
}

/** Keeps samples and peaks, also where the limit that holds changes between two samples. */
class Watch {
  private readonly samples: RunSample[] = [];
  private topSpeed = 0;
  private peakMotor = 0;
  private peakSupply = 0;
  private slipped = false;
  private readonly warmth: Warmth;

  constructor(private readonly system: MotionSystem) {
    this.warmth = new Warmth(system);
  }

  see(time: number, state: State, pull: Pull): void {
    const before = this.samples.at(-1);
    if (before && before.heldBy !== pull.point.heldBy) this.seeChange(before, state);
    this.note(pull, state[V]);
    if (before) this.warmth.pass(time - before.time, before, pull.point, state[V]);
    const supply = this.system.drive.motors * pull.point.supplyCurrent;
    this.samples.push({
      time,
      place: state[Q],
      speed: state[V],
      motorCurrent: pull.point.motorCurrent,
      supplyCurrent: supply,
      packVoltage: this.voltageAt(supply),
      heldBy: pull.point.heldBy,
    });
  }

  private note(pull: Pull, speed: number): void {
    this.topSpeed = Math.max(this.topSpeed, speed);
    this.peakMotor = Math.max(this.peakMotor, pull.point.motorCurrent);
    this.peakSupply = Math.max(this.peakSupply, this.system.drive.motors * pull.point.supplyCurrent);
    this.slipped ||= pull.slipping;
  }

  private seeChange(before: RunSample, state: State): void {
    let [low, high] = [before.speed, state[V]];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      const pull = pullAt(this.system, before.place, middle);
      this.note(pull, middle);
      if (pull.point.heldBy === before.heldBy) low = middle;
      else high = middle;
    }
  }

  private voltageAt(supplyCurrent: number): number {
    return this.system.drive.restVoltage - this.system.packResistance * supplyCurrent;
  }

  result(outcome: Run['outcome'], time: number, state: State): Run {
    return {
      outcome,
      time,
      place: state[Q],
      endSpeed: Math.max(0, state[V]),
      topSpeed: this.topSpeed,
      peakMotorCurrent: this.peakMotor,
      rmsMotorCurrent: time > 0 ? Math.sqrt(state[I2] / time) : this.peakMotor,
      peakSupplyCurrent: this.peakSupply,
      leastPackVoltage: this.voltageAt(this.peakSupply),
      packEnergy: state[ENERGY],
      ...this.warmth.result(),
      slipped: this.slipped,
      samples: this.samples,
    };
  }
}
