import type { MotorConstants } from '../motor/constants.js';
import type { Load } from './load.js';

/** Motors on the same wheels that nothing drives: what they cost as they are turned along. */
export interface Dragged {
  readonly count: number;
  /** Of all of them, on q at the speed the job needs: N or N·m. */
  readonly force: number;
  /** Of their rotors, on q: kg or kg·m². */
  readonly inertia: number;
}

/**
 * Unpowered motors of the drive's own kind and gearing, with their leads open: each resists with Kt·(I0 + I1·ω), through a
 * train that is driven from its load end. With its leads shorted by a controller that brakes, a motor would resist far more.
 *
 * @example draggedAlong({ count: 2, motor, speed: 300, lever: 100, backEfficiency: 0.9, rotorInertia: 8e-5 }).force //=> 8.866
 */
export function draggedAlong(of: {
  readonly count: number;
  readonly motor: MotorConstants;
  /** Of a motor, rad/s. */
  readonly speed: number;
  /** Turns of a motor per unit of q. */
  readonly lever: number;
  readonly backEfficiency: number;
  readonly rotorInertia: number;
}): Dragged {
  const { count, motor, speed, lever, backEfficiency, rotorInertia } = of;
  const torque = motor.torqueConstant * (motor.freeCurrent + motor.freeCurrentPerSpeed * speed);
  return {
    count,
    force: (count * torque * lever) / Math.max(backEfficiency, 0.05),
    inertia: count * rotorInertia * lever ** 2,
  };
}

/** A load with such motors on it. At rest they hold nothing that friction does not hold already. */
export const withDragged = (load: Load, dragged: Dragged): Load => ({
  ...load,
  force: (q, speed) => load.force(q, speed) + dragged.force,
  inertia: (q) => load.inertia(q) + dragged.inertia,
});
