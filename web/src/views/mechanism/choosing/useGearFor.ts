import type { SpeedEnd } from '@rough-gear/core';
import { onUnmounted, shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../../../stores/plan.js';
import { coreWorker } from '../../../workers/core.js';
import type { GearedOn } from '../../../workers/questions.js';

const WAIT_MS = 150;

/** What a wanted speed asks for, in the worker; anew when the plan or the wish changes. The last answer stays until then. */
export function useGearFor(
  mechanismId: Ref<string>,
  jobId: Ref<string>,
  end: Ref<SpeedEnd>,
  speed: Ref<number | undefined>,
) {
  const store = usePlan();
  const found = shallowRef<GearedOn>();
  const waiting = shallowRef(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  watch(
    [() => store.document, mechanismId, jobId, end, speed],
    ([plan, mechanism, job, which, wanted], before, onCleanup) => {
      clearTimeout(timer);
      let current = true;
      onCleanup(() => (current = false));
      waiting.value = plan !== undefined && wanted !== undefined;
      if (wanted === undefined || mechanism !== before[1] || which !== before[3]) found.value = undefined;
      if (!plan || wanted === undefined) return;
      timer = setTimeout(() => {
        void coreWorker()
          .gearFor(plan, mechanism, job, which, wanted)
          .then((answer) => {
            if (!answer || !current) return;
            found.value = answer;
            waiting.value = false;
          });
      }, WAIT_MS);
    },
    { immediate: true },
  );
  onUnmounted(() => clearTimeout(timer));
  return { found, waiting };
}
