import type { RatioMarks } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { proxy } from 'comlink';
import { shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { coreWorker } from '../workers/core.js';

export interface MarksSearch {
  readonly marks: RatioMarks;
  /** Share done, 1 when finished. */
  readonly progress: number;
  stop(): void;
}

const WAIT_MS = 250;

/** Fastest, coolest and least-current totals of the open job, from a coarse sweep in the worker. */
export function useMarks(
  mechanismId: Ref<string>,
  jobId: Ref<string>,
  active: Ref<boolean>,
): Readonly<Ref<MarksSearch>> {
  const store = usePlan();
  const stop = () => {
    void coreWorker().stop('marks');
    search.value = { ...search.value, progress: 1 };
  };
  const search = shallowRef<MarksSearch>({ marks: {}, progress: 1, stop });
  const soon = useTimeoutFn((work: () => void) => work(), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, mechanismId, jobId, active],
    ([plan, mechanism, job, wanted], before, onCleanup) => {
      soon.stop();
      let current = true;
      onCleanup(() => (current = false));
      const elsewhere = before[1] !== mechanism || before[2] !== job;
      if (!plan || !wanted) {
        search.value = { marks: {}, progress: 1, stop };
        return;
      }
      // The old marks stay in place, until the new ones are there, while only the design moves.
      search.value = { marks: elsewhere ? {} : search.value.marks, progress: 0, stop };
      soon.start(() => {
        const progress = proxy((share: number) => {
          if (current) search.value = { ...search.value, progress: share };
        });
        void coreWorker()
          .marks(plan, mechanism, job, progress)
          .then((marks) => {
            if (current && marks) search.value = { marks, progress: 1, stop };
            // Progress comes by another way and may be late: it no longer counts.
            current = false;
          });
      });
    },
    { immediate: true },
  );
  return search;
}
