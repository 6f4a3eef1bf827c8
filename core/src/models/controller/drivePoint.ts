import { currentAtSupply, currentAtVoltage, supplyForMotorCurrent } from './currents.js';
import type { Drive, HeldBy } from './drive.js';

/** Full command at one motor speed. Currents and torque of one motor. */
export interface DrivePoint {
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  /** Voltage where the controller takes it, V. */
  readonly supplyVoltage: number;
  /** Kt·(I − I0 − I1·ω); at rest never under 0, since friction only opposes. */
  readonly shaftTorque: number;
  readonly heldBy: HeldBy;
}

/** What flows in one motor, to be written into. */
export interface FlowInto {
  motorCurrent: number;
  supplyCurrent: number;
  shaftTorque: number;
  heldBy: HeldBy;
}

/**
 * The most a drive gives at a motor speed (rad/s ≥ 0): the greatest duty at which the voltage, the
 * pack-side and the motor-side limit all hold, and which of them held it.
 *
 * @example drivePoint(drive, 300) //=> { motorCurrent: 44.75, supplyCurrent: 40, supplyVoltage: 11.8, shaftTorque: 0.7717, heldBy: 'supply' }
 */
export function drivePoint(drive: Drive, speed: number): DrivePoint {
  const point = { motorCurrent: 0, supplyCurrent: 0, supplyVoltage: 0, shaftTorque: 0, heldBy: 'voltage' as HeldBy };
  driveInto(point, drive, speed, drive.greatestDuty);
  point.supplyVoltage = drive.restVoltage - drive.supplyResistance * point.supplyCurrent;
  return point;
}

/** The same written into what is there, at up to a duty: a run asks it hundreds of times. */
export function driveInto(into: FlowInto, drive: Drive, speed: number, duty: number): void {
  let motorCurrent = currentAtVoltage(drive, speed, duty);
  let supplyCurrent = duty * motorCurrent;
  let heldBy: HeldBy = 'voltage';
  if (drive.supplyLimit !== undefined && supplyCurrent > drive.supplyLimit) {
    supplyCurrent = drive.supplyLimit;
    motorCurrent = currentAtSupply(drive, speed, supplyCurrent);
    heldBy = 'supply';
  }
  if (drive.statorLimit !== undefined && motorCurrent > drive.statorLimit) {
    motorCurrent = drive.statorLimit;
    supplyCurrent = supplyForMotorCurrent(drive, speed, motorCurrent) ?? supplyCurrent;
    heldBy = 'stator';
  }
  into.motorCurrent = motorCurrent;
  into.supplyCurrent = supplyCurrent;
  into.shaftTorque = shaftTorque(drive, motorCurrent, speed);
  into.heldBy = heldBy;
}

/**
 * Kt·(I − I0 − I1·|ω|); at rest friction can take all of it but never pull back.
 *
 * @example shaftTorque(drive, 40, 300) //=> 0.6855
 */
export function shaftTorque({ motor }: Drive, current: number, speed: number): number {
  const net = current - motor.freeCurrent - motor.freeCurrentPerSpeed * Math.abs(speed);
  return motor.torqueConstant * (speed === 0 ? Math.max(0, net) : net);
}
