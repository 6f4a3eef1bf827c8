/** Something at a time. */
export interface TimedValue {
  readonly time: number;
  readonly value: number;
}

/**
 * What adds up over time, by trapezoids: amperes to A·s.
 *
 * @example sumOverTime([{ time: 0, value: 10 }, { time: 2, value: 20 }]) //=> 30
 */
export function sumOverTime(points: readonly TimedValue[]): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1]!, points[i]!];
    sum += ((a.value + b.value) / 2) * (b.time - a.time);
  }
  return sum;
}

/**
 * Its mean over that time; NaN where no time passes.
 *
 * @example meanOverTime([{ time: 0, value: 10 }, { time: 2, value: 20 }]) //=> 15
 */
export const meanOverTime = (points: readonly TimedValue[]): number =>
  sumOverTime(points) / ((points.at(-1)?.time ?? NaN) - (points[0]?.time ?? NaN));
