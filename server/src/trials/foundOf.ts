import type { FoundSummary } from '@rough-gear/contract';
import { concludeTrial, rowsOf, type Trial } from '@rough-gear/core';

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
/** Whether what it found is known in no time. */
export const fitsAtOnce = (trial: Trial): boolean => trial.closedAt === undefined || rowsOf(trial) <= FEW_ROWS;
