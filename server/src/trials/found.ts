import type { FoundSummary } from '@rough-gear/contract';
import { concludeTrial, rowsOf, type Trial } from '@rough-gear/core';
import { Thread, threadAt } from '../threads/thread.js';
import type { TrialText } from './reading.js';

/**
 * What a trial found, without regard to any sheet: once it is closed. While it is gone on with it is saved again and again.
 */
export function foundOf(trial: Trial): readonly FoundSummary[] {
  if (trial.closedAt === undefined) return [];
  const concluded = concludeTrial(trial, {});
  if (!concluded.ok) return [];
  return concluded.conclusion.figures.map(({ key, measured: { value, error } }) =>
    Number.isFinite(error) ? { key, value, error } : { key, value },
  );
}

/** A log of so many rows is fitted in a few hundredths of a second. */
const FEW_ROWS = 2000;
/** So long a fit may take, ms. */
const LONGEST = 30_000;

const WORKER = threadAt('foundWorker', import.meta.url);

/** Whether what it found is known in no time. */
export const fitsAtOnce = (trial: Trial): boolean => trial.closedAt === undefined || rowsOf(trial) <= FEW_ROWS;

/**
 * What a trial found; what takes seconds in a thread of its own, so that nobody else waits for it. A list that cannot tell
 * what a trial found says nothing of it: it is fitted anew where it is opened.
 */
export async function foundApart({ text, found }: TrialText, at: URL = WORKER): Promise<readonly FoundSummary[]> {
  if (found) return found;
  const thread = new Thread(at);
  try {
    return await thread.ask<readonly FoundSummary[]>(text, 'fitting it', LONGEST);
  } catch {
    return [];
  } finally {
    await thread.close();
  }
}
