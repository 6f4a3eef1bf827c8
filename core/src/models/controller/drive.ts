import type { MotorConstants } from '../motor/constants.js';

/** n motors, each behind its controller, on one pack: all a drive point needs. SI, limits per motor. */
export interface Drive {
  readonly motor: MotorConstants;
  readonly motors: number;
  /** Rotor inertia of one motor, kg·m². */
  readonly rotorInertia: number;
  /** Controller and motor leads, Ω. */
  readonly controllerResistance: number;
  /** Pack voltage at rest, lowered by what the rest of the robot draws, V. */
  readonly restVoltage: number;
  /**
   * Resistance in front of the controller as one motor feels it: n times what all share, plus the
   * motor's own branch, Ω.
   */
  readonly supplyResistance: number;
  readonly statorLimit?: number;
  readonly supplyLimit?: number;
  /** The same two while braking. */
  readonly brakeLimit?: number;
  readonly returnLimit?: number;
  /** Greatest duty, 1 where the controller has no limit of its own. */
  readonly greatestDuty: number;
}

/**
 * A drive as a run asks it: every drive and every motor in it with the same fields in the same order, absent ones too.
 * An engine reads what has one shape several times faster, and a run asks hundreds of times.
 *
 * @example driveOf(drive).greatestDuty //=> 1
 */
export const driveOf = (drive: Drive): Drive => ({
  motor: constantsOf(drive.motor),
  motors: drive.motors,
  rotorInertia: drive.rotorInertia,
  controllerResistance: drive.controllerResistance,
  restVoltage: drive.restVoltage,
  supplyResistance: drive.supplyResistance,
  statorLimit: drive.statorLimit,
  supplyLimit: drive.supplyLimit,
  brakeLimit: drive.brakeLimit,
  returnLimit: drive.returnLimit,
  greatestDuty: drive.greatestDuty,
});

const constantsOf = (motor: MotorConstants): MotorConstants => ({
  resistance: motor.resistance,
  torqueConstant: motor.torqueConstant,
  backEmfConstant: motor.backEmfConstant,
  freeCurrent: motor.freeCurrent,
  freeCurrentPerSpeed: motor.freeCurrentPerSpeed,
  brushDrop: motor.brushDrop,
});

/** What stops the current from being greater. */
export type HeldBy = 'voltage' | 'stator' | 'supply' | 'returned';
