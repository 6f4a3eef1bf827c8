import type { MotorConstants } from '../motor/constants.js';
import type { StartStyle } from '../plan/part.js';
import type { Drive } from './drive.js';
import { loopResistance } from './currents.js';

/** Typical least electrical speed by how a brushless drive starts, rpm of the field. */
export const LEAST_ERPM: Readonly<Record<StartStyle, number>> = { sensors: 0, forced: 300, bump: 2000 };

/** Share of the torque at the motor-side limit that is there while it starts, typical. */
export const START_SHARE: Readonly<Record<StartStyle, number>> = { sensors: 1, forced: 0.5, bump: 0.3 };

/** Seconds within which a start without sensors must have caught on. */
export const START_SECONDS = 0.3;

/** Friction's scatter around its mean, typical: what stalls a creeping brushed motor. */
const FRICTION_SCATTER = 0.3;

/**
 * Least speed of a brushless motor, rad/s, from the least electrical speed (rad/s) and effective pole pairs.
 *
 * @example leastBrushlessSpeed(100, 7) //=> 14.29
 */
export const leastBrushlessSpeed = (leastErpm: number, polePairs: number): number => leastErpm / polePairs;

/**
 * Least steady speed of a brushed motor, rad/s: that at which friction's scatter, 30 % of Kt·I0 more
 * than expected, would stall it at the least step of duty. A dip in speed is answered by (Ke/R') per
 * rad/s; the scatter asks for 0.3·I0, so ω = 0.3·I0·R'/Ke, and never less than one step of duty.
 *
 * @example leastBrushedSpeed(drive, 0.01) //=> 6.499
 */
export function leastBrushedSpeed(drive: Drive, dutyStep: number): number {
  const { motor } = drive;
  const scatter = (FRICTION_SCATTER * motor.freeCurrent * loopResistance(drive)) / motor.backEmfConstant;
  const step = (dutyStep * drive.restVoltage) / motor.backEmfConstant;
  return Math.max(scatter, step);
}

/**
 * Torque left over for a start without sensors, N·m of one motor: Kt·(ks·I − I0) less the load's share.
 * `current` is the motor-side limit, or what the volts give at rest.
 *
 * @example startTorque(motor, 40, 'bump') //=> 0.1777
 */
export const startTorque = (motor: MotorConstants, current: number, style: StartStyle): number =>
  motor.torqueConstant * Math.max(0, START_SHARE[style] * current - motor.freeCurrent);

/**
 * ω = T·R'/(Kt·Ke): what a loaded motor creeps back at while shorted in brake mode.
 *
 * @example creepBackSpeed(drive, 0.3) //=> 90.18
 */
export const creepBackSpeed = (drive: Drive, torque: number): number =>
  (torque * loopResistance(drive)) / (drive.motor.torqueConstant * drive.motor.backEmfConstant);
