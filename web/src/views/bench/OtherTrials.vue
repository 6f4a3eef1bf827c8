<script setup lang="ts">
import { FOUND } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useBench } from '../../stores/bench.js';
import { dayText } from './bookWords.js';
import { useTrial } from './useTrial.js';

/** The same trial of the same mechanism done another time, or the other way: with sensors and without, up and down. */
const bench = useBench();
const { trial } = useTrial();
const { show } = useDisplay();
const others = computed(() => {
  const { planId, mechanismId } = trial.value.subject;
  if (mechanismId === undefined) return [];
  const alike = bench.book.filter(
    ({ kind, subject }) =>
      kind === trial.value.kind && subject.planId === planId && subject.mechanismId === mechanismId,
  );
  return alike.length > 1 ? alike.filter(({ found }) => found.length > 0) : [];
});
const nameOf = (one: (typeof others.value)[number]): string =>
  [dayText(one.startedAt), one.subject.jobId, ...Object.values(one.said)].filter(Boolean).join(', ');
</script>

<template>
  <section v-if="others.length > 0" class="mt-4" data-testid="other-trials">
    <h2>Beside it</h2>
    <div v-for="one in others" :key="one.id" class="border-b border-hair py-1 text-sm">
      <b v-if="one.id === bench.id">{{ nameOf(one) }}</b>
      <RouterLink v-else class="act" :to="{ name: 'bench', params: { trialId: one.id } }">{{ nameOf(one) }}</RouterLink>
      <p v-for="{ key, value } in one.found.slice(0, 3)" :key="key" class="flex flex-wrap justify-between gap-x-2">
        <span>{{ FOUND[key].name }}</span><span class="figures ml-auto text-xs whitespace-nowrap">{{
          show(value, FOUND[key].dimension, 4)
        }}</span>
      </p>
    </div>
  </section>
</template>
