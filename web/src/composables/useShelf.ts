import type { ShelfPart } from '@rough-gear/contract/api';
import type { PartKind } from '@rough-gear/core';
import { shallowRef, type Ref } from 'vue';
import { api } from '../api/client.js';

const shelves = new Map<PartKind, readonly ShelfPart[]>();

/** What was fetched is no longer what is there: the next who asks fetches anew. */
export const forgetShelf = (): void => shelves.clear();

export interface Shelf {
  readonly parts: readonly ShelfPart[];
  readonly state: 'loading' | 'there' | 'away';
}

/** The shelf's parts of a kind, fetched once. */
export function useShelf(kind: PartKind): { readonly shelf: Readonly<Ref<Shelf>>; load(): Promise<void> } {
  const shelf = shallowRef<Shelf>({ parts: shelves.get(kind) ?? [], state: shelves.has(kind) ? 'there' : 'loading' });
  async function load(): Promise<void> {
    if (shelf.value.state === 'there') return;
    shelf.value = { parts: [], state: 'loading' };
    try {
      const parts = await api.shelf(kind);
      shelves.set(kind, parts);
      shelf.value = { parts, state: 'there' };
    } catch {
      shelf.value = { parts: [], state: 'away' };
    }
  }
  return { shelf, load };
}
