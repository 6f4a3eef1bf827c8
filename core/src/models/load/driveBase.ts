import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** A robot on wheels. SI, slope in rad. `push` is what it pushes against besides. */
export interface DriveBaseFigures {
  readonly mass: number;
  readonly rollingResistance: number;
  readonly grip: number;
  readonly drivenShare: number;
  readonly slope: number;
  readonly push?: number;
  /** What its wheels add to its mass, J/r², kg. */
  readonly wheels?: number;
}

/**
 * F = m·g·(sinγ + c_rr·cosγ) + push; the tyres carry μ·m·g·cosγ·share.
 *
 * @example driveBase({ mass: 52, rollingResistance: 0.03, grip: 0.9, drivenShare: 1, slope: 0 }).force(0, 1) //=> 15.3
 */
export function driveBase({
  mass,
  rollingResistance,
  grip,
  drivenShare,
  slope,
  push = 0,
  wheels = 0,
}: DriveBaseFigures): Load {
  const weight = mass * GRAVITY;
  const uphill = weight * Math.sin(slope);
  const rolling = weight * rollingResistance * Math.cos(slope);
  const resisting = uphill + rolling + push;
  return {
    unit: 'm',
    force: () => resisting,
    holdForce: () => uphill,
    rest: { force: rolling, by: 'rolling resistance' },
    inertia: () => mass + wheels,
    traction: grip * weight * Math.cos(slope) * drivenShare,
  };
}
