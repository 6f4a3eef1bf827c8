/** What 5 %, half and 95 % of the builds stay below. */
export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/**
 * The band of some values; there must be one at least.
 *
 * @example bandOf([1, 2, 3, 4, 5]) //=> { low: 1.2, middle: 3, high: 4.8 }
 */
export function bandOf(values: readonly number[]): Band {
  // Numbers alone are sorted much faster than whatever else a list may hold.
  const sorted = Float64Array.from(values).sort();
  return { low: quantile(sorted, 0.05), middle: quantile(sorted, 0.5), high: quantile(sorted, 0.95) };
}

function quantile(sorted: Float64Array, share: number): number {
  const at = share * (sorted.length - 1);
  const [below, above] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!];
  return below + (at - Math.floor(at)) * (above - below);
}

/**
 * Pearson's correlation; 0 where one of the two does not vary.
 *
 * @example correlation([1, 2, 3], [2, 4, 6]) //=> 1
 */
export function correlation(a: readonly number[], b: readonly number[]): number {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const [ma, mb] = [mean(a), mean(b)];
  let [ab, aa, bb] = [0, 0, 0];
  for (let i = 0; i < a.length; i++) {
    const [x, y] = [a[i]! - ma, b[i]! - mb];
    [ab, aa, bb] = [ab + x * y, aa + x * x, bb + y * y];
  }
  return aa > 1e-18 && bb > 1e-18 ? ab / Math.sqrt(aa * bb) : 0;
}
