import type { Verdict } from '../../judge/evaluate/verdict.js';

/** Something with a verdict over all jobs. */
interface Judged {
  readonly headline: { readonly verdict: Verdict };
}

/**
 * Sorts what gives way behind what does the job, whatever else speaks for it; 0 where both do, or neither.
 *
 * @example gaveWayLast({ headline: { verdict: 'tight' } }, { headline: { verdict: 'gives way' } }) //=> -1
 */
export const gaveWayLast = (a: Judged, b: Judged): number =>
  Number(a.headline.verdict === 'gives way') - Number(b.headline.verdict === 'gives way');
