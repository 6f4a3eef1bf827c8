import type { Load } from './load.js';

/** Spinning wheels. SI. */
export interface FlywheelFigures {
  /** Of all wheels together. */
  readonly inertia: number;
  readonly frictionTorque: number;
  /** Torque per speed squared, N·m·s². */
  readonly airDrag: number;
}

/**
 * F = T_f + c·ω², M = J. Nothing pulls back at rest.
 *
 * @example flywheel({ inertia: 0.004, frictionTorque: 0.02, airDrag: 1e-7 }).force(0, 300) //=> 0.029
 */
export function flywheel({ inertia, frictionTorque, airDrag }: FlywheelFigures): Load {
  return {
    unit: 'rad',
    force: (_q, speed) => frictionTorque + airDrag * speed * speed,
    holdForce: () => 0,
    inertia: () => inertia,
  };
}
