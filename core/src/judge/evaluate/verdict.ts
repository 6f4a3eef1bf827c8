/** enough: at least the wanted margin. tight: at least 1×. gives way: under 1×. not known: a figure is missing. */
export type Verdict = 'enough' | 'tight' | 'gives way' | 'not known';

/**
 * How bad a verdict is. What is known to be tight is worse than what is not known: it says more. Lists, headlines, the
 * situation to open first and the order of finds all go by this one.
 */
const SEVERITY: Readonly<Record<Verdict, number>> = { enough: 0, 'not known': 1, tight: 2, 'gives way': 3 };

/**
 * Sorts what is better first: under 0 where `a` is better than `b`.
 *
 * @example compareVerdicts('enough', 'tight') < 0 //=> true
 */
export const compareVerdicts = (a: Verdict, b: Verdict): number => SEVERITY[a] - SEVERITY[b];

/**
 * The verdict of a multiple against the margin wanted; under `floor` it gives way.
 *
 * @example verdictOf(1.1, 1.25) //=> 'tight'
 */
export function verdictOf(multiple: number, wants: number, floor = 1): Verdict {
  if (multiple < floor) return 'gives way';
  return multiple < wants ? 'tight' : 'enough';
}

export const worseOf = (a: Verdict, b: Verdict): Verdict => (compareVerdicts(b, a) > 0 ? b : a);

/**
 * The worst of some verdicts; `enough` where there are none.
 *
 * @example worstVerdict(['enough', 'not known', 'tight']) //=> 'tight'
 */
export const worstVerdict = (verdicts: readonly Verdict[]): Verdict => verdicts.reduce(worseOf, 'enough');
