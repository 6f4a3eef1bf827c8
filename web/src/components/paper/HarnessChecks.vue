<script setup lang="ts">
import { harnessChecks, type Harness, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../verdict/VerdictRing.vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** What is wrong with the wires as the plan says they are. */
const { plan, harness } = defineProps<{ plan: Plan; harness: Harness }>();
const { say } = useDisplay();
const checks = computed(() => harnessChecks(plan, harness));
</script>

<template>
  <p v-if="checks.length === 0" class="mb-3 text-sm" data-testid="harness-checks">
    Looked for two on one slot, wires too thin for their breakers, what has no breaker, and signals without a common
    ground: none found in what the plan says.
  </p>
  <ul v-else class="mb-3 grid gap-1 text-sm" aria-label="What is wrong with the wires" data-testid="harness-checks">
    <li v-for="check in checks" :key="`${check.where} ${say(check.sentence)}`" class="flex gap-2">
      <VerdictRing :verdict="check.verdict" :size="14" class="mt-0.5 shrink-0" />
      <span
        ><b class="font-semibold">{{ check.where }}, {{ check.verdict }}.</b> {{ say(check.sentence) }}</span
      >
    </li>
  </ul>
</template>
