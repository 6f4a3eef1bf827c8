import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** An arm about a pivot. SI; angles from level, up positive. */
export interface ArmFigures {
  readonly mass: number;
  /** From the pivot to the centre of mass. */
  readonly centreOfMass: number;
  readonly inertiaAboutCentre: number;
  readonly frictionTorque: number;
  /** N·m/rad; helps below its neutral angle, hinders above it. */
  readonly springRate: number;
  readonly springZero: number;
  readonly fromAngle: number;
  readonly toAngle: number;
  /** Carried at this distance. */
  readonly payload?: number;
  readonly length?: number;
}

/**
 * On radians from the start, either way: F = ±(m·g·d·cos q − spring·(q0 − q)) + T_f, M = I + m·d². A
 * payload at the tip adds its own m·L and m·L².
 *
 * @example arm({ mass: 2.8, centreOfMass: 0.38, inertiaAboutCentre: 0.05, frictionTorque: 0.2, springRate: 0, springZero: 0, fromAngle: 0, toAngle: 1.2 }).holdForce(0) //=> 10.43
 */
export function arm(figures: ArmFigures): Load {
  const { mass, centreOfMass, springRate, springZero, fromAngle, toAngle, payload = 0, length = 0 } = figures;
  const weightTorque = GRAVITY * (mass * centreOfMass + payload * length);
  const inertia = figures.inertiaAboutCentre + mass * centreOfMass ** 2 + payload * length ** 2;
  const sense = toAngle >= fromAngle ? 1 : -1;
  const angleAt = (q: number): number => fromAngle + sense * q;
  const alone = (q: number): number => {
    const angle = angleAt(q);
    return weightTorque * Math.cos(angle) - springRate * (springZero - angle);
  };
  return {
    unit: 'rad',
    force: (q) => sense * alone(q) + figures.frictionTorque,
    holdForce: (q) => Math.abs(alone(q)),
    potential: (q) => {
      const angle = angleAt(q);
      return weightTorque * Math.sin(angle) + (springRate / 2) * (springZero - angle) ** 2;
    },
    rest: { force: figures.frictionTorque, by: 'friction' },
    inertia: () => inertia,
    places: turningAngles(weightTorque, springRate).map((angle) => sense * (angle - fromAngle)),
  };
}

/** Angles at which m·g·d·cos q + c·q has its extremes: sin q = c/(m·g·d), every turn within two. */
function turningAngles(weightTorque: number, springRate: number): readonly number[] {
  const ratio = springRate / weightTorque;
  if (!(ratio < 1)) return [];
  const first = Math.asin(ratio);
  return [first, Math.PI - first].flatMap((angle) => [angle - 2 * Math.PI, angle, angle + 2 * Math.PI]);
}
