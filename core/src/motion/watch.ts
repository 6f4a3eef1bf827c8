import type { Pull } from './acceleration.js';
import type { State } from './integrate.js';
import { ENERGY, I2, Q, V } from './integrate.js';
import type { Outcome, Run, RunSample } from './run.js';
import type { MotionSystem } from './system.js';
import { Warmth } from './warmth.js';

/** Keeps samples and peaks of a run, also where the limit that holds changes between two samples. */
export class Watch {
  readonly samples: RunSample[] = [];
  private topSpeed = 0;
  private peakMotor = 0;
  private peakSupply = 0;
  private peakReturned = 0;
  private slipped = false;
  private readonly warmth: Warmth;

  constructor(private readonly system: MotionSystem) {
    this.warmth = new Warmth(system);
  }

  /** `between` answers a pull at a speed between this sample and the one before. */
  see(time: number, state: State, pull: Pull, between?: (q: number, speed: number) => Pull): void {
    const before = this.samples.at(-1);
    if (between && before && before.heldBy !== pull.point.heldBy) this.seeChange(before, state[V], between);
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
      braking: pull.point.shaftTorque < 0,
    });
  }

  private note(pull: Pull, speed: number): void {
    const supply = this.system.drive.motors * pull.point.supplyCurrent;
    this.topSpeed = Math.max(this.topSpeed, speed);
    this.peakMotor = Math.max(this.peakMotor, pull.point.motorCurrent);
    this.peakSupply = Math.max(this.peakSupply, supply);
    this.peakReturned = Math.max(this.peakReturned, -supply);
    this.slipped ||= pull.slipping;
  }

  private seeChange(before: RunSample, speed: number, between: (q: number, speed: number) => Pull): void {
    let [low, high] = [before.speed, speed];
    for (let i = 0; i < 20; i++) {
      const middle = (low + high) / 2;
      const pull = between(before.place, middle);
      this.note(pull, middle);
      if (pull.point.heldBy === before.heldBy) low = middle;
      else high = middle;
    }
  }

  private voltageAt(supplyCurrent: number): number {
    return this.system.drive.restVoltage - this.system.packResistance * supplyCurrent;
  }

  result(outcome: Outcome, time: number, state: State): Run {
    return {
      outcome,
      time,
      place: state[Q],
      endSpeed: Math.max(0, state[V]),
      topSpeed: this.topSpeed,
      peakMotorCurrent: this.peakMotor,
      rmsMotorCurrent: time > 0 ? Math.sqrt(state[I2] / time) : this.peakMotor,
      peakSupplyCurrent: this.peakSupply,
      peakReturned: this.peakReturned,
      leastPackVoltage: this.voltageAt(this.peakSupply),
      packEnergy: state[ENERGY],
      ...this.warmth.result(),
      slipped: this.slipped,
      samples: this.samples,
    };
  }
}
