import type { Plan } from '@rough-gear/core';
import { get, update } from 'idb-keyval';
import type { TogetherTold } from './questions.js';
import { CORE_WORKER } from './core.js';

interface Remembered {
  readonly key: string;
  readonly verdict: TogetherTold;
}

const PLACE = 'rough-gear:robot-verdicts';
/** Of so many plans: a few robots, each as it was before and after the last changes. */
const MOST = 12;

/**
 * Names a plan as it stands and the program that judges it: other figures, or another build, have another key. `undefined`
 * where the browser makes no digests, as over plain http.
 */
async function keyOf(plan: Plan): Promise<string | undefined> {
  if (!globalThis.crypto?.subtle) return undefined;
  const text = new TextEncoder().encode(CORE_WORKER + JSON.stringify(plan));
  const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', text));
  return Array.from(digest, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

const find = async (key: string): Promise<TogetherTold | undefined> =>
  (await get<readonly Remembered[]>(PLACE))?.find((one) => one.key === key)?.verdict;

/** A browser without room, or in private, remembers nothing: it is worked out anew. */
const orNothing = async <Found>(work: () => Promise<Found>): Promise<Found | undefined> => {
  try {
    return await work();
  } catch {
    return undefined;
  }
};

/**
 * What the matches of this very plan came to when they were gone through before. It takes seconds, so a page that is loaded
 * again does not do it twice.
 */
export const recalled = (plan: Plan): Promise<TogetherTold | undefined> =>
  orNothing(async () => {
    const key = await keyOf(plan);
    return key === undefined ? undefined : find(key);
  });

/** The same, or else what going through them comes to, which is kept. */
export async function remembering(
  plan: Plan,
  judge: () => Promise<TogetherTold | undefined>,
): Promise<TogetherTold | undefined> {
  const key = await orNothing(() => keyOf(plan));
  const known = key === undefined ? undefined : await orNothing(() => find(key));
  if (known) return known;
  const verdict = await judge();
  if (verdict && key !== undefined)
    await orNothing(() =>
      update<readonly Remembered[]>(PLACE, (all = []) =>
        [{ key, verdict }, ...all.filter((one) => one.key !== key)].slice(0, MOST),
      ),
    );
  return verdict;
}
