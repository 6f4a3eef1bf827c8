<script setup lang="ts">
import { trialSheet, type Plan, type WorthDoing } from '@rough-gear/core';
import { computed, shallowRef, toRaw, watch } from 'vue';
import { useAccess } from '../../stores/access.js';
import { coreWorker } from '../../workers/core.js';
import { useTrial } from './useTrial.js';

/** Which trial would narrow the verdict most for the least effort: of this mechanism, or of the first that uses the part. */
const { plan, judged } = defineProps<{ plan: Plan; judged: readonly string[] }>();
const { trial } = useTrial();
const access = useAccess();
const worth = shallowRef<readonly WorthDoing[]>([]);
const mechanism = computed(() => {
  const id = trial.value.subject.mechanismId ?? judged[0];
  return plan.mechanisms.find((one) => one.id === id);
});
let newest = 0;
watch(
  [() => plan, mechanism],
  async ([on, of]) => {
    const mine = ++newest;
    if (!of) {
      worth.value = [];
      return;
    }
    const answer = await coreWorker().worthDoing(toRaw(on), of.id, trial.value.subject.jobId ?? of.jobs[0]!.id);
    if (mine === newest) worth.value = answer;
  },
  { immediate: true },
);
const first = computed(() => worth.value[0]);
const band = ([low, high]: readonly [number, number]): string => `${low.toFixed(2)}–${high.toFixed(2)}×`;
</script>

<template>
  <section v-if="mechanism && first" class="mt-4" data-testid="next-trial">
    <h2>Next trial worth doing</h2>
    <p class="text-sm">
      <RouterLink v-if="access.mayChange" class="act font-semibold" :to="{ query: { begin: first.kind } }">{{
        trialSheet(first.kind).name
      }}</RouterLink><b v-else>{{ trialSheet(first.kind).name }}</b
      >, for {{ first.why }}: what {{ mechanism.name }} has narrows from {{ band(first.now) }} to
      {{ band(first.then) }}.
    </p>
    <p class="text-xs text-second">
      {{ first.minutes }} minutes, {{ trialSheet(first.kind).people === 1 ? 'one person' : 'two people' }}. One standard
      deviation either way, as far as it is known now.
    </p>
  </section>
</template>
