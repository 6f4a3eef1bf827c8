import { bisect } from '../../models/numbers/bisect.js';
import { newPull, type Pull, type PullRule } from './acceleration.js';
import { ENERGY, I2, Q, stateOf, V, type State } from './integrate.js';
import type { Outcome, Run, RunSample } from './run.js';
import type { MotionSystem } from './system.js';
import { Warmth } from './warmth.js';

/** Steps in which a winding is watched while it stands under current. */
const STALLED_SAMPLES = 24;

/** Keeps samples and peaks of a run, also where the limit that holds changes between two samples. */
export class Watch {
  readonly samples: RunSample[] = [];
  private topSpeed = 0;
  private peakMotor = 0;
  private peakSupply = 0;
  private peakReturned = 0;
  private slipped = false;
  private readonly warmth: Warmth;
  private readonly between = newPull();

  /** @param speedAlone where nothing but the top speed is asked for: samples and warmth cost as much as the motion */
  constructor(
    private readonly system: MotionSystem,
    private readonly speedAlone = false,
  ) {
    this.warmth = new Warmth(system);
  }

  /** `rule` answers a pull at a speed between this sample and the one before. */
  see(time: number, state: State, pull: Pull, rule?: PullRule): void {
    const speed = state[V]!;
    if (this.speedAlone) {
      if (speed > this.topSpeed) this.topSpeed = speed;
      return;
    }
    const before = this.samples.at(-1);
    if (rule && before && before.heldBy !== pull.heldBy) this.seeChange(before, speed, time, rule);
    this.note(pull, speed);
    if (before) this.warmth.pass(time - before.time, before, pull, speed);
    const supply = this.system.drive.motors * pull.supplyCurrent;
    this.samples.push({
      time,
      place: state[Q]!,
      speed,
      motorCurrent: pull.motorCurrent,
      supplyCurrent: supply,
      packVoltage: this.voltageAt(supply),
      heldBy: pull.heldBy,
      braking: pull.shaftTorque < 0,
    });
  }

  private note(pull: Pull, speed: number): void {
    const supply = this.system.drive.motors * pull.supplyCurrent;
    if (speed > this.topSpeed) this.topSpeed = speed;
    if (pull.motorCurrent > this.peakMotor) this.peakMotor = pull.motorCurrent;
    if (supply > this.peakSupply) this.peakSupply = supply;
    if (-supply > this.peakReturned) this.peakReturned = -supply;
    if (pull.slipping) this.slipped = true;
  }

  private seeChange(before: RunSample, speed: number, time: number, rule: PullRule): void {
    bisect(
      before.speed,
      speed,
      (middle) => {
        const pull = rule(before.place, middle, time, this.between);
        this.note(pull, middle);
        return pull.heldBy === before.heldBy;
      },
      20,
    );
  }

  private voltageAt(supplyCurrent: number): number {
    return this.system.drive.restVoltage - this.system.packResistance * supplyCurrent;
  }

  /** What cannot move is pushed at for as long as the job lasts: currents flow, and heat what they flow through. */
  private pushOn(from: number, state: State): { readonly time: number; readonly state: State } {
    const { lasts = 0, drive } = this.system;
    const last = this.samples.at(-1);
    if (!last || lasts <= from) return { time: from, state };
    const step = (lasts - from) / STALLED_SAMPLES;
    const pull = { motorCurrent: last.motorCurrent, supplyCurrent: last.supplyCurrent / drive.motors };
    for (let i = 1; i <= STALLED_SAMPLES; i++) {
      this.warmth.pass(step, last, pull, 0);
      this.samples.push({ ...last, time: from + i * step, speed: 0 });
    }
    const seconds = lasts - from;
    return {
      time: lasts,
      state: stateOf(
        state[Q]!,
        0,
        state[ENERGY]! + last.packVoltage * last.supplyCurrent * seconds,
        state[I2]! + last.motorCurrent ** 2 * seconds,
      ),
    };
  }

  result(outcome: Outcome, at: number, reached: State): Run {
    const stands = outcome === 'stalled' || (outcome === 'cannot-stop' && at === 0);
    const { time, state } = stands ? this.pushOn(at, reached) : { time: at, state: reached };
    const { windingTemperature, breakerHeat } = this.warmth.result();
    return {
      outcome,
      time,
      place: state[Q]!,
      endSpeed: Math.max(0, state[V]!),
      topSpeed: this.topSpeed,
      peakMotorCurrent: this.peakMotor,
      rmsMotorCurrent: time > 0 ? Math.sqrt(state[I2]! / time) : this.peakMotor,
      peakSupplyCurrent: this.peakSupply,
      peakReturned: this.peakReturned,
      leastPackVoltage: this.voltageAt(this.peakSupply),
      packEnergy: state[ENERGY]!,
      windingTemperature,
      breakerHeat,
      slipped: this.slipped,
      samples: this.samples,
    };
  }
}
