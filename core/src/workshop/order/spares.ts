/** How many spares are bought: one in so many, and so many at least; for what wears one in fewer. */
export interface SpareRule {
  readonly oneIn: number;
  readonly atLeast: number;
  readonly wornOneIn: number;
}

/** One in four and one at least; for what wears one in two. */
export const USUAL_SPARES: SpareRule = { oneIn: 4, atLeast: 1, wornOneIn: 2 };

/**
 * Spares for a line. A count that nobody can use is refused: less than one in a hundred is none.
 *
 * @throws RangeError where the rule is none
 * @example sparesFor(6, false, { oneIn: 4, atLeast: 1, wornOneIn: 2 }) //=> 2
 */
export function sparesFor(wanted: number, wears: boolean, { oneIn, atLeast, wornOneIn }: SpareRule): number {
  if (!(oneIn > 0 && wornOneIn > 0 && atLeast >= 0)) throw new RangeError('one in so many must be more than 0');
  if (wanted <= 0) return 0;
  return Math.max(Math.ceil(atLeast), Math.ceil(wanted / (wears ? wornOneIn : oneIn)));
}
