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

/** What stops the current from being greater. */
export type HeldBy = 'voltage' | 'stator' | 'supply' | 'returned';
