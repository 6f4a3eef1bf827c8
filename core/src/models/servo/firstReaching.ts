/**
 * Index of the first of some rising values that has got to one; their number where none has. By halving.
 *
 * @example firstReaching(Float64Array.of(0, 1, 3), 2) //=> 2
 */
export function firstReaching(rising: Float64Array, value: number): number {
  let low = 0;
  let high = rising.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]! >= value) high = middle;
    else low = middle + 1;
  }
  return low;
}
