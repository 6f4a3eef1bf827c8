import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

export interface GripFigures {
  readonly gripForce: number;
  readonly fingerLength: number;
  readonly inertia: number;
}

/**
 * On radians of the fingers: F = grip force × finger length all the way, the worst there is; M = J of the jaw.
 *
 * @example grip({ gripForce: 30, fingerLength: 0.085, inertia: 0.0004 }).holdForce(0) //=> 2.55
 */
export function grip({ gripForce, fingerLength, inertia }: GripFigures): Load {
  const torque = gripForce * fingerLength;
  return { unit: 'rad', force: () => torque, holdForce: () => torque, inertia: () => inertia };
}

/**
 * N = m·(g + a)·safety/(2·μ), of each of two pads.
 *
 * @example gripForceFor(0.8, 3, 2, 0.6) //=> 17.08
 */
export function gripForceFor(mass: number, shake: number, safety: number, friction: number): number {
  return (mass * (GRAVITY + shake) * safety) / (2 * friction);
}
