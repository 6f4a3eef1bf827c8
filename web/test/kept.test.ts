import { readFileSync } from 'node:fs';
import type { Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { keep, listKept, readKept } from '../src/stores/kept.js';

const heron = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as Plan;

/** A browser's storage, as far as it is used. */
class SmallStorage {
  private readonly items = new Map<string, string>();
  get length(): number {
    return this.items.size;
  }
  key(index: number): string | null {
    return [...this.items.keys()][index] ?? null;
  }
  getItem(key: string): string | null {
    return this.items.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    this.items.set(key, value);
  }
}

const storage = () => new SmallStorage() as unknown as Storage;

describe('what the browser keeps', () => {
  it('is read back as it was', () => {
    const store = storage();
    expect(keep('a', { revision: 3, document: heron, unsent: true }, store)).toBe(true);
    expect(readKept('a', store)).toEqual({ revision: 3, document: heron, unsent: true });
    expect(readKept('b', store)).toBeUndefined();
  });

  it('is passed over where it is broken', () => {
    const store = storage();
    store.setItem('rough-gear:plan:a', '{"revision":');
    expect(readKept('a', store)).toBeUndefined();
    expect(listKept(store)).toEqual([]);
  });

  it('is listed by name, and nothing else of the browser’s with it', () => {
    const store = storage();
    store.setItem('rough-gear:theme', 'dark');
    keep('2', { revision: 1, document: { ...heron, name: 'Tern' }, unsent: false }, store);
    keep('1', { revision: 1, document: heron, unsent: false }, store);
    expect(listKept(store)).toEqual([
      { id: '1', name: 'Heron' },
      { id: '2', name: 'Tern' },
    ]);
  });
});
