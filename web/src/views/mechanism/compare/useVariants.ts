import type { Variant, VariantResult } from '@rough-gear/core';
import { proxy } from 'comlink';
import { shallowRef, watch, type Ref } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { coreWorker } from '../../../workers/core.js';

/** Variants judged in the worker, one after the other; the last known stay until the new ones are there. */
export function useVariants(variants: Ref<readonly Variant[]>): Readonly<Ref<readonly VariantResult[]>> {
  const { plan, mechanism, jobId } = useMechanism();
  const results = shallowRef<readonly VariantResult[]>([]);
  watch(
    [plan, variants, jobId],
    ([document, list, job], _before, onCleanup) => {
      let current = true;
      onCleanup(() => (current = false));
      const take = (found: readonly VariantResult[] | undefined) => {
        if (found && current) results.value = found;
      };
      void coreWorker().compare(document, mechanism.value.id, job, list, proxy(take)).then(take);
    },
    { immediate: true },
  );
  return results;
}
