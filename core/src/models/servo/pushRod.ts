/**
 * A straight push rod: the horn moves something along a line. `horn` and `rod` in metres, `offset` how far
 * the line passes beside the horn's axle.
 */
export interface PushRod {
  readonly horn: number;
  readonly rod: number;
  readonly offset: number;
}

export interface PushRodPlace {
  readonly horn: { readonly x: number; readonly y: number };
  /** Place along the line, from the axle, m. */
  readonly place: number;
  /** Effective lever, metres of travel per radian: force is torque over it. Under 0 it pulls back. */
  readonly lever: number;
}

/**
 * Place and lever for an angle of the horn, from the line's direction: x = h·cosθ + √(l² − (h·sinθ − e)²).
 * `undefined` where the rod is too short to reach the line.
 *
 * @example pushRodAt({ horn: 0.03, rod: 0.1, offset: 0 }, 1.2) //=> { horn: { x: 0.01087, y: 0.02796 }, place: 0.1069, lever: -0.03113 }
 */
export function pushRodAt({ horn, rod, offset }: PushRod, angle: number): PushRodPlace | undefined {
  const end = { x: horn * Math.cos(angle), y: horn * Math.sin(angle) };
  const across = end.y - offset;
  const inside = rod * rod - across * across;
  if (inside <= 0) return undefined;
  const along = Math.sqrt(inside);
  return { horn: end, place: end.x + along, lever: -end.y - (across * end.x) / along };
}
