import { rowsOf, type Clash, type Trial } from '@rough-gear/core';
import { drop, keep, kept } from '../../keeping/keeping.js';
import { unsentKey, unsentOf } from '../../keeping/unsent.js';
import { windowName } from '../../keeping/windows.js';

/** A trial as the server had it, by its revision. */
export interface Known {
  readonly revision: number;
  readonly trial: Trial;
}

/** What a window has written and not sent, and what it began with; that is absent in one that an earlier version kept. */
export interface TrialDraft {
  readonly base?: Known;
  readonly mine: Trial;
}

/** A draft under the name of the window that left it. */
export interface LeftTrial extends TrialDraft {
  readonly key: string;
  readonly ownWindow: boolean;
}

/** A log of more rows takes longer to keep than a keystroke may: it is on the page, and sent until it is taken. */
const MOST_KEPT = 5000;

const clashKey = async (trialId: string): Promise<string> => `clashes:trial:${trialId}:${await windowName()}`;

export async function keepTrialDraft(trialId: string, draft: TrialDraft | undefined): Promise<void> {
  const key = await unsentKey('trial', trialId);
  if (!draft) return drop(key);
  if (rowsOf(draft.mine) <= MOST_KEPT) await keep(key, draft);
}

/** What this window and windows that are gone left unsent of a trial. */
export async function trialsLeft(trialId: string): Promise<readonly LeftTrial[]> {
  const found = await unsentOf<TrialDraft>('trial', trialId);
  return found.filter(({ open }) => !open).map(({ key, value, own }) => ({ ...value, key, ownWindow: own }));
}

export const letTrialGo = ({ key }: LeftTrial): Promise<void> => drop(key);

/** What a person has not decided yet stays until then. */
export async function keepClashes(trialId: string, clashes: readonly Clash[]): Promise<void> {
  const key = await clashKey(trialId);
  await (clashes.length > 0 ? keep(key, clashes) : drop(key));
}

export const keptClashes = async (trialId: string): Promise<readonly Clash[]> =>
  (await kept<readonly Clash[]>(await clashKey(trialId))) ?? [];
