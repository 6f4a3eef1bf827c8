<script setup lang="ts">
import { computed, ref, watch, type Component } from 'vue';
import BrakeChart from '../../../components/charts/BrakeChart.vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import HeatChart from '../../../components/charts/HeatChart.vue';
import ReachChart from '../../../components/charts/ReachChart.vue';
import RunChart from '../../../components/charts/RunChart.vue';
import TorqueChart from '../../../components/charts/TorqueChart.vue';
import TravelChart from '../../../components/charts/TravelChart.vue';
import { useAsked } from '../../../composables/useAsked.js';
import { useMechanism } from '../../../composables/useMechanism.js';

/** Two charts side by side: what it can do at each speed or place, and what happens in time. */
const { path } = useMechanism();

const CHARTS = {
  reach: { text: 'Reach', chart: ReachChart },
  brake: { text: 'Brake', chart: BrakeChart },
  torque: { text: 'Torque', chart: TorqueChart },
  travel: { text: 'Travel', chart: TravelChart },
  run: { text: 'Run', chart: RunChart },
  heat: { text: 'Heat', chart: HeatChart },
} as const satisfies Record<string, { text: string; chart: Component }>;
type ChartId = keyof typeof CHARTS;

/** The first of each is open at first. */
const SIDES = {
  dc: { left: ['reach', 'brake'], right: ['run', 'heat'] },
  step: { left: ['torque', 'reach'], right: ['run'] },
  servo: { left: ['travel', 'reach'], right: ['run'] },
} as const satisfies Record<string, Record<'left' | 'right', readonly ChartId[]>>;

const sides = computed(() => SIDES[path.value.machine]);
const left = ref<ChartId>(sides.value.left[0]);
const right = ref<ChartId>(sides.value.right[0]);
// Another machine has other charts: the open ones stay where it has them too.
watch(
  sides,
  (now) => {
    if (!(now.left as readonly ChartId[]).includes(left.value)) left.value = now.left[0];
    if (!(now.right as readonly ChartId[]).includes(right.value)) right.value = now.right[0];
  },
  { flush: 'sync' },
);
useAsked('chart', (asked) => {
  const onLeft = sides.value.left.find((id) => id === asked);
  const onRight = sides.value.right.find((id) => id === asked);
  if (onLeft) left.value = onLeft;
  if (onRight) right.value = onRight;
  return onLeft !== undefined || onRight !== undefined;
});
const options = (ids: readonly ChartId[]) => ids.map((value) => ({ value, text: CHARTS[value].text }));
</script>

<template>
  <div class="grid min-h-[250px] grow grid-cols-1 gap-5 sm:grid-cols-2">
    <component :is="CHARTS[left].chart">
      <template #title
        ><ChoiceTabs v-model="left" :options="options(sides.left)" label="Chart of what it can do"
      /></template>
    </component>
    <component :is="CHARTS[right].chart">
      <template #title><ChoiceTabs v-model="right" :options="options(sides.right)" label="Chart over time" /></template>
    </component>
  </div>
</template>
