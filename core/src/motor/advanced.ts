import type { MotorConstants } from './constants.js';

/**
 * The same motor timed ahead by an electrical angle δ (rad, 0 … 60°): the field it makes is turned away from its magnets,
 * so that Kt and Ke go with cos δ and Kv with 1/cos δ. The friction's torque stays, and takes more current. Real motors
 * gain some more speed at a high current, and lose the same torque turning the other way: a figure to plan with, typical.
 *
 * @example advanced(motor, Math.PI / 6).torqueConstant //=> 0.01571
 */
export function advanced(motor: MotorConstants, angle: number): MotorConstants {
  if (angle === 0) return motor;
  const share = Math.cos(angle);
  return {
    ...motor,
    torqueConstant: motor.torqueConstant * share,
    backEmfConstant: motor.backEmfConstant * share,
    freeCurrent: motor.freeCurrent / share,
    freeCurrentPerSpeed: motor.freeCurrentPerSpeed / share,
  };
}
