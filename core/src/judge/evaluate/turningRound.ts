import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { reversingTime } from '../../models/servo/moveTime.js';

/** What a servo has to turn round: how much of it is its own motor, and how long it takes from full speed to full speed. */
export interface TurningRound {
  /** Share, 0…1. */
  readonly rotor: number;
  /** s */
  readonly time: number;
}

/** `undefined` where a figure of the linkage, the load or the servo is missing. */
export function turningRoundOf({ servo, load, linked, motors }: ServoPath): TurningRound | undefined {
  const ratio = linked?.ratioAt(0) ?? NaN;
  const whole = servo.rotorAtHorn + (load.inertia(0) * ratio ** 2) / motors;
  if (!Number.isFinite(whole)) return undefined;
  return { rotor: servo.rotorAtHorn / whole, time: reversingTime(servo.rating, whole) };
}
