import { migrate } from '@rough-gear/contract/migrate';
import type { Plan } from '@rough-gear/core';

/** A plan as the browser keeps it: what the server had, and what it has not got yet. */
export interface Kept {
  readonly revision: number;
  readonly document: Plan;
  /** True while the server has not acknowledged it. */
  readonly unsent: boolean;
}

const PREFIX = 'rough-gear:plan:';
const key = (planId: string): string => `${PREFIX}${planId}`;

/** The browser's copy of a plan; `undefined` where there is none that can be read. */
export function readKept(planId: string, storage: Storage = localStorage): Kept | undefined {
  try {
    const text = storage.getItem(key(planId));
    if (text === null) return undefined;
    const kept = JSON.parse(text) as Kept;
    // Kept by an earlier version of the program, perhaps.
    return { ...kept, document: migrate(kept.document) as Plan };
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

/** The plans this browser has a copy of, by id and name: what can be opened while the server is away. */
export function listKept(storage: Storage = localStorage): readonly { readonly id: string; readonly name: string }[] {
  return Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '')
    .filter((name) => name.startsWith(PREFIX))
    .flatMap((name) => {
      const id = name.slice(PREFIX.length);
      const kept = readKept(id, storage);
      return kept ? [{ id, name: kept.document.name }] : [];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}
