import { voltsAgainst } from '../motor/constants.js';
import type { Drive } from './drive.js';

/**
 * R' = R + Ron: everything in the motor's loop.
 *
 * @example loopResistance(drive) //=> 0.1057
 */
export const loopResistance = (drive: Drive): number => drive.motor.resistance + drive.controllerResistance;

/**
 * Voltage holds: I = (d·Voc − Ke·ω − Vb)/(R' + d²·Rs), never under 0.
 *
 * @example currentAtVoltage(drive, 300) //=> 53.97
 */
export function currentAtVoltage(drive: Drive, speed: number, duty = drive.greatestDuty): number {
  const spare = duty * drive.restVoltage - voltsAgainst(drive.motor, speed);
  return Math.max(0, spare / (loopResistance(drive) + duty * duty * drive.supplyResistance));
}

/**
 * Motor current when the pack gives `supplyCurrent`: the positive root of
 * R'·I² + (Ke·ω + Vb)·I = (Voc − Rs·Ib)·Ib. Beyond Voc/(2·Rs) the pack's power only falls again, so that a
 * limit up there is never what holds: the current at that greatest power stands for it.
 *
 * @example currentAtSupply(drive, 300, 20) //=> 27.85
 */
export function currentAtSupply(drive: Drive, speed: number, supplyCurrent: number): number {
  const emf = voltsAgainst(drive.motor, speed);
  const useful = Math.min(supplyCurrent, drive.restVoltage / (2 * drive.supplyResistance));
  const power = (drive.restVoltage - drive.supplyResistance * useful) * useful;
  if (power <= 0) return 0;
  const r = loopResistance(drive);
  return (2 * power) / (emf + Math.sqrt(emf * emf + 4 * r * power));
}

/**
 * Supply current that a motor current takes at a speed: the lower root of
 * Rs·Ib² − Voc·Ib + I·(Ke·ω + Vb + I·R') = 0. `undefined` where the pack cannot give that power.
 *
 * @example supplyForMotorCurrent(drive, 300, 40) //=> 33.69
 */
export function supplyForMotorCurrent(drive: Drive, speed: number, current: number): number | undefined {
  const power = current * (voltsAgainst(drive.motor, speed) + current * loopResistance(drive));
  if (power === 0) return 0;
  const inside = drive.restVoltage ** 2 - 4 * drive.supplyResistance * power;
  return inside < 0 || drive.restVoltage <= 0 ? undefined : (2 * power) / (drive.restVoltage + Math.sqrt(inside));
}
