/**
 * Efficiency of a screw or worm driving: (cosα − μ·tanλ)/(cosα + μ·cotλ). Angles in rad.
 *
 * @example screwEfficiency(0.08, 0.12, 0.26) //=> 0.3884
 */
export function screwEfficiency(leadAngle: number, friction: number, flankAngle: number): number {
  const cos = Math.cos(flankAngle);
  return (cos - friction * Math.tan(leadAngle)) / (cos + friction / Math.tan(leadAngle));
}

/**
 * Driven backwards: (cosα − μ·cotλ)/(cosα + μ·tanλ), 0 where it stays by itself.
 *
 * @example screwBackEfficiency(0.3, 0.12, 0.26) //=> 0.5764
 */
export function screwBackEfficiency(leadAngle: number, friction: number, flankAngle: number): number {
  const cos = Math.cos(flankAngle);
  return Math.max(0, (cos - friction / Math.tan(leadAngle)) / (cos + friction * Math.tan(leadAngle)));
}
