import type { HeldBy } from '../controller/drive.js';
import { COPPER_ALPHA } from '../motor/heat.js';
import { pullAt, type Pull } from './acceleration.js';
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

// q, v, energy, ∫I², winding °C, case °C, breaker heat
type State = readonly number[];
const [Q, V, ENERGY, I2, WINDING, CASE, BREAKER] = [0, 1, 2, 3, 4, 5, 6] as const;
const AMBIENT_WITHOUT_HEAT = 25;

/**
 * Full effort from rest to the end, arriving on the move: Bogacki–Shampine steps of controlled error,
 * the end found by halving the last step. A load that cannot be moved stays, and the result says
 * `stalled` and where.
 */
export function fullEffort(system: MotionSystem, options: RunOptions = {}): Run {
  const { tolerance = 1e-5, longest = 60, fewestSteps = 60 } = options;
  const ambient = system.thermal?.ambient ?? AMBIENT_WITHOUT_HEAT;
  const watch = new Watch(system);
  let state: State = [0, 0, 0, 0, ambient, ambient, 0];
  let time = 0;
  let pull = pullAt(system, 0, 0);
  watch.see(time, state, pull);
  if (pull.acceleration <= 0) return watch.result('stalled', time, state);

  const topSpeed = (system.drive.restVoltage / system.drive.motor.backEmfConstant) * (system.radius / system.total);
  const distance = 'travel' in system.until ? system.until.travel : topSpeed * system.until.time;
  const scale = [distance, topSpeed];
  const end = 'time' in system.until ? Math.min(longest, system.until.time) : longest;
  const longestStep = Math.max(distance / topSpeed, Math.sqrt(distance / pull.acceleration)) / fewestSteps;
  let step = Math.min(longestStep, (1e-3 * topSpeed) / pull.acceleration);
  let slope = slopeAt(system, state, pull);

  while (time < end) {
    step = Math.min(step, end - time, longestStep);
    const tried = tryStep(system, state, slope, step);
    const error = Math.max(...[Q, V].map((i) => Math.abs(tried.error[i]!) / (tolerance * scale[i]!)));
    if (error > 1 && step > 1e-9) {
      step *= Math.max(0.2, 0.9 / Math.cbrt(error));
      continue;
    }
    if ('travel' in system.until && tried.state[Q]! >= system.until.travel) {
      const last = stepTo(system, state, slope, step, system.until.travel);
      watch.see(time + last.step, last.state, pullAt(system, last.state[Q]!, last.state[V]!));
      return watch.result('arrived', time + last.step, last.state);
    }
    time += step;
    state = tried.state;
    pull = pullAt(system, state[Q]!, state[V]!);
    if (state[V]! <= 0 && pull.acceleration <= 0) return watch.result('stalled', time, state);
    watch.see(time, state, pull);
    slope = tried.slope;
    step *= Math.min(4, 0.9 / Math.cbrt(Math.max(error, 1e-4)));
  }
  return watch.result('time' in system.until ? 'arrived' : 'time-up', time, state);
}

function slopeAt(system: MotionSystem, state: State, pull: Pull): State {
  const { drive, thermal, breaker, packResistance } = system;
  const { motorCurrent: current, supplyCurrent } = pull.point;
  const total = drive.motors * supplyCurrent;
  const power = (drive.restVoltage - packResistance * total) * total;
  const breakerSlope = breaker
    ? (((supplyCurrent * breaker.share) / breaker.holds) ** 2 - state[BREAKER]!) / breaker.timeConstant
    : 0;
  const heat = thermal ? heatSlope(system, thermal, state, current) : [0, 0];
  return [state[V]!, pull.acceleration, power, current * current, heat[0]!, heat[1]!, breakerSlope];
}

function heatSlope(
  { drive, total, radius }: MotionSystem,
  thermal: NonNullable<MotionSystem['thermal']>,
  state: State,
  current: number,
) {
  const { motor } = drive;
  const winding = state[WINDING]!;
  const shell = state[CASE]!;
  const across = (winding - shell) / thermal.windingToCase;
  const copper = current * current * motor.resistance * (1 + COPPER_ALPHA * (winding - 20));
  const friction =
    (motor.torqueConstant * motor.freeCurrent + (motor.backEmfConstant - motor.torqueConstant) * current) *
    ((state[V]! * total) / radius);
  return [
    (copper - across) / thermal.windingCapacity,
    (across + friction - (shell - thermal.ambient) / thermal.caseToAir) / thermal.caseCapacity,
  ];
}

const along = (state: State, step: number, ...slopes: readonly (readonly [number, State])[]): State =>
  state.map((value, i) => value + step * slopes.reduce((sum, [weight, slope]) => sum + weight * slope[i]!, 0));

function slopeOf(system: MotionSystem, state: State): State {
  return slopeAt(system, state, pullAt(system, state[Q]!, Math.max(0, state[V]!)));
}

/** One Bogacki–Shampine step: third order, with the second-order answer beside it as the error. */
function tryStep(system: MotionSystem, state: State, k1: State, step: number) {
  const k2 = slopeOf(system, along(state, step, [1 / 2, k1]));
  const k3 = slopeOf(system, along(state, step, [3 / 4, k2]));
  const next = along(state, step, [2 / 9, k1], [1 / 3, k2], [4 / 9, k3]);
  const k4 = slopeOf(system, next);
  const error = along([0, 0], step, [2 / 9 - 7 / 24, k1], [1 / 3 - 1 / 4, k2], [4 / 9 - 1 / 3, k3], [-1 / 8, k4]);
  return { state: next, slope: k4, error };
}

/** Shortens a step that went beyond the end until it ends there. */
function stepTo(system: MotionSystem, state: State, slope: State, beyond: number, travel: number) {
  let [low, high] = [0, beyond];
  let reached = tryStep(system, state, slope, high).state;
  for (let i = 0; i < 50 && high - low > 1e-12; i++) {
    const middle = (low + high) / 2;
    const tried = tryStep(system, state, slope, middle).state;
    if (tried[Q]! < travel) low = middle;
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

  constructor(private readonly system: MotionSystem) {}

  see(time: number, state: State, pull: Pull): void {
    const before = this.samples.at(-1);
    if (before && before.heldBy !== pull.point.heldBy) this.seeChange(before, state);
    this.note(pull, state[V]!);
    const supply = this.system.drive.motors * pull.point.supplyCurrent;
    this.samples.push({
      time,
      place: state[Q]!,
      speed: state[V]!,
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
    let [low, high] = [before.speed, state[V]!];
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
      place: state[Q]!,
      endSpeed: Math.max(0, state[V]!),
      topSpeed: this.topSpeed,
      peakMotorCurrent: this.peakMotor,
      rmsMotorCurrent: time > 0 ? Math.sqrt(state[I2]! / time) : this.peakMotor,
      peakSupplyCurrent: this.peakSupply,
      leastPackVoltage: this.voltageAt(this.peakSupply),
      packEnergy: state[ENERGY]!,
      ...(this.system.thermal ? { windingTemperature: state[WINDING]! } : {}),
      ...(this.system.breaker ? { breakerHeat: state[BREAKER]! } : {}),
      slipped: this.slipped,
      samples: this.samples,
    };
  }
}
