import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

export interface LegFigures {
  /** Of the whole robot, kg. */
  readonly mass: number;
  readonly legsDown: number;
  /** Foot to joint, level, m. */
  readonly lever: number;
  /** Of the leg about its joint, kg·m². */
  readonly inertia: number;
}

/**
 * A leg joint that carries its share of the robot: m·g/(legs down) × lever, whichever way it swings.
 *
 * @example leg({ mass: 20, legsDown: 2, lever: 0.06, inertia: 0.01 }).holdForce(0) //=> 5.884
 */
export function leg({ mass, legsDown, lever, inertia }: LegFigures): Load {
  const torque = ((mass * GRAVITY) / legsDown) * lever;
  return { unit: 'rad', force: () => torque, holdForce: () => torque, inertia: () => inertia };
}
