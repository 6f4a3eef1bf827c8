/**
 * What is not a finite number is no estimate: the figure it rests on is named as missing, and this one with it.
 *
 * @example ifFinite(NaN) //=> undefined
 */
export const ifFinite = (value: number): number | undefined => (Number.isFinite(value) ? value : undefined);
