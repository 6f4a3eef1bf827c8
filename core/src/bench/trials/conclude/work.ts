import type { Conclusion } from '../conclusion.js';
import type { Expected } from '../found.js';
import type { Reading } from '../trial.js';

/** What a kind of trial is concluded from. */
export interface TrialWork {
  /** Whole rows, those struck out among them; and those that count. */
  readonly readings: readonly Reading[];
  readonly kept: readonly Reading['at'][];
  readonly expected: Expected;
  /** A figure given beside the readings. @throws RangeError where it is missing */
  given(key: string): number;
  said(key: string): string;
}

export type Conclude = (work: TrialWork) => Conclusion;

/** A column whose rows are whole. */
export const at = (reading: Reading['at'], key: string): number => reading[key]!;
