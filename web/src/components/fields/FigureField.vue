<script setup lang="ts">
import { applyChanges, clashIn, type Quantity } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../composables/useMechanism.js';
import { usePlan } from '../../stores/plan.js';
import type { Allowance } from './allowance.js';
import QuantityField from './QuantityField.vue';

/** A figure of the open mechanism by its key: shown, and changed where the plan keeps it. */
const {
  figure: key,
  label = undefined,
  allow = 'positive',
} = defineProps<{
  figure: string;
  label?: string;
  allow?: Allowance;
}>();

const { path } = useMechanism();
const plan = usePlan();
const figure = computed(() => path.value.figures[key]);

function change(quantity: Quantity | undefined) {
  return [{ at: figure.value!.at, to: quantity }];
}
/** What is typed may go against another figure of the same part: that is said, and the last good plan stays. */
function clash(quantity: Quantity): string | undefined {
  const at = figure.value!.at;
  if (at[0] !== 'parts' || !plan.document) return undefined;
  const copy = applyChanges(plan.document, change(quantity)).parts[String(at[1])];
  return copy && clashIn(copy.part);
}
</script>

<template>
  <QuantityField
    v-if="figure"
    :figure="figure"
    :allow="allow"
    :clash="clash"
    v-bind="label ? { label } : {}"
    @preview="plan.preview(change($event))"
    @commit="plan.commit(change($event))"
    @cancel="plan.cancel()"
  />
</template>
