import type { Mend, Target } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { proxy } from 'comlink';
import { shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { coreWorker } from '../workers/core.js';

export interface MendSearch {
  readonly mends: readonly Mend[];
  readonly done: boolean;
  /** Its time was up before every change was tried. */
  readonly unfinished?: boolean;
}

const WAIT_MS = 120;

/** The mends of a target, found in the worker as they come; a newer question stops the older one. */
export function useMends(mechanismId: Ref<string>, target: Ref<Target | undefined>): Readonly<Ref<MendSearch>> {
  const store = usePlan();
  const search = shallowRef<MendSearch>({ mends: [], done: true });
  const soon = useTimeoutFn((work: () => void) => work(), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, mechanismId, () => JSON.stringify(target.value)],
    (_now, _before, onCleanup) => {
      soon.stop();
      let current = true;
      onCleanup(() => (current = false));
      const [plan, wanted] = [store.document, target.value];
      if (!plan || !wanted) {
        search.value = { mends: [], done: true };
        return;
      }
      search.value = { mends: [], done: false };
      soon.start(() => {
        const progress = proxy((mends: readonly Mend[]) => {
          if (current) search.value = { mends, done: false };
        });
        void coreWorker()
          .mends(plan, mechanismId.value, wanted, progress)
          .then((found) => {
            if (current && found) search.value = { mends: found.mends, done: true, unfinished: !found.finished };
            // Progress comes by another way and may be late: it no longer counts.
            current = false;
          });
      });
    },
    { immediate: true },
  );
  return search;
}
