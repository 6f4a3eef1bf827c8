import type { MotorConstants } from '../../models/motor/constants.js';

/**
 * Seconds from a speed to rest with no command and nothing driven: J·dω/dt = −Kt·(I0 + I1·ω − Ioffset). ∞ where the offset
 * takes all of the drag; then it creeps on.
 *
 * @param inertia of what turns, at the motor's shaft, kg·m²
 * @param offset a standing current that cancels drag, A
 * @example spinDown(motor, 8e-5, 600, 0) //=> 1.203
 */
export function spinDown(motor: MotorConstants, inertia: number, speed: number, offset: number): number {
  const { torqueConstant, freeCurrent, freeCurrentPerSpeed } = motor;
  const drags = freeCurrent - offset;
  if (drags <= 0) return Infinity;
  const torque = torqueConstant * drags;
  if (freeCurrentPerSpeed === 0) return (inertia * speed) / torque;
  const growing = torqueConstant * freeCurrentPerSpeed;
  return (inertia / growing) * Math.log1p((growing * speed) / torque);
}
