import { GRAVITY } from './gravity.js';
import type { Load } from './load.js';

/** A robot that turns on the spot by its two sides running against each other. SI. */
export interface SkidFigures {
  readonly mass: number;
  /** About its upright axis, kg·m². */
  readonly inertia: number;
  readonly wheelRadius: number;
  /** From the wheels of one side to those of the other. */
  readonly track: number;
  /** How far its wheels stand from the middle, along the robot, in the mean of all that carry. */
  readonly reach: number;
  /** Grip along, and of a tyre that is dragged sideways. */
  readonly grip: number;
  readonly scrub: number;
  readonly drivenShare: number;
  readonly rollingResistance: number;
  /** Of the ground, rad. */
  readonly slope: number;
}

/**
 * What scrubbing makes of the turn. A tyre that slides is held back against the way it slides: with φ the angle at which its
 * wheel stands from the axis across, tan φ = reach/(track/2), the moments balance where the tread runs 1/cos²φ faster than
 * it would roll, and pushes sin φ of what it grips.
 *
 * @example scrubOf(0.6, 0.25) //=> { push: 0.6402, faster: 1.694 }
 */
export function scrubOf(track: number, reach: number): { readonly push: number; readonly faster: number } {
  const angle = Math.atan2(reach, track / 2);
  return { push: Math.sin(angle), faster: 1 / Math.cos(angle) ** 2 };
}

/**
 * Radians of the robot's heading per radian of its wheels: r/(track/2), less what the treads slip.
 *
 * @example headingPerTurn({ wheelRadius: 0.075, track: 0.6, reach: 0.25 }) //=> 0.1475
 */
export const headingPerTurn = ({
  wheelRadius,
  track,
  reach,
}: Pick<SkidFigures, 'wheelRadius' | 'track' | 'reach'>): number =>
  (2 * wheelRadius) / (track * scrubOf(track, reach).faster);

/**
 * M = (μs·sin φ + c_rr)·m·g·cos γ·track/(2·cos²φ) on the heading; the tyres carry μ·m·g·share of the same.
 *
 * @example skid({ mass: 52, inertia: 3, wheelRadius: 0.075, track: 0.6, reach: 0.25, grip: 0.9, scrub: 0.9, drivenShare: 1, rollingResistance: 0.02, slope: 0 }).force(0, 1) //=> 154.5
 */
export function skid(figures: SkidFigures): Load {
  const { mass, inertia, track, reach, grip, scrub, drivenShare, rollingResistance, slope } = figures;
  const { push, faster } = scrubOf(track, reach);
  const lever = (mass * GRAVITY * Math.cos(slope) * track * faster) / 2;
  const resisting = lever * (scrub * push + rollingResistance);
  return {
    unit: 'rad',
    force: () => resisting,
    holdForce: () => 0,
    rest: { force: resisting, by: 'friction' },
    inertia: () => inertia,
    traction: lever * grip * drivenShare,
  };
}

/**
 * Mean distance of evenly spaced axles from their middle, over the base from the first to the last: 1/2 of two axles, 1/3 of
 * three. Wheels that do not touch count nothing: type the base of those that do.
 *
 * @example meanReach(3) //=> 0.3333
 */
export function meanReach(axles: number): number {
  if (axles < 2) return 0;
  const places = Array.from({ length: axles }, (_, i) => Math.abs(i / (axles - 1) - 0.5));
  return places.reduce((sum, place) => sum + place / axles, 0);
}
