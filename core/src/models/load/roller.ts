import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** A roller or belt that pulls something along. SI, slope in rad. */
export interface RollerFigures {
  /** What moves with the surface. */
  readonly mass: number;
  /** What pulls back at the surface: squeeze, rubbing, a stop. */
  readonly pull: number;
  readonly slope: number;
}

/**
 * On metres of surface: F = pull + m·g·sinγ, M = m.
 *
 * @example roller({ mass: 0.3, pull: 15, slope: 0 }).force(0, 1) //=> 15
 */
export function roller({ mass, pull, slope }: RollerFigures): Load {
  const uphill = mass * GRAVITY * Math.sin(slope);
  return { unit: 'm', force: () => pull + uphill, holdForce: () => uphill, inertia: () => mass };
}
