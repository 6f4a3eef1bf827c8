import { rowsOf, type Clash, type Trial } from '@rough-gear/core';
import { drop, keep, kept, keptUnder } from '../../keeping/keeping.js';
import { isOpen, windowName } from '../../keeping/windows.js';

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

const draftKey = async (trialId: string): Promise<string> => `unsent:trial:${trialId}:${await windowName()}`;
const clashKey = async (trialId: string): Promise<string> => `clashes:trial:${trialId}:${await windowName()}`;

export async function keepTrialDraft(trialId: string, draft: TrialDraft | undefined): Promise<void> {
  const key = await draftKey(trialId);
  if (!draft) return drop(key);
  if (rowsOf(draft.mine) <= MOST_KEPT) await keep(key, draft);
}

/** What this window and windows that are gone left unsent of a trial. */
export async function trialsLeft(trialId: string): Promise<readonly LeftTrial[]> {
  const own = await draftKey(trialId);
  const found = await keptUnder<TrialDraft>(`unsent:trial:${trialId}:`);
  const open = await Promise.all(found.map(([key]) => key !== own && isOpen(key.split(':').at(-1)!)));
  return found.filter((_, i) => !open[i]).map(([key, draft]) => ({ ...draft, key, ownWindow: key === own }));
}

export const letTrialGo = ({ key }: LeftTrial): Promise<void> => drop(key);

/** What a person has not decided yet stays until then. */
export async function keepClashes(trialId: string, clashes: readonly Clash[]): Promise<void> {
  const key = await clashKey(trialId);
  await (clashes.length > 0 ? keep(key, clashes) : drop(key));
}

export const keptClashes = async (trialId: string): Promise<readonly Clash[]> =>
  (await kept<readonly Clash[]>(await clashKey(trialId))) ?? [];
