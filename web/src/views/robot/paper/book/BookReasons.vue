<script setup lang="ts">
import { reviewReasons, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import ReasonEntry from '../../../mechanism/choosing/reasons/ReasonEntry.vue';

/** Why things are as they are, the newest in front. */
const { plan } = defineProps<{ plan: Plan }>();
const reasons = computed(() => [...reviewReasons(plan)].reverse());
</script>

<template>
  <article v-if="reasons.length > 0" class="paper mt-4 break-before-page p-4 sm:p-8 print:mt-0" data-page="reasons">
    <header class="mb-2 border-b-2 border-ink pb-1">
      <h2 class="text-xl">Reasons</h2>
      <p class="text-sm">{{ plan.name }}: what was chosen over what, and whether that is still so</p>
    </header>
    <ol class="grid gap-3">
      <ReasonEntry v-for="one in reasons" :key="one.reason.id" :entry="one" settled />
    </ol>
  </article>
</template>
