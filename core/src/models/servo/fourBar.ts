/**
 * A four-bar linkage: the servo's horn turns the driven lever through a rod. Lengths in metres: `ground` from
 * one pivot to the other, `horn`, `rod`, `lever`. Angles in radians from the line that joins the pivots.
 */
export interface FourBar {
  readonly ground: number;
  readonly horn: number;
  readonly rod: number;
  readonly lever: number;
  /** The rod may be put together in two ways: on the same side as the horn, or crossed. */
  readonly crossed?: boolean;
}

/** Where the linkage stands for one angle of the horn. */
export interface FourBarPlace {
  readonly horn: { readonly x: number; readonly y: number };
  readonly lever: { readonly x: number; readonly y: number };
  readonly leverAngle: number;
  /** Lever's turn per turn of the horn, dφ/dθ: its torque is the servo's divided by this. */
  readonly ratio: number;
  /** Between rod and lever, 0…π: near 0 or π the rod pushes through the pivot and does nothing. */
  readonly transmission: number;
}

/**
 * Solves the closure: horn + rod = ground + lever, as vectors. `undefined` where the parts do not reach each
 * other: the horn cannot get there.
 *
 * @example fourBarAt({ ground: 0.1, horn: 0.03, rod: 0.1, lever: 0.05 }, 1.2) //=> { horn: { x: 0.01087, y: 0.02796 }, lever: { x: 0.1086, y: 0.04926 }, leverAngle: 1.398, ratio: 0.54, transmission: 1.184 }
 */
export function fourBarAt(bar: FourBar, hornAngle: number): FourBarPlace | undefined {
  const { ground, horn, rod, lever, crossed = false } = bar;
  const end = { x: horn * Math.cos(hornAngle), y: horn * Math.sin(hornAngle) };
  const [dx, dy] = [end.x - ground, end.y];
  const apart = Math.hypot(dx, dy);
  if (apart === 0 || apart > rod + lever || apart < Math.abs(rod - lever)) return undefined;
  const inside = (apart * apart + lever * lever - rod * rod) / (2 * apart * lever);
  const open = Math.acos(Math.min(1, Math.max(-1, inside)));
  const leverAngle = Math.atan2(dy, dx) + (crossed ? open : -open);
  const joint = { x: ground + lever * Math.cos(leverAngle), y: lever * Math.sin(leverAngle) };
  const rodAngle = Math.atan2(joint.y - end.y, joint.x - end.x);
  const across = Math.sin(leverAngle - rodAngle);
  // From the derivative of the closure along the rod: horn·sin(θ − β)·dθ = lever·sin(φ − β)·dφ.
  const ratio = (horn * Math.sin(hornAngle - rodAngle)) / (lever * across);
  return {
    horn: end,
    lever: joint,
    leverAngle,
    ratio,
    transmission: Math.acos(Math.min(1, Math.max(-1, Math.cos(leverAngle - rodAngle)))),
  };
}
