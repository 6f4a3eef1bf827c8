import { voltsAgainst, type MotorConstants } from './constants.js';

/** V − Vb: what reaches the winding of a motor whose brushes drop some. */
const within = (motor: MotorConstants, voltage: number): number => voltage - voltsAgainst(motor, 0);

/**
 * Speed at full voltage V and current I, rad/s. V is less what brushes drop, here and below.
 *
 * @example speedAt(motor, 12, 40) //=> 409.1
 */
export function speedAt(motor: MotorConstants, voltage: number, current: number): number {
  return (within(motor, voltage) - current * motor.resistance) / motor.backEmfConstant;
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
  return Math.sqrt((motor.freeCurrent * within(motor, voltage)) / motor.resistance);
}

/**
 * η* = (Kt/Ke)·(1 − √(I0·R/V))²
 *
 * @example peakEfficiency(motor, 12) //=> 0.6974
 */
export function peakEfficiency(motor: MotorConstants, voltage: number): number {
  const volts = within(motor, voltage);
  const loss = Math.sqrt((motor.freeCurrent * motor.resistance) / volts);
  return (motor.torqueConstant / motor.backEmfConstant) * (volts / voltage) * (1 - loss) ** 2;
}

/**
 * I = (I0 + V/R)/2
 *
 * @example currentAtPeakPower(motor, 12) //=> 60.1
 */
export function currentAtPeakPower(motor: MotorConstants, voltage: number): number {
  return (motor.freeCurrent + within(motor, voltage) / motor.resistance) / 2;
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
