import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** A carriage on a screw. SI, slope in rad. */
export interface CarriageFigures {
  readonly mass: number;
  readonly push: number;
  readonly friction: number;
  readonly slope: number;
}

/**
 * On metres of the nut: F = m·g·sinα + push + friction, M = m. The screw's own losses are its stage's.
 *
 * @example carriage({ mass: 4, push: 20, friction: 5, slope: 0 }).force(0, 0.2) //=> 25
 */
export function carriage({ mass, push, friction, slope }: CarriageFigures): Load {
  const weight = mass * GRAVITY * Math.sin(slope);
  const alone = weight + push;
  return {
    unit: 'm',
    force: () => alone + friction,
    holdForce: () => alone,
    // What is pushed against is gone when the nut goes back: only weight falls.
    potential: (q) => weight * q,
    rest: { force: friction, by: 'friction' },
    inertia: () => mass,
  };
}
