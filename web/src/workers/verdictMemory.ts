import type { Plan } from '@rough-gear/core';
import { get, update } from 'idb-keyval';
import type { RobotVerdict } from './questions.js';
import { CORE_WORKER } from './core.js';

interface Remembered {
  readonly key: string;
  readonly verdict: RobotVerdict;
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

/**
 * What the matches of this very plan came to when they were gone through before. It takes seconds, so a page that is loaded
 * again does not do it twice. Nothing is lost where it cannot be kept: it is worked out anew.
 */
export async function recalled(plan: Plan): Promise<RobotVerdict | undefined> {
  try {
    const key = await keyOf(plan);
    const all = key === undefined ? [] : ((await get<readonly Remembered[]>(PLACE)) ?? []);
    return all.find((one) => one.key === key)?.verdict;
  } catch {
    return undefined;
  }
}

export async function remember(plan: Plan, verdict: RobotVerdict): Promise<void> {
  try {
    const key = await keyOf(plan);
    if (key === undefined) return;
    await update<readonly Remembered[]>(PLACE, (all = []) =>
      [{ key, verdict }, ...all.filter((one) => one.key !== key)].slice(0, MOST),
    );
  } catch {
    // A browser without room, or in private: the next page works it out anew.
  }
}
