import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** A load on a rope or slide. SI, slope in rad (π/2 is straight up). */
export interface LiftFigures {
  readonly mass: number;
  readonly slope: number;
  readonly friction: number;
  readonly counterforce: number;
  /** k, metres of load per metre of rope. */
  readonly loadPerRope: number;
}

/**
 * On metres of rope: F = k·(m·g·sinα + friction − counterforce), M = k²·m.
 *
 * @example lift({ mass: 20, slope: 1.5708, friction: 10, counterforce: 0, loadPerRope: 1 }).force(0, 0.8) //=> 206.1
 */
export function lift({ mass, slope, friction, counterforce, loadPerRope: k }: LiftFigures): Load {
  const alone = k * (mass * GRAVITY * Math.sin(slope) - counterforce);
  const resisting = alone + k * friction;
  return {
    unit: 'm',
    force: () => resisting,
    holdForce: () => alone,
    potential: (q) => alone * q,
    rest: { force: k * friction, by: 'friction' },
    inertia: () => k * k * mass,
    rope: 'up',
  };
}

/**
 * The same load let down: on q the weight pulls forwards, friction still resists. Holding it takes what it took before.
 *
 * @example lowering({ mass: 20, slope: 1.5708, friction: 10, counterforce: 0, loadPerRope: 1 }).force(0, 0.8) //=> -186.1
 */
export function lowering({ mass, slope, friction, counterforce, loadPerRope: k }: LiftFigures): Load {
  const alone = k * (mass * GRAVITY * Math.sin(slope) - counterforce);
  return {
    unit: 'm',
    force: () => k * friction - alone,
    holdForce: () => alone,
    potential: (q) => -alone * q,
    rest: { force: k * friction, by: 'friction' },
    inertia: () => k * k * mass,
    rope: 'down',
  };
}
