/** A step-driven servo motor: it knows where it stands, and alarms instead of losing steps. SI at its shaft. */
export interface StepServoFigures {
  readonly ratedTorque: number;
  /** Up to here rated and peak torque are there, rad/s at the rated voltage. */
  readonly ratedSpeed: number;
  readonly peakTorque: number;
  /** Nothing is left here, rad/s at the rated voltage. */
  readonly topSpeed: number;
  /** Supply over the rated voltage: speeds go with it, and never above the sheet's. */
  readonly voltageShare: number;
}

/** 1 up to rated speed, falling evenly to 0 at top speed. */
function share({ ratedSpeed, topSpeed, voltageShare }: StepServoFigures, speed: number): number {
  const scale = Math.min(1, voltageShare);
  const [full, none] = [ratedSpeed * scale, topSpeed * scale];
  if (speed <= full) return 1;
  return speed >= none ? 0 : (none - speed) / (none - full);
}

/**
 * The most it gives for a moment at a motor speed, N·m.
 *
 * @example peakTorqueAt(stepServo, 350) //=> 2.406
 */
export const peakTorqueAt = (motor: StepServoFigures, speed: number): number => motor.peakTorque * share(motor, speed);

/**
 * What it gives for ever at a motor speed, N·m.
 *
 * @example ratedTorqueAt(stepServo, 350) //=> 0.8021
 */
export const ratedTorqueAt = (motor: StepServoFigures, speed: number): number =>
  motor.ratedTorque * share(motor, speed);
