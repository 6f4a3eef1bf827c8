import { vi } from 'vitest';

/** What the browser keeps in its database, as far as that is used. */
export const kept = new Map<string, unknown>();
/** While it is so, nothing more has room. */
export const room = { none: false };

/** As a database does: what is read is another than what was written. */
const copy = <Value>(value: Value): Value => structuredClone(value);

/** Windows that are open beside the one that is tested, which is called `this`. */
export const otherWindows = new Set<string>();

export const windowsInMemory = () => ({
  windowName: () => Promise.resolve('this'),
  isOpen: (name: string) => Promise.resolve(otherWindows.has(name)),
});

export function keptInMemory() {
  const set = (key: string, value: unknown): Promise<void> => {
    if (room.none) return Promise.reject(new DOMException('full', 'QuotaExceededError'));
    kept.set(key, copy(value));
    return Promise.resolve();
  };
  return {
    createStore: () => undefined,
    set,
    get: (key: string) => Promise.resolve(copy(kept.get(key))),
    del: (key: string) => Promise.resolve(void kept.delete(key)),
    keys: () => Promise.resolve([...kept.keys()]),
    entries: () => Promise.resolve(copy([...kept.entries()])),
    update: (key: string, to: (before: unknown) => unknown) => set(key, to(copy(kept.get(key)))),
  };
}

/** A browser's small store. */
export function smallStorage(items = new Map<string, string>()): Storage {
  return {
    get length() {
      return items.size;
    },
    key: (i: number) => [...items.keys()][i] ?? null,
    getItem: (key: string) => items.get(key) ?? null,
    setItem: (key: string, value: string) => void items.set(key, value),
    removeItem: (key: string) => void items.delete(key),
    clear: () => items.clear(),
  };
}

/** A browser in which nothing has been kept yet, and whose window has a name. */
export function freshBrowser(): Map<string, string> {
  kept.clear();
  room.none = false;
  otherWindows.clear();
  const small = new Map<string, string>();
  vi.stubGlobal('localStorage', smallStorage(small));
  return small;
}
