import type { MotorConstants } from './constants.js';

/**
 * Speed at full voltage V and current I, rad/s.
 *
 * @example speedAt(motor, 12, 40) //=> 409.1
 */
export function speedAt(motor: MotorConstants, voltage: number, current: number): number {
  return (voltage - current * motor.resistance) / motor.backEmfConstant;
}

/**
 * ω at which the motor turns with nothing on its shaft.
 *
 * @example freeSpeedAt(motor, 12) //=> 607.4
 */
export function freeSpeedAt(motor: MotorConstants, voltage: number): number {
  return speedAt(motor, voltage, motor.freeCurrent);
}

/**
 * I* = √(I0·V/R)
 *
 * @example currentAtPeakEfficiency(motor, 12) //=> 16.11
 */
export function currentAtPeakEfficiency(motor: MotorConstants, voltage: number): number {
  return Math.sqrt((motor.freeCurrent * voltage) / motor.resistance);
}

/**
 * η* = (Kt/Ke)·(1 − √(I0·R/V))²
 *
 * @example peakEfficiency(motor, 12) //=> 0.6974
 */
export function peakEfficiency(motor: MotorConstants, voltage: number): number {
  const loss = Math.sqrt((motor.freeCurrent * motor.resistance) / voltage);
  return (motor.torqueConstant / motor.backEmfConstant) * (1 - loss) ** 2;
}

/**
 * I = (I0 + V/R)/2
 *
 * @example currentAtPeakPower(motor, 12) //=> 60.1
 */
export function currentAtPeakPower(motor: MotorConstants, voltage: number): number {
  return (motor.freeCurrent + voltage / motor.resistance) / 2;
}

/**
 * Greatest shaft power at this voltage, W.
 *
 * @example peakPower(motor, 12) //=> 318.9
 */
export function peakPower(motor: MotorConstants, voltage: number): number {
  const current = currentAtPeakPower(motor, voltage);
  return motor.torqueConstant * (current - motor.freeCurrent) * speedAt(motor, voltage, current);
}
