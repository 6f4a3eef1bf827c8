import { bisect } from '../numbers/bisect.js';
/**
 * Length of a chain or toothed belt round two wheels, in pitches:
 * 2·C·cosβ/p + z1·(π−2β)/2π + z2·(π+2β)/2π with sinβ = (r2−r1)/C, r = z·p/2π.
 * NaN where the centres are nearer than the difference of the radii.
 *
 * @example pitchesAround(0.00635, 16, 48, 0.2) //=> 95.82
 */
export function pitchesAround(pitch: number, small: number, large: number, centre: number): number {
  const sine = ((large - small) * pitch) / (2 * Math.PI * centre);
  if (!(sine < 1)) return NaN;
  const beta = Math.asin(sine);
  return (
    (2 * centre * Math.cos(beta)) / pitch +
    (small * (Math.PI - 2 * beta) + large * (Math.PI + 2 * beta)) / (2 * Math.PI)
  );
}

/**
 * The nearest the two shafts can be: the run then wraps the larger wheel alone.
 *
 * @example nearestCentre(0.00635, 16, 48) //=> 0.03234
 */
export const nearestCentre = (pitch: number, small: number, large: number): number =>
  ((large - small) * pitch) / (2 * Math.PI);

/**
 * Centre distance at which a run of `length` pitches lies taut; `undefined` where it is too short to go
 * round both. The length grows with the centre all the way, so halving finds the one answer.
 *
 * @example centreForPitches(0.00635, 16, 48, 96) //=> 0.2006
 */
export function centreForPitches(pitch: number, small: number, large: number, length: number): number | undefined {
  const least = nearestCentre(pitch, small, large);
  // At the least centre the run lies round the larger wheel only.
  if (length <= large || length <= (small + large) / 2) return undefined;
  const most = least + (length * pitch) / 2 + pitch;
  return bisect(least, most, (centre) => (pitchesAround(pitch, small, large, centre) || 0) < length)[0];
}

/**
 * Wrap on the small wheel, π − 2β. rad
 *
 * @example wrapOnSmall(0.00635, 16, 48, 0.2) //=> 2.817
 */
export const wrapOnSmall = (pitch: number, small: number, large: number, centre: number): number =>
  Math.PI - 2 * Math.asin(Math.min(1, nearestCentre(pitch, small, large) / centre));

/**
 * C·cosβ: a strand between the points where it leaves the two wheels. 0 where the wheels are as near as they can be.
 *
 * @example strandLength(0.00635, 16, 48, 0.2) //=> 0.1974
 */
export const strandLength = (pitch: number, small: number, large: number, centre: number): number =>
  Math.sqrt(Math.max(0, centre ** 2 - nearestCentre(pitch, small, large) ** 2));

/**
 * Speed ripple of a chain on a wheel of z teeth, 1 − cos(π/z): it rides on a polygon, not on a circle.
 *
 * @example speedRipple(16) //=> 0.01921
 */
export const speedRipple = (teeth: number): number => 1 - Math.cos(Math.PI / teeth);

/**
 * Radius of the pitch circle as the run's length counts it, z·p/2π.
 *
 * @example runRadius(0.00635, 16) //=> 0.01617
 */
export const runRadius = (pitch: number, teeth: number): number => (teeth * pitch) / (2 * Math.PI);
