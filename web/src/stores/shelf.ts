import type { ShelfMarks, ShelfPart } from '@rough-gear/contract/api';
import type { Part } from '@rough-gear/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, Unreachable } from '../api/client.js';
import { forgetShelf } from '../composables/useShelf.js';

/** The whole shelf, those retired too: what its page, the searches and the plan's copies look at. */
export const useWholeShelf = defineStore('shelf', () => {
  const parts = shallowRef<readonly ShelfPart[]>([]);
  const state = ref<'not asked' | 'loading' | 'there' | 'away'>('not asked');
  const failure = ref('');
  const byId = computed(() => new Map(parts.value.map((item) => [item.id, item])));
  /** What is offered: without those retired. */
  const offered = computed(() => parts.value.filter(({ retired }) => !retired));

  async function load(again = false): Promise<void> {
    if (!again && (state.value === 'there' || state.value === 'loading')) return;
    if (state.value !== 'there') state.value = 'loading';
    try {
      parts.value = await api.wholeShelf();
      state.value = 'there';
    } catch (problem) {
      state.value = 'away';
      failure.value =
        problem instanceof Unreachable
          ? 'The shelf is on the server, which cannot be reached now.'
          : (problem as Error).message;
    }
  }

  function take(item: ShelfPart): ShelfPart {
    forgetShelf();
    const others = parts.value.filter(({ id }) => id !== item.id);
    parts.value = [...others, item];
    return item;
  }

  const add = async (part: Part): Promise<ShelfPart> => take(await api.addPart(part));
  const save = async ({ id, revision }: ShelfPart, part: Part): Promise<ShelfPart> =>
    take(await api.savePart(id, revision, part));
  const mark = async ({ id }: ShelfPart, marks: ShelfMarks): Promise<ShelfPart> => take(await api.markPart(id, marks));

  /** After an import: everything may be another. */
  async function reload(): Promise<void> {
    forgetShelf();
    await load(true);
  }

  return { parts, offered, byId, state, failure, load, add, save, mark, reload };
});
