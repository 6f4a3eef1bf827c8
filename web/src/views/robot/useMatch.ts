import { lengthOf, proposeScript, type JudgedMatch, type MatchScript, type Plan } from '@rough-gear/core';
import { proxy } from 'comlink';
import { computed, ref, shallowRef, toRaw, watch, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNewest } from '../../composables/useNewest.js';
import { coreWorker } from '../../workers/core.js';
import type { MatchAsked } from '../../workers/questions.js';

/** The scripts of a robot, the one that is open, and what came of it: gone through in the worker, again on each change. */
export function useMatch(plan: ComputedRef<Plan>) {
  const route = useRoute();
  const router = useRouter();
  /** Where none is kept yet, the calm one that follows from the jobs stands there; the first change keeps it. */
  const scripts = computed((): readonly MatchScript[] => {
    const kept = plan.value.scripts ?? [];
    return kept.length > 0 ? kept : [proposeScript(plan.value, 'calm', 'match-1')];
  });
  const scriptId = computed({
    get: () => scripts.value.find(({ id }) => id === route.query['script'])?.id ?? scripts.value[0]!.id,
    set: (id) => void router.replace({ params: route.params, query: { ...route.query, script: id } }),
  });
  const script = computed(() => scripts.value.find(({ id }) => id === scriptId.value)!);
  const length = computed(() => lengthOf(script.value));
  /** How it is gone through: with the pack charged, old, weak and cold as it is. */
  const asked = ref<MatchAsked>({ charge: 1, aged: 1, capacity: 1, celsius: 20 });

  const judged = shallowRef<JudgedMatch>();
  const progress = ref(0);
  const { running, stopped, failure, ask, stop } = useNewest(() => void coreWorker().stop('match'));
  function run(): Promise<void> {
    progress.value = 0;
    return ask(
      (isOn) => {
        const told = proxy((share: number) => {
          if (isOn()) progress.value = share;
        });
        return coreWorker().match(toRaw(plan.value), toRaw(script.value), { ...asked.value }, told);
      },
      (found) => (judged.value = found),
    );
  }
  watch([plan, script, asked], () => void run(), { immediate: true });

  return { scripts, script, scriptId, length, asked, judged, progress, running, stopped, failure, run, stop };
}
