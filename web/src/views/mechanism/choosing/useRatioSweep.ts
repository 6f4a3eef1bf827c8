import type { RatioPoint } from '@rough-gear/core';
import { useTimeoutFn } from '@vueuse/core';
import { proxy } from 'comlink';
import { onUnmounted, shallowRef, watch, type Ref } from 'vue';
import { usePlan } from '../../../stores/plan.js';
import { coreWorker } from '../../../workers/core.js';

const WAIT_MS = 200;

export interface RatioSweepState {
  readonly points: readonly RatioPoint[];
  readonly done: boolean;
}

/** The ratio sweep of the open job, in the worker; anew when the plan changes, but not while it is dragged. */
export function useRatioSweep(
  mechanismId: Ref<string>,
  jobId: Ref<string>,
  span: Ref<readonly [number, number]>,
  held: Ref<boolean>,
) {
  const store = usePlan();
  const sweep = shallowRef<RatioSweepState>({ points: [], done: false });
  const soon = useTimeoutFn((work: () => void) => work(), WAIT_MS, { immediate: false });
  watch(
    [() => store.document, mechanismId, jobId, () => span.value.join(), held],
    (_now, _before, onCleanup) => {
      soon.stop();
      let current = true;
      onCleanup(() => (current = false));
      const plan = store.document;
      if (!plan || held.value) return;
      sweep.value = { ...sweep.value, done: false };
      soon.start(() => {
        const progress = proxy((points: readonly RatioPoint[]) => {
          // The old curve stays until the new one is whole, where there is one.
          if (current && sweep.value.points.length === 0) sweep.value = { points, done: false };
        });
        void coreWorker()
          .ratioSweep(plan, mechanismId.value, jobId.value, span.value, progress)
          .then((points) => {
            if (current && points) sweep.value = { points, done: true };
            // Progress comes by another way and may be late: it no longer counts.
            current = false;
          });
      });
    },
    { immediate: true },
  );
  function stop(): void {
    soon.stop();
    void coreWorker().stop('ratioSweep');
    sweep.value = { ...sweep.value, done: true };
  }
  onUnmounted(stop);
  return { sweep, stop };
}
