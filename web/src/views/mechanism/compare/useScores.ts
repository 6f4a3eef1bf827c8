import type { CandidateScore, Like, Shelved } from '@rough-gear/core';
import { proxy } from 'comlink';
import { shallowRef, toRaw, watch, type Ref } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { coreWorker } from '../../../workers/core.js';

/** Pairs of the shelf geared and measured in the worker, one after the other; the last known stay until new ones are there. */
export function useScores(shelf: Ref<readonly Shelved[]>, like: Ref<Like>): Readonly<Ref<readonly CandidateScore[]>> {
  const { plan, mechanism, jobId } = useMechanism();
  const scores = shallowRef<readonly CandidateScore[]>([]);
  watch(
    [plan, () => mechanism.value.id, jobId, shelf, like],
    ([document, id, job, parts, alike], _before, onCleanup) => {
      let current = true;
      onCleanup(() => (current = false));
      const take = (found: readonly CandidateScore[] | undefined) => {
        if (found && current) scores.value = found;
      };
      void coreWorker().scores(toRaw(document), id, job, parts.map(toRaw), alike, proxy(take)).then(take);
    },
    { immediate: true },
  );
  return scores;
}
