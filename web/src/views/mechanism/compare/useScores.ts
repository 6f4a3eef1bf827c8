import type { CandidateScore, Like, Shelved } from '@rough-gear/core';
import { toRaw, type Ref } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useTold } from '../../../composables/useTold.js';
import { coreWorker } from '../../../workers/core.js';

/** Pairs of the shelf geared and measured in the worker, one after the other. */
export function useScores(shelf: Ref<readonly Shelved[]>, like: Ref<Like>): Readonly<Ref<readonly CandidateScore[]>> {
  const { plan, mechanism, jobId } = useMechanism();
  return useTold<readonly CandidateScore[]>(
    [plan, () => mechanism.value.id, jobId, shelf, like],
    (told) =>
      coreWorker().scores(toRaw(plan.value), mechanism.value.id, jobId.value, shelf.value.map(toRaw), like.value, told),
    [],
  );
}
