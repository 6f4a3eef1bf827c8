<script setup lang="ts">
import { trialSheet } from '@rough-gear/core';
import { computed } from 'vue';
import { useAccess } from '../../stores/access.js';
import { useBench } from '../../stores/bench.js';
import { dayText } from './bookWords.js';

/** Trials beside the open one: those of the same robot or part. */
const { open } = defineProps<{ open: string }>();
defineEmits<{ begin: [] }>();
const bench = useBench();
const access = useAccess();
const trials = computed(() => {
  const { planId, shelfId } = bench.trial?.subject ?? {};
  return bench.book.filter(
    ({ id, subject }) =>
      id === open ||
      (planId !== undefined && subject.planId === planId) ||
      (shelfId !== undefined && subject.shelfId === shelfId),
  );
});
</script>

<template>
  <nav aria-label="Trials" class="flex min-h-0 flex-col overflow-y-auto">
    <div class="flex flex-wrap items-baseline gap-x-4 border-b border-hair px-4 py-2">
      <RouterLink class="act" :to="{ name: 'bench' }">All trials</RouterLink>
      <button v-if="access.mayChange" type="button" class="act min-h-6" @click="$emit('begin')">New trial</button>
    </div>
    <ul class="max-lg:flex max-lg:overflow-x-auto">
      <li v-for="trial in trials" :key="trial.id" class="border-b border-hair max-lg:shrink-0 max-lg:border-r">
        <RouterLink
          :to="{ name: 'bench', params: { trialId: trial.id } }"
          class="block border-l-4 px-3 py-2 text-sm"
          :class="trial.id === open ? 'border-ink bg-sheet' : 'border-transparent hover:bg-sheet'"
          :aria-current="trial.id === open ? 'page' : undefined"
        >
          <b class="block">{{ trialSheet(trial.kind).name }}</b>
          <span class="block text-second">{{
            [trial.subject.name, trial.subject.specimen].filter(Boolean).join(', ')
          }}</span>
          <span v-if="trial.closedAt" class="block text-second">{{ dayText(trial.startedAt) }}</span>
          <span v-else class="block text-tight">unfinished</span>
        </RouterLink>
      </li>
    </ul>
  </nav>
</template>
