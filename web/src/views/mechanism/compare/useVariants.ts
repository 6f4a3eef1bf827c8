import type { Variant, VariantResult } from '@rough-gear/core';
import { shallowRef, watch, type Ref } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { coreWorker } from '../../../workers/core.js';

/** Variants judged in the worker; the last known stay until the new ones are there. */
export function useVariants(variants: Ref<readonly Variant[]>): Readonly<Ref<readonly VariantResult[]>> {
  const { plan, mechanism, jobId } = useMechanism();
  const results = shallowRef<readonly VariantResult[]>([]);
  watch(
    [plan, variants, jobId],
    ([document, list, job]) => {
      void coreWorker()
        .compare(document, mechanism.value.id, job, list)
        .then((found) => {
          if (found) results.value = found;
        });
    },
    { immediate: true },
  );
  return results;
}
