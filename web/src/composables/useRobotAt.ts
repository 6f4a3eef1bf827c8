import type { Plan } from '@rough-gear/core';
import { computed, watch, type ComputedRef } from 'vue';
import { useDiary } from '../stores/diary.js';
import { usePlan } from '../stores/plan.js';

/** The robot of an address with its diary, opened; and what its window is called. */
export function useRobotAt(
  planId: () => string,
  page: () => string,
): { readonly plan: ComputedRef<Plan | undefined>; readonly store: ReturnType<typeof usePlan> } {
  const store = usePlan();
  const diary = useDiary();
  watch(
    planId,
    (id) => {
      void store.open(id);
      void diary.open(id);
    },
    { immediate: true },
  );
  const plan = computed(() => (store.id === planId() ? store.document : undefined));
  watch(
    [plan, page],
    ([now, of]) => {
      if (now) document.title = `${now.name}, ${of} · Rough Gear`;
    },
    { immediate: true },
  );
  return { plan, store };
}
