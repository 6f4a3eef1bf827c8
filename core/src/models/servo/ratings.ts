/** One line of a servo's sheet. SI: the sheet's seconds for 60° are a speed inside. */
export interface RatingPoint {
  readonly voltage: number;
  readonly stallTorque: number;
  /** rad/s without load. */
  readonly freeSpeed: number;
  readonly stallCurrent?: number;
}

/**
 * Speed, rad/s, of "seconds for 60°".
 *
 * @example speedOfSecondsPer60(0.14) //=> 7.48
 */
export const speedOfSecondsPer60 = (seconds: number): number => Math.PI / 3 / seconds;

/** What a servo gives at one voltage. */
export interface ServoRating {
  readonly stallTorque: number;
  readonly freeSpeed: number;
  readonly stallCurrent: number;
  /** Where the stall current was worked out, not read off the sheet. */
  readonly estimatedCurrent: boolean;
  /** The volts are above the highest point: never rated up. */
  readonly above: boolean;
  /** The volts are below the lowest point: scaled down with them. */
  readonly below: boolean;
}

/** Share of the electrical power that reaches the horn at best, typical: what a stall current is worked out with. */
const STALL_SHARE = 0.6;

/**
 * I_stall = Ts·ω0/(0.6·V), where the sheet says nothing.
 *
 * @example estimatedStallCurrent(2, 7.5, 6) //=> 4.167
 */
export const estimatedStallCurrent = (stallTorque: number, freeSpeed: number, voltage: number): number =>
  (stallTorque * freeSpeed) / (STALL_SHARE * voltage);

/**
 * Ratings at a voltage: between two points linear, speed as rad/s; below the lowest both go down with
 * the volts; above the highest the highest stands. Throws without a point.
 *
 * @example ratingAt(points, 6.6) //=> { stallTorque: 2.214, freeSpeed: 8.229, stallCurrent: 2.614, estimatedCurrent: false, above: false, below: false }
 */
export function ratingAt(points: readonly RatingPoint[], voltage: number): ServoRating {
  const sorted = [...points].sort((a, b) => a.voltage - b.voltage);
  const [lowest, highest] = [sorted[0], sorted.at(-1)];
  if (!lowest || !highest) throw new Error('a servo needs at least one rating point');
  const estimated = sorted.some((point) => point.stallCurrent === undefined);
  const ends = { above: voltage > highest.voltage, below: voltage < lowest.voltage };
  const rating = (of: (point: RatingPoint) => number): number => {
    if (ends.below) return of(lowest) * Math.max(0, voltage / lowest.voltage);
    if (ends.above) return of(highest);
    const upper = sorted.findIndex((point) => point.voltage >= voltage);
    const after = sorted[upper];
    const before = sorted[Math.max(0, upper - 1)];
    // Volts that are not known lie between no points.
    if (!after || !before) return NaN;
    const span = after.voltage - before.voltage;
    return span === 0 ? of(after) : of(before) + ((voltage - before.voltage) / span) * (of(after) - of(before));
  };
  const currentOf = (point: RatingPoint): number =>
    point.stallCurrent ?? estimatedStallCurrent(point.stallTorque, point.freeSpeed, point.voltage);
  return {
    stallTorque: rating(({ stallTorque }) => stallTorque),
    freeSpeed: rating(({ freeSpeed }) => freeSpeed),
    stallCurrent: rating(currentOf),
    estimatedCurrent: estimated,
    ...ends,
  };
}

/**
 * ω0·(1 − T/Ts), never under 0.
 *
 * @example loadedSpeed(ratingAt(points, 6), 0.8) //=> 4.5
 */
export const loadedSpeed = ({ freeSpeed, stallTorque }: ServoRating, load: number): number =>
  Math.max(0, freeSpeed * (1 - load / stallTorque));

/**
 * I_run + (I_stall − I_run)·T/Ts: what it draws while it moves a load.
 *
 * @example loadedCurrent(ratingAt(points, 6), 0.2, 0.8) //=> 1.08
 */
export const loadedCurrent = ({ stallTorque, stallCurrent }: ServoRating, running: number, load: number): number =>
  running + (stallCurrent - running) * Math.min(1, Math.max(0, load / stallTorque));

/**
 * Torque at which it draws a current: Ts·(I − I_run)/(I_stall − I_run); none where it draws that much only to run.
 *
 * @example servoTorqueAtCurrent(ratingAt(points, 6), 0.2, 1) //=> 0.7273
 */
export const servoTorqueAtCurrent = (
  { stallTorque, stallCurrent }: ServoRating,
  running: number,
  current: number,
): number => (stallCurrent > running ? stallTorque * ((current - running) / (stallCurrent - running)) : 0);

/**
 * A horn pulls T/r.
 *
 * @example forceAtHorn(1.2, 0.025) //=> 48
 */
export const forceAtHorn = (torque: number, radius: number): number => torque / radius;
