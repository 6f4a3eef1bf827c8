<script setup lang="ts">
import { computed, ref } from 'vue';
import FigureField from '../../../components/FigureField.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';

/** The job: the numbers that decide in front, the rest folded with what is typical. */
const { path, job } = useMechanism();
const more = ref(false);
/** As many of the rest as fill the row of those that decide. */
const shown = computed(() => 5 - DECIDING[kind.value].length);
const kind = computed(() => path.value.job.kind);
const DECIDING = {
  sprint: ['output.mass', 'job.distance', 'job.time', 'job.every'],
  push: ['job.push', 'job.time', 'job.every', 'output.mass'],
  raise: ['job.mass', 'job.distance', 'job.time', 'job.every'],
} as const;
const REST = {
  sprint: ['job.slope', 'job.shock', 'job.speed', 'job.acceleration', 'job.held'],
  push: ['job.pushSpeed', 'job.slope', 'job.shock', 'job.held'],
  raise: ['job.friction', 'job.counterforce', 'job.slope', 'job.shock', 'job.held', 'job.speed', 'job.acceleration'],
} as const;
const ALLOW: Record<string, 'any' | 'not negative'> = {
  'job.slope': 'any',
  'job.friction': 'not negative',
  'job.counterforce': 'not negative',
};
const DETAILS = {
  sprint: 'cover a distance in a time',
  push: 'push against something',
  raise: 'lift a load by a height in a time',
};
</script>

<template>
  <PanelHead title="Load" :detail="`${job.name}: ${DETAILS[kind]}`">
    <button
      v-if="REST[kind].length > shown"
      type="button"
      class="act min-h-6"
      :aria-expanded="more"
      @click="more = !more"
    >
      {{ more ? 'Less' : 'More about this job' }}
    </button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4 xl:grid-cols-5">
    <FigureField v-for="figure in DECIDING[kind]" :key="figure" :figure="figure" />
    <FigureField
      v-for="figure in REST[kind].slice(0, shown)"
      :key="figure"
      :figure="figure"
      :allow="ALLOW[figure] ?? 'positive'"
    />
  </div>
  <div v-if="more" class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4 xl:grid-cols-5">
    <FigureField
      v-for="figure in REST[kind].slice(shown)"
      :key="figure"
      :figure="figure"
      :allow="ALLOW[figure] ?? 'positive'"
    />
  </div>
</template>
