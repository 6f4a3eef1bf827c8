import { voltsToBrake } from '../motor/constants.js';
import { loopResistance } from './currents.js';
import type { Drive, HeldBy } from './drive.js';
import type { FlowInto } from './drivePoint.js';

/** Full braking at one motor speed. Of one motor; braking counts positive. */
export interface BrakePoint {
  readonly motorCurrent: number;
  /** What flows back into the pack; under 0 the pack still gives. */
  readonly returnedCurrent: number;
  /** Ke·J + Kt·I0: the losses help. */
  readonly shaftTorque: number;
  readonly heldBy: HeldBy;
}

/**
 * The most braking at a motor speed (rad/s ≥ 0) with the pack at its rest voltage. J is the motor-side
 * limit where what it returns is within the return limit, else the lower root of
 * R'·J² − Ke·ω·J + Voc·Ireturn = 0. Beyond J = Ke·ω/R' the pack gives, and the pack-side limit and
 * full reversed volts hold. A controller without a motor-side limit shorts the motor: J = Ke·ω/R'.
 * What brushes drop is off Ke·ω everywhere.
 *
 * @example brakePoint(drive, 400) //=> { motorCurrent: 60, returnedCurrent: 6.731, shaftTorque: 1.203, heldBy: 'stator' }
 */
export function brakePoint(drive: Drive, speed: number): BrakePoint {
  const r = loopResistance(drive);
  const emf = voltsToBrake(drive.motor, speed);
  let motorCurrent = Math.max(0, emf) / r;
  let heldBy: HeldBy = 'voltage';
  if (drive.brakeLimit !== undefined) {
    const reversed = (drive.restVoltage + emf) / r;
    motorCurrent = Math.min(drive.brakeLimit, reversed);
    heldBy = motorCurrent < drive.brakeLimit ? 'voltage' : 'stator';
  }
  if (drive.returnLimit !== undefined && returnedBy(motorCurrent, emf, r, drive.restVoltage) > drive.returnLimit) {
    motorCurrent =
      (2 * drive.restVoltage * drive.returnLimit) / (emf + rootOf(emf, -r * drive.restVoltage * drive.returnLimit));
    heldBy = 'returned';
  } else if (
    drive.supplyLimit !== undefined &&
    -returnedBy(motorCurrent, emf, r, drive.restVoltage) > drive.supplyLimit
  ) {
    motorCurrent = (emf + rootOf(emf, r * drive.restVoltage * drive.supplyLimit)) / (2 * r);
    heldBy = 'supply';
  }
  const { torqueConstant, backEmfConstant, freeCurrent, freeCurrentPerSpeed } = drive.motor;
  return {
    motorCurrent,
    returnedCurrent: returnedBy(motorCurrent, emf, r, drive.restVoltage),
    shaftTorque: backEmfConstant * motorCurrent + torqueConstant * (freeCurrent + freeCurrentPerSpeed * speed),
    heldBy,
  };
}

/** The same written into what is there, as a flow: what goes back counts negative, and so does braking. */
export function brakeInto(into: FlowInto, drive: Drive, speed: number): void {
  const point = brakePoint(drive, speed);
  into.motorCurrent = point.motorCurrent;
  into.supplyCurrent = -point.returnedCurrent;
  into.shaftTorque = -point.shaftTorque;
  into.heldBy = point.heldBy;
}

/** What a braking current sends back: (Ke·ω − J·R')·J/Voc. */
const returnedBy = (current: number, emf: number, resistance: number, volts: number): number =>
  (current * (emf - current * resistance)) / volts;

const rootOf = (emf: number, term: number): number => Math.sqrt(Math.max(0, emf * emf + 4 * term));

/**
 * Volts the controller feels while the motors return current: Voc + n·Rp·I, against its highest.
 *
 * @example voltsWhileReturning(drive, 13.6, 40) //=> 14.4
 */
export const voltsWhileReturning = (drive: Drive, restVoltage: number, returnedCurrent: number): number =>
  restVoltage + drive.supplyResistance * Math.max(0, returnedCurrent);
