<script setup lang="ts">
import {
  FOUND,
  OBSERVED,
  type GoOfJob,
  type MeasuredFigure,
  type MeasuredGo,
  type Plan,
  type Traced,
} from '@rough-gear/core';
import { computed, shallowRef, toRaw, watch } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useBench } from '../../stores/bench.js';
import { coreWorker } from '../../workers/core.js';
import { useTrial } from './useTrial.js';

/** A real go beside the predicted one: how far apart, and which one figure would explain it best. */
const { plan } = defineProps<{ plan: Plan }>();
const { trial, concluded } = useTrial();
const { show } = useDisplay();
const bench = useBench();
const traced = shallowRef<Traced>();
const busy = shallowRef(false);
const found = computed((): MeasuredGo => {
  const conclusion = concluded.value.ok ? concluded.value.conclusion : undefined;
  return goOf((conclusion?.figures ?? []).map(({ key, measured }) => ({ key, ...measured })));
});
/** Goes of the same mechanism at its other jobs: one up and one down tell more than either. */
const others = computed(() => {
  const { planId, mechanismId, jobId } = trial.value.subject;
  const seen = new Set([jobId]);
  return bench.book.flatMap(({ kind, subject, found: figures }): readonly GoOfJob[] => {
    const fits =
      (kind === 'go' || kind === 'logged-go') && subject.planId === planId && subject.mechanismId === mechanismId;
    if (!fits || subject.jobId === undefined || seen.has(subject.jobId)) return [];
    seen.add(subject.jobId);
    return [{ jobId: subject.jobId, go: goOf(figures) }];
  });
});
function goOf(figures: readonly { key: string; value: number; error?: number }[]): MeasuredGo {
  return Object.fromEntries(
    OBSERVED.flatMap((key): readonly [string, MeasuredFigure][] => {
      const figure = figures.find((one) => one.key === key);
      return figure ? [[key, { value: figure.value, error: figure.error ?? Infinity }]] : [];
    }),
  );
}
let newest = 0;
watch(
  [() => plan, found, others],
  async ([on, go, more]) => {
    const { mechanismId, jobId } = trial.value.subject;
    if (mechanismId === undefined || jobId === undefined || Object.keys(go).length === 0) return;
    const mine = ++newest;
    busy.value = true;
    const answer = await coreWorker().trace(toRaw(on), mechanismId, [{ jobId, go }, ...more]);
    if (mine !== newest) return;
    traced.value = answer;
    busy.value = false;
  },
  { immediate: true },
);
const BY_CHANCE = 2;
const best = computed(() => traced.value?.causes[0]);
const next = computed(() => traced.value?.causes.slice(1, 4) ?? []);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const sd = (value: number): string =>
  `${Math.abs(value).toFixed(1)} standard deviations ${value > 0 ? 'more' : 'less'}`;
/** What is further off than readings go by chance. */
const told = computed(() => traced.value?.off.filter(({ errors }) => Math.abs(errors) > BY_CHANCE) ?? []);
const measuredText = computed(() =>
  told.value
    .map(({ key }) => {
      const { name, dimension } = FOUND[key];
      return `${name} ${show(found.value[key]!.value, dimension)} where ${show(traced.value!.predicted[key], dimension)} was predicted`;
    })
    .join('; '),
);
</script>

<template>
  <section class="mt-4" data-testid="traced">
    <h2>Predicted against measured</h2>
    <p v-if="!traced" class="text-sm text-second">
      {{ busy ? 'looking for what explains it …' : 'The program has no run of this job that arrives.' }}
    </p>
    <template v-else>
      <p v-if="told.length > 0" class="text-sm">{{ capital(measuredText) }}.</p>
      <p v-if="traced.agrees" class="mt-1 text-sm">As near as readings go by chance: nothing to explain.</p>
      <template v-else-if="best">
        <p class="mt-1 text-sm">
          <b>{{ capital(best.name) }}</b> explains it best: {{ sd(best.deviations) }}, and
          {{ Math.round(best.explains * 100) }} % of what was off is gone.
        </p>
        <details class="mt-1 text-sm">
          <summary>the others</summary>
          <ul>
            <li v-for="cause in next" :key="cause.cause">
              {{ cause.name }}: {{ sd(cause.deviations) }}, {{ Math.round(cause.explains * 100) }} %
            </li>
          </ul>
        </details>
      </template>
    </template>
  </section>
</template>
