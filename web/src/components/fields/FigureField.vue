<script setup lang="ts">
import type { Quantity } from '@rough-gear/core';
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
</script>

<template>
  <QuantityField
    v-if="figure"
    :figure="figure"
    :allow="allow"
    v-bind="label ? { label } : {}"
    @preview="plan.preview(change($event))"
    @commit="plan.commit(change($event))"
    @cancel="plan.cancel()"
  />
</template>
