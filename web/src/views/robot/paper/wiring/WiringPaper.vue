<script setup lang="ts">
import { harnessOf, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import HarnessChecks from '../../../../components/paper/HarnessChecks.vue';
import HarnessRails from './HarnessRails.vue';
import HarnessSignals from './HarnessSignals.vue';
import HarnessSlots from './HarnessSlots.vue';

/** Every wire of the robot on one sheet: the pack, slot by slot, rails, signals terminal to terminal. */
const { plan } = defineProps<{
  plan: Plan;
  /** In the robot's book: on a page of its own. */
  bound?: boolean;
}>();
const harness = computed(() => harnessOf(plan));
</script>

<template>
  <article
    class="paper mx-auto max-w-[200mm] p-4 sm:p-8"
    :class="bound ? 'mt-4 break-before-page print:mt-0' : ''"
    data-page="wiring"
  >
    <header class="mb-2 border-b-2 border-ink pb-1">
      <h1 class="text-xl">Wiring</h1>
      <p class="text-sm">{{ plan.name }}, choices in force</p>
    </header>
    <p class="mb-2 text-sm font-semibold">
      Pack unplugged while you wire; its plugs never together in one hand. The supply goes past its breaker first. Local
      codes and event rules come first.
    </p>
    <HarnessChecks :plan="plan" :harness="harness" />
    <HarnessSlots :harness="harness" :colours="plan.wireColours ?? {}" />
    <HarnessRails v-if="harness.rails.length > 0" :rails="harness.rails" />
    <HarnessSignals v-if="harness.channels.length > 0" :harness="harness" :colours="plan.wireColours ?? {}" />
  </article>
</template>
