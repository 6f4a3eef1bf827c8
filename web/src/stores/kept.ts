import type { Plan } from '@rough-gear/core';

/** A plan as the browser keeps it: what the server had, and what it has not got yet. */
export interface Kept {
  readonly revision: number;
  readonly document: Plan;
  /** True while the server has not acknowledged it. */
  readonly unsent: boolean;
}

const key = (planId: string): string => `rough-gear:plan:${planId}`;

/** The browser's copy of a plan; `undefined` where there is none that can be read. */
export function readKept(planId: string, storage: Storage = localStorage): Kept | undefined {
  try {
    const text = storage.getItem(key(planId));
    return text === null ? undefined : (JSON.parse(text) as Kept);
  } catch {
    return undefined;
  }
}

/** Keeps a copy. False where the browser has no room: the screen then says that nothing is kept. */
export function keep(planId: string, kept: Kept, storage: Storage = localStorage): boolean {
  try {
    storage.setItem(key(planId), JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
}
