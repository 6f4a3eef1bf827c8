import type { MotorConstants } from '../motor/constants.js';
import type { StartStyle } from '../../plan/document/part.js';
import type { Drive } from './drive.js';
import { loopResistance } from './currents.js';

/** Typical least electrical speed by how a brushless drive starts, rpm of the field. */
export const LEAST_ERPM: Readonly<Record<StartStyle, number>> = { sensors: 0, forced: 300, bump: 2000 };

/** How each way to start is told, on the controller, the bench and the cards alike. */
export const START_NAMES: Readonly<Record<StartStyle, string>> = {
  sensors: 'by its sensors',
  forced: 'stepped up blindly',
  bump: 'bumped until it catches',
};

/** Share of the torque at the motor-side limit that is there while it starts, typical. */
export const START_SHARE: Readonly<Record<StartStyle, number>> = { sensors: 1, forced: 0.5, bump: 0.3 };

/** Seconds within which a start without sensors must have caught on. */
export const START_SECONDS = 0.3;

/** Friction's scatter around its mean, typical: what stalls a creeping motor. */
const FRICTION_SCATTER = 0.3;

/** Detent of a brushless motor as a share of its steady torque, typical; next to none without slots. */
export const DETENT_SHARE = 0.05;

/** How often a control loop looks at its encoder, s, typical. */
export const CONTROL_PERIOD = 0.02;

/**
 * Least speed of a brushless motor, rad/s, from the least electrical speed (rad/s) and effective pole pairs.
 *
 * @example leastBrushlessSpeed(100, 7) //=> 14.29
 */
export const leastBrushlessSpeed = (leastErpm: number, polePairs: number): number => leastErpm / polePairs;

/**
 * Least speed, rad/s, under which friction's scatter stalls a motor whose rotor is known to its controller, brushed or
 * with sensors: 30 % of Kt·I0 more than expected, and all of the detent (N·m). A dip in speed is answered by (Ke/R') per
 * rad/s, so ω = (0.3·I0 + Td/Kt)·R'/Ke; and never less than one step of duty.
 *
 * @example leastSteadySpeed(drive, 0.01, 0) //=> 6.499
 */
export function leastSteadySpeed(drive: Drive, dutyStep: number, detent: number): number {
  const { motor, restVoltage } = drive;
  const current = FRICTION_SCATTER * motor.freeCurrent + detent / motor.torqueConstant;
  const scatter = (current * loopResistance(drive)) / motor.backEmfConstant;
  const step = (dutyStep * restVoltage) / motor.backEmfConstant;
  return Math.max(scatter, step);
}

/**
 * One count of an encoder in a control period: what a speed lock cannot tell from standing. rad/s of what is counted.
 *
 * @example leastCountedSpeed(2048) //=> 0.1534
 */
export const leastCountedSpeed = (countsPerTurn: number): number => (2 * Math.PI) / countsPerTurn / CONTROL_PERIOD;

/**
 * Torque left over for a start without sensors, N·m of one motor: Kt·(ks·I − I0) less the load's share.
 * `current` is the motor-side limit, or what the volts give at rest.
 *
 * @example startTorque(motor, 40, 'bump') //=> 0.1777
 */
export const startTorque = (motor: MotorConstants, current: number, style: StartStyle): number =>
  motor.torqueConstant * Math.max(0, START_SHARE[style] * current - motor.freeCurrent);

/**
 * ω = (T·R'/Kt + Vb)/Ke: what a loaded motor creeps back at while shorted in brake mode.
 *
 * @example creepBackSpeed(drive, 0.3) //=> 90.18
 */
export const creepBackSpeed = (drive: Drive, torque: number): number =>
  ((torque * loopResistance(drive)) / drive.motor.torqueConstant + (drive.motor.brushDrop ?? 0)) /
  drive.motor.backEmfConstant;
