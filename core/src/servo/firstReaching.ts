/** Index of the first entry of a rising table that has got there; the table's length where none has. By halving. */
export function firstReaching<T>(table: readonly T[], reached: (entry: T) => boolean): number {
  let [low, high] = [0, table.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (reached(table[middle]!)) high = middle;
    else low = middle + 1;
  }
  return low;
}
