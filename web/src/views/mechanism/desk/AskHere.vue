<script setup lang="ts">
import { answerAt, asksOf } from '@rough-gear/contract/find';
import type { LinkKind } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { usePlan } from '../../../stores/plan.js';

/** What is often asked at this link, each question a way to where it is answered. */
const { at, stage = undefined } = defineProps<{ at: LinkKind; stage?: string | undefined }>();
const { path, mechanism } = useMechanism();
const store = usePlan();
const asks = computed(() =>
  asksOf(path.value, at).map((ask) => ({
    text: ask.text,
    to: answerAt(ask, store.id!, mechanism.value.id, stage),
  })),
);
</script>

<template>
  <nav
    v-if="asks.length > 0"
    aria-label="Ask here"
    class="not-printed mt-1 flex flex-wrap items-baseline gap-x-3 text-sm"
  >
    <span class="text-second">Ask here:</span>
    <RouterLink v-for="{ text, to } in asks" :key="text" :to="to" class="act min-h-6">{{ text }}</RouterLink>
  </nav>
</template>
