/** Totals a step apart, and the share by which one is finer between two that end differently. */
const STEP = 1.08;
const FINEST = 1.004;

/**
 * A total as it is written: three digits, four from 100 on.
 *
 * @example writtenTotal(8.9876) //=> 8.99
 */
export const writtenTotal = (total: number): number => Number(total.toPrecision(total >= 100 ? 4 : 3));

/**
 * Totals between two, evenly on a log scale, both ends among them.
 *
 * @example totalsBetween(1, 4).length //=> 20
 */
export function totalsBetween(from: number, to: number): readonly number[] {
  const steps = Math.max(1, Math.ceil(Math.log(to / from) / Math.log(STEP)));
  const totals = Array.from({ length: steps + 1 }, (_, i) => writtenTotal(from * (to / from) ** (i / steps)));
  return [...new Set(totals)];
}

/**
 * The total in the middle of two; `undefined` where they are too near for another.
 *
 * @example between(8, 9) //=> 8.49
 */
export function between(low: number, high: number): number | undefined {
  if (high / low < FINEST) return undefined;
  const middle = writtenTotal(Math.sqrt(low * high));
  return middle > low && middle < high ? middle : undefined;
}

/**
 * Tries totals, and between two that end differently further ones, down to 0.4 %: what holds only between two steps is
 * found too. The answers come in the order of the totals.
 */
export function tryTotals<T>(
  totals: readonly number[],
  answerAt: (total: number) => T,
  differ: (a: T, b: T) => boolean,
): readonly { readonly total: number; readonly answer: T }[] {
  type Tried = { readonly total: number; readonly answer: T };
  const inside = (low: Tried, high: Tried): readonly Tried[] => {
    if (!differ(low.answer, high.answer)) return [];
    const total = between(low.total, high.total);
    if (total === undefined) return [];
    const middle = { total, answer: answerAt(total) };
    return [...inside(low, middle), middle, ...inside(middle, high)];
  };
  const tried = totals.map((total): Tried => ({ total, answer: answerAt(total) }));
  return tried.flatMap((one, i) => (i === 0 ? [one] : [...inside(tried[i - 1]!, one), one]));
}
