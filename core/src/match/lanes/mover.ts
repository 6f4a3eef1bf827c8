import { supplyForMotorCurrent } from '../../models/controller/currents.js';
import { driveOf, type Drive } from '../../models/controller/drive.js';
import { driveInto } from '../../models/controller/drivePoint.js';
import { brakeAt, coastAt, newPull, pullAt, type Pull } from '../../judge/motion/acceleration.js';
import { dragHeat } from '../../models/motor/constants.js';
import { flowInto } from '../../judge/motion/flowFor.js';
import type { BrakingCurve } from '../../judge/motion/stopThere.js';
import { movingOf, type MotionSystem } from '../../judge/motion/system.js';

/** What a mover is told to do. Speeds on q. */
export type Command =
  | { readonly kind: 'effort' }
  /** At full effort until the brakes must go on, then braking to a stand there; never faster than the brakes hold. */
  | { readonly kind: 'stop'; readonly curve: BrakingCurve }
  /** A speed to keep to, told for each moment since it began. */
  | { readonly kind: 'follow'; readonly speedAt: (time: number) => number; readonly rateAt: (time: number) => number }
  /** A current that holds a load at rest. */
  | { readonly kind: 'hold'; readonly current: number }
  | { readonly kind: 'coast' };

/** So much further than it should stand, and still faster: its brakes do not hold it. */
const RAN_PAST = 1.1;
/** How fast a commanded speed is caught up with, s. */
const CATCH_UP = 0.02;

/** Motors behind speed controllers in a match: where they are, and what they draw at the volts that are there. */
export class Mover {
  place = 0;
  speed = 0;
  command: Command = { kind: 'coast' };
  /** When the command was given, s. */
  since = 0;
  /** Of a stop: the brakes are on, and stay on until it stands. */
  brakes = false;
  /** Of a stop: it goes as fast as its brakes may still hold, and no faster. */
  capped = false;
  /** The pull at the state and the volts that were asked last. */
  readonly pull: Pull = newPull();
  private readonly drive: { -readonly [K in keyof Drive]: Drive[K] };
  private readonly system: MotionSystem;
  /** What may be returned, W; infinite where nothing limits it. */
  private readonly returned: number;

  /** @param branch Ω in front of one motor's controller that it shares with none but its own */
  constructor(system: MotionSystem, branch: number) {
    this.drive = driveOf({ ...system.drive, supplyResistance: branch });
    this.system = Object.assign(movingOf(system), { drive: this.drive });
    this.returned = (system.drive.returnLimit ?? Infinity) * system.drive.restVoltage;
  }

  /**
   * Takes the volts that are there. What may be returned is told for a pack at rest; while others pull it down they take
   * what comes back, and the same power may come: brakes that hold a load alone hold it in the match.
   */
  private feel(volts: number): void {
    this.drive.restVoltage = Math.max(volts, 1e-3);
    if (this.returned < Infinity) this.drive.returnLimit = this.returned / this.drive.restVoltage;
  }

  tell(command: Command, time: number): void {
    this.command = command;
    this.brakes = false;
    this.capped = false;
    this.since = time;
  }

  /** What all its motors draw at some volts, A. */
  drawn(volts: number, place: number, speed: number, time: number): number {
    this.feel(volts);
    const { command, drive, pull, system } = this;
    switch (command.kind) {
      case 'coast':
        return 0;
      case 'hold':
        return drive.motors * (supplyForMotorCurrent(drive, 0, command.current) ?? mostOf(drive));
      case 'effort': {
        // The load does not matter to what flows: only the speed does.
        const ramp = system.rampTime ?? 0;
        const since = time - this.since;
        const duty = since < ramp ? Math.max(1e-9, drive.greatestDuty * (since / ramp)) : drive.greatestDuty;
        driveInto(pull, drive, (Math.max(0, speed) * system.total) / system.radius, duty);
        return drive.motors * pull.supplyCurrent;
      }
      default:
        return drive.motors * this.at(volts, place, speed, time).supplyCurrent;
    }
  }

  /** Acceleration and currents of one motor at some volts. */
  at(volts: number, place: number, speed: number, time: number): Pull {
    this.feel(volts);
    const { command, drive, pull, system } = this;
    const forwards = Math.max(0, speed);
    switch (command.kind) {
      case 'effort':
        return pullAt(system, place, forwards, time - this.since, pull);
      case 'stop':
        if (this.brakes) return brakeAt(system, place, forwards, pull);
        return this.capped
          ? this.follow(command.curve.fastest, 0, place, forwards)
          : pullAt(system, place, forwards, time - this.since, pull);
      case 'follow':
        return this.follow(command.speedAt(time - this.since), command.rateAt(time - this.since), place, forwards);
      case 'coast':
        return coastAt(system, place, forwards, 0, pull);
      case 'hold':
        pull.acceleration = 0;
        pull.motorCurrent = command.current;
        pull.supplyCurrent = supplyForMotorCurrent(drive, 0, command.current) ?? mostOf(drive);
        return pull;
    }
  }

  private follow(wanted: number, rate: number, place: number, speed: number): Pull {
    const asked = rate + (wanted - speed) / CATCH_UP;
    if (flowInto(this.pull, this.system, place, speed, asked) >= 1) return this.pull;
    return asked > 0
      ? pullAt(this.system, place, speed, Infinity, this.pull)
      : brakeAt(this.system, place, speed, this.pull);
  }

  /** Friction, iron and brushes of one motor at the speed it has, W. */
  frictionAt(motorCurrent: number): number {
    return dragHeat(this.drive.motor, motorCurrent, (this.speed * this.system.total) / this.system.radius);
  }

  /** From 0 on a stop must do something else: how far past the place of its brakes it is, or how much too fast. */
  overrun(place: number, speed: number): number {
    const { command } = this;
    if (command.kind !== 'stop' || this.brakes || !(speed > 0)) return -Infinity;
    const past = place - command.curve.placeFor(speed);
    return this.capped ? past : Math.max(past, speed - command.curve.fastest);
  }

  /** Brakes are on, and do not hold what pushes: it is past its end and gets faster. */
  runsPast(travel: number): boolean {
    return this.brakes && this.place > RAN_PAST * travel && this.pull.acceleration > 0;
  }

  /** Does what a stop must do where it is now. */
  heed(place: number, speed: number): void {
    const { command } = this;
    if (command.kind !== 'stop' || this.overrun(place, speed) < 0) return;
    if (place >= command.curve.placeFor(speed)) this.brakes = true;
    else this.capped = true;
  }
}

/** The most a pack can give through the wires of one motor. */
const mostOf = ({ restVoltage, supplyResistance }: Drive): number =>
  supplyResistance > 0 ? restVoltage / (2 * supplyResistance) : Infinity;
