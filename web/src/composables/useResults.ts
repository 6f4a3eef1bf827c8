import type { MechanismResult } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../stores/plan.js';
import { coreWorker } from '../workers/core.js';

const WAIT_MS = 60;

/** Results of all mechanisms of the open plan, computed in the worker; the last known until then. */
export function useResults(): Readonly<Ref<ReadonlyMap<string, MechanismResult>>> {
  const store = usePlan();
  const results = shallowRef<ReadonlyMap<string, MechanismResult>>(new Map());
  const soon = useTimeoutFn((work: () => void) => work(), WAIT_MS, { immediate: false });
  watch(
    () => store.document,
    (plan) => {
      soon.stop();
      if (!plan) return;
      soon.start(() => {
        void coreWorker()
          .evaluate(plan)
          .then((all) => {
            if (store.document === plan) results.value = new Map(all.map((result) => [result.id, result]));
          });
      });
    },
    { immediate: true },
  );
  return results;
}
