/**
 * Radians per second of pulse: travel over the pulses' span.
 *
 * @example anglePerPulse(2.09, 0.001) //=> 2090
 */
export const anglePerPulse = (travel: number, pulseSpan: number): number => travel / pulseSpan;

/**
 * A deadband in seconds of pulse as an angle, rad.
 *
 * @example deadbandAngle(2.09, 0.001, 3e-6) //=> 0.00627
 */
export const deadbandAngle = (travel: number, pulseSpan: number, deadband: number): number =>
  deadband * anglePerPulse(travel, pulseSpan);

/** One joint of a chain: how far the tip is from its axle, and by how much its angle may be off. */
export interface UncertainJoint {
  readonly lever: number;
  readonly error: number;
}

/**
 * Error of the tip when every joint is off the bad way, m: Σ|lever|·δ.
 *
 * @example tipErrorWorst([{ lever: 0.3, error: 0.01 }, { lever: 0.2, error: 0.01 }]) //=> 0.005
 */
export const tipErrorWorst = (joints: readonly UncertainJoint[]): number =>
  joints.reduce((sum, { lever, error }) => sum + Math.abs(lever) * error, 0);

/**
 * Error of the tip when the joints are off independently, m: √Σ(lever·δ)².
 *
 * @example tipErrorLikely([{ lever: 0.3, error: 0.01 }, { lever: 0.2, error: 0.01 }]) //=> 0.003606
 */
export const tipErrorLikely = (joints: readonly UncertainJoint[]): number =>
  Math.sqrt(joints.reduce((sum, { lever, error }) => sum + (lever * error) ** 2, 0));

/** A joint of a chain in the plane: the length of the part behind it, its angle to the part before, and how far it may be off. */
export interface ChainJoint {
  readonly length: number;
  readonly angle: number;
  readonly error: number;
}

/**
 * The axles of a chain and, last, its tip.
 *
 * @example chainPlaces([{ length: 0.3, angle: 0, error: 0.01 }, { length: 0.2, angle: 1.571, error: 0.01 }]) //=> [{ x: 0, y: 0 }, { x: 0.3, y: 0 }, { x: 0.3, y: 0.2 }]
 */
export function chainPlaces(joints: readonly ChainJoint[]): readonly { readonly x: number; readonly y: number }[] {
  let [x, y, heading] = [0, 0, 0];
  const places = [{ x, y }];
  for (const { length, angle } of joints) {
    heading += angle;
    x += length * Math.cos(heading);
    y += length * Math.sin(heading);
    places.push({ x, y });
  }
  return places;
}

/**
 * How far the tip is from each axle, m: the levers its error grows with.
 *
 * @example leversToTip([{ length: 0.3, angle: 0, error: 0.01 }, { length: 0.2, angle: 1.571, error: 0.01 }]) //=> [0.3605, 0.2]
 */
export function leversToTip(joints: readonly ChainJoint[]): readonly number[] {
  const places = chainPlaces(joints);
  const tip = places.at(-1)!;
  return joints.map((_, i) => Math.hypot(tip.x - places[i]!.x, tip.y - places[i]!.y));
}

/** An ellipse around the tip: half axes in m, and the direction of the longer one. */
export interface TipBlob {
  readonly long: number;
  readonly short: number;
  readonly direction: number;
}

/**
 * Where the tip may be, to first order: the covariance of independent joint errors, each ±δ at two standard
 * deviations. The ellipse is two standard deviations as well.
 */
export function tipBlob(joints: readonly ChainJoint[]): TipBlob {
  const places = chainPlaces(joints);
  const tip = places.at(-1)!;
  let [xx, xy, yy] = [0, 0, 0];
  joints.forEach(({ error }, i) => {
    const at = places[i]!;
    const [dx, dy] = [-(tip.y - at.y) * error, (tip.x - at.x) * error];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  });
  const middle = (xx + yy) / 2;
  const apart = Math.hypot((xx - yy) / 2, xy);
  return {
    long: Math.sqrt(middle + apart),
    short: Math.sqrt(Math.max(0, middle - apart)),
    direction: 0.5 * Math.atan2(2 * xy, xx - yy),
  };
}
