import type { Variant, VariantResult } from '@rough-gear/core';
import type { Ref } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useTold } from '../../../composables/useTold.js';
import { coreWorker } from '../../../workers/core.js';

/** Variants judged in the worker, one after the other. */
export function useVariants(variants: Ref<readonly Variant[]>): Readonly<Ref<readonly VariantResult[]>> {
  const { plan, mechanism, jobId } = useMechanism();
  return useTold<readonly VariantResult[]>(
    [plan, variants, jobId],
    (told) => coreWorker().compare(plan.value, mechanism.value.id, jobId.value, variants.value, told),
    [],
  );
}
