import type { MotorConstants } from './constants.js';

/**
 * What timing ahead trades: so much faster a volt for so much less an ampere.
 *
 * @example timingTrade(Math.PI / 6) //=> { faster: 0.1547, weaker: 0.134 }
 */
export const timingTrade = (angle: number): { readonly faster: number; readonly weaker: number } => ({
  faster: 1 / Math.cos(angle) - 1,
  weaker: 1 - Math.cos(angle),
});

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
