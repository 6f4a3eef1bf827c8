import type { Verdict } from '@rough-gear/core';

/** What the four verdicts mean. */
export const MEANINGS: readonly { readonly verdict: Verdict; readonly means: string }[] = [
  { verdict: 'enough', means: 'at least the margin this limit wants' },
  { verdict: 'tight', means: 'does the job, with less than that margin' },
  { verdict: 'gives way', means: 'does not do the job: under 1×' },
  { verdict: 'not known', means: 'a figure is missing; it is named' },
];
