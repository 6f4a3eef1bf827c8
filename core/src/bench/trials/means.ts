import type { MeasuredFigure } from './measured.js';

/**
 * Mean of readings of one thing, with the standard error of that mean.
 *
 * @throws RangeError without a reading
 * @example meanOf([1, 2, 3]) //=> { value: 2, error: 0.5774 }
 */
export function meanOf(readings: readonly number[]): MeasuredFigure {
  const n = readings.length;
  if (n === 0) throw new RangeError('there is no reading');
  const value = readings.reduce((sum, one) => sum + one, 0) / n;
  if (n === 1) return { value, error: Infinity };
  const variance = readings.reduce((sum, one) => sum + (one - value) ** 2, 0) / (n - 1);
  return { value, error: Math.sqrt(variance / n) };
}
