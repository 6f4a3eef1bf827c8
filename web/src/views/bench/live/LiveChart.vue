<script setup lang="ts">
import type { TrialColumn } from '@rough-gear/core';
import { computed } from 'vue';
import { ChartLater } from '../../../components/charts/chartLater.js';
import { MONO, SANS, useChartInk } from '../../../composables/useChartInk.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import type { LiveSample } from './useLive.js';

/** The last of a live line: each column on an axis of its own, so that all of them fill the strip. */
const { samples, columns, marks } = defineProps<{
  samples: readonly LiveSample[];
  columns: readonly TrialColumn[];
  marks: readonly number[];
}>();
const ink = useChartInk();
const { split } = useDisplay();
/** So many of the last lines are drawn. */
const DRAWN = 400;
const DASHES = ['solid', [7, 4], [2, 3]] as const;

const shown = computed(() => samples.slice(-DRAWN));
const drawn = computed(() =>
  columns.filter(({ key }) => key !== 'time' && shown.value.some(({ at }) => at[key] !== undefined)),
);
const names = computed(() =>
  drawn.value.map(({ key, label, dimension }, i) => ({
    key,
    text: `${label}, ${split(shown.value.at(-1)?.at[key] ?? 1, dimension).unit}`,
    mark: ['—', '– –', '···'][i % 3],
    colour: [ink.value.a, ink.value.b, ink.value.ink][i % 3]!,
  })),
);
const option = computed(() => ({
  animation: false,
  textStyle: { fontFamily: SANS },
  grid: { left: 8, right: 8, top: 6, bottom: 18 },
  xAxis: {
    type: 'value',
    min: shown.value[0]?.time,
    max: shown.value.at(-1)?.time,
    axisLabel: {
      color: ink.value.second,
      fontFamily: MONO,
      fontSize: 10,
      formatter: (t: number) => `${Number(t.toFixed(1))} s`,
    },
    splitLine: { show: false },
  },
  yAxis: drawn.value.map(() => ({ type: 'value', show: false, scale: true })),
  series: drawn.value.map(({ key }, i) => ({
    type: 'line',
    yAxisIndex: i,
    showSymbol: false,
    data: shown.value.flatMap(({ time, at }) => (at[key] === undefined ? [] : [[time, at[key]]])),
    lineStyle: { color: names.value[i]!.colour, width: 1.6, type: DASHES[i % 3] },
    itemStyle: { color: names.value[i]!.colour },
    ...(i === 0
      ? {
          markLine: {
            silent: true,
            symbol: 'none',
            label: { show: false },
            lineStyle: { color: ink.value.tight },
            data: marks.map((xAxis) => ({ xAxis })),
          },
        }
      : {}),
  })),
}));
</script>

<template>
  <figure class="mt-2">
    <figcaption class="flex flex-wrap gap-x-3 text-xs">
      <span v-for="{ key, mark, text, colour } in names" :key="key" :style="{ color: colour }"
        ><span aria-hidden="true" class="figures">{{ mark }}</span> {{ text }}</span
      >
    </figcaption>
    <div class="relative h-28" role="img" aria-label="The live line as it comes">
      <ChartLater class="absolute inset-0" :option="option" />
    </div>
  </figure>
</template>
