import { rowsOf, type Clash, type Trial } from '@rough-gear/core';
import { useThrottleFn } from '@vueuse/core';
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

/** A log of more rows takes longer to keep than a keystroke may: it is kept every few seconds. */
const MANY_ROWS = 5000;
const KEEP_LONG_EVERY_MS = 3000;
/** Long logs as they were last written, by the key under which each is kept soon. */
const long = new Map<string, TrialDraft>();
const keepLong = useThrottleFn(
  async () => {
    for (const [key, draft] of long) await keep(key, draft);
    long.clear();
  },
  KEEP_LONG_EVERY_MS,
  true,
);

const clashKey = async (trialId: string): Promise<string> => `clashes:trial:${trialId}:${await windowName()}`;

export async function keepTrialDraft(trialId: string, draft: TrialDraft | undefined): Promise<void> {
  const key = await unsentKey('trial', trialId);
  long.delete(key);
  if (!draft) return drop(key);
  if (rowsOf(draft.mine) <= MANY_ROWS) return void (await keep(key, draft));
  long.set(key, draft);
  void keepLong();
}

/** What was kept is a trial whose rows can be put together with others'; nothing where it is none. */
function asDraft(found: unknown): TrialDraft | undefined {
  const { base, mine } = (found ?? {}) as Partial<TrialDraft>;
  return isTrial(mine) && (base === undefined || isTrial(base.trial)) ? { base, mine } : undefined;
}

const isTrial = (found: Partial<Trial> | undefined): found is Trial =>
  typeof found?.readings === 'object' &&
  Object.values(found.readings).every(Array.isArray) &&
  Array.isArray(found.struck);

/** What this window and windows that are gone left unsent of a trial. */
export async function trialsLeft(trialId: string): Promise<readonly LeftTrial[]> {
  const found = await unsentOf('trial', asDraft, trialId);
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
