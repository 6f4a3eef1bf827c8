import type { SpeedEnd } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { computed, shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../../../stores/plan.js';
import { coreWorker } from '../../../workers/core.js';
import type { GearedOn } from '../../../workers/questions.js';

const WAIT_MS = 150;

/**
 * What a wanted speed asks for, in the worker; anew when the plan or the wish changes. The last answer stays until then, but
 * never beside another speed than it was for.
 */
export function useGearFor(
  mechanismId: Ref<string>,
  jobId: Ref<string>,
  end: Ref<SpeedEnd>,
  speed: Ref<number | undefined>,
) {
  const store = usePlan();
  const answered = shallowRef<{ readonly speed: number; readonly answer: GearedOn }>();
  const found = computed(() => (answered.value?.speed === speed.value ? answered.value?.answer : undefined));
  const waiting = shallowRef(false);
  const soon = useTimeoutFn((work: () => void) => work(), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, mechanismId, jobId, end, speed],
    ([plan, mechanism, job, which, wanted], before, onCleanup) => {
      soon.stop();
      let current = true;
      onCleanup(() => (current = false));
      waiting.value = plan !== undefined && wanted !== undefined;
      if (wanted === undefined || mechanism !== before[1] || which !== before[3]) answered.value = undefined;
      if (!plan || wanted === undefined) return;
      soon.start(() => {
        void coreWorker()
          .gearFor(plan, mechanism, job, which, wanted)
          .then((answer) => {
            if (!answer || !current) return;
            answered.value = { speed: wanted, answer };
            waiting.value = false;
          });
      });
    },
    { immediate: true },
  );
  return { found, waiting };
}
