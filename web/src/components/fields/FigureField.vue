<script setup lang="ts">
import type { Quantity } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { usePlan } from '../../stores/plan.js';
import type { Allowance } from './allowance.js';
import QuantityField from './QuantityField.vue';
import { fetchReader, refusedByPlan } from './refusedByPlan.js';

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

const change = (to: Quantity | undefined) => ({ at: figure.value!.at, to });
/** What the plan cannot take is said at the field, and the last good plan stays. */
const { show } = useDisplay();
const refused = (quantity: Quantity) =>
  plan.document && refusedByPlan(plan.document, change(quantity), (bound) => show(bound, figure.value!.dimension));
</script>

<template>
  <QuantityField
    v-if="figure"
    :data-figure="key"
    :figure="figure"
    :allow="allow"
    :refused="refused"
    v-bind="label ? { label } : {}"
    @focusin="fetchReader"
    @preview="plan.preview([change($event)])"
    @commit="plan.commit([change($event)])"
    @cancel="plan.cancel()"
  />
</template>
