<script setup lang="ts">
import { digits, type FitPlot } from '@rough-gear/core';
import { computed } from 'vue';
import ChartFrame from '../../components/charts/ChartFrame.vue';
import { MONO, SANS, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';

/** Readings as they are fitted, the fit, what the sheet would have, and under them what is left over. */
const { plot, off = undefined } = defineProps<{ plot: FitPlot; off?: ReadonlyMap<number, number> | undefined }>();
const ink = useChartInk();
const { scale } = useDisplay();
/** More points than the chart has pixels are drawn as every so-manieth. */
const DRAWN = 4000;

/** The greatest of each axis chooses its unit. */
const greatest = (values: readonly number[]): number =>
  values.reduce((most, one) => Math.max(most, Math.abs(one)), 0) || 1;
const scales = computed(() => ({
  x: scale(greatest(plot.points.map(({ x }) => x)), plot.x.dimension),
  y: scale(greatest(plot.points.map(({ y }) => y)), plot.y.dimension),
}));
const thinned = computed(() => {
  const step = Math.ceil(plot.points.length / DRAWN);
  return step > 1 ? plot.points.filter((_, i) => i % step === 0) : plot.points;
});
const pair = (x: number, y: number) => [scales.value.x.at(x), scales.value.y.at(y)];
const withUnit = (label: string, unit: string) => (unit === '' ? label : `${label}, ${unit}`);
const title = computed(
  () => `${withUnit(plot.y.label, scales.value.y.unit)} against ${withUnit(plot.x.label, scales.value.x.unit)}`,
);
const left = computed(() =>
  off && off.size > 0
    ? thinned.value.flatMap(({ row, x, struck }) =>
        off.has(row) ? [{ row, struck, at: [scales.value.x.at(x), off.get(row)!] }] : [],
      )
    : [],
);

const option = computed(() => {
  const { ink: pen, second, hair, a, b, tight } = ink.value;
  const axis = {
    type: 'value',
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11 },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { lineStyle: { color: hair } },
    scale: true,
  };
  const line = (name: string, data: FitPlot['line'], colour: string, dash: 'solid' | number[]) => ({
    type: 'line',
    name,
    showSymbol: false,
    silent: true,
    data: data.map(([x, y]) => pair(x, y)),
    lineStyle: { color: colour, width: 1.6, type: dash },
    itemStyle: { color: colour },
  });
  const dots = (struck: boolean) => ({
    type: 'scatter',
    large: thinned.value.length > 1000,
    symbol: struck ? 'path://M0 0L10 10M10 0L0 10' : 'circle',
    symbolSize: thinned.value.length > 200 ? 3 : 9,
    data: thinned.value.filter((one) => one.struck === struck).map(({ x, y }) => pair(x, y)),
    itemStyle: { color: struck ? tight : ink.value.sheet, borderColor: struck ? tight : a, borderWidth: 2 },
  });
  const residuals = left.value.length > 0;
  // What is left over stands straight under its reading: both panels have the same ends.
  const along = [
    ...thinned.value.map(({ x }) => x),
    ...plot.line.map(([x]) => x),
    ...(plot.expected ?? []).map(([x]) => x),
  ];
  const ends = along.reduce(([low, high], x) => [Math.min(low, x), Math.max(high, x)] as const, [
    Infinity,
    -Infinity,
  ] as const);
  const room = (ends[1] - ends[0]) * 0.03;
  const [first, last] = [ends[0] === 0 ? 0 : ends[0] - room, ends[1] + room].map(scales.value.x.at);
  const across = {
    ...axis,
    min: first,
    max: last,
    axisLabel: { ...axis.axisLabel, showMinLabel: ends[0] === 0, showMaxLabel: false },
  };
  // As far as those that count go; one that is struck out stands at the edge.
  const most = Math.max(2.5, ...left.value.filter(({ struck }) => !struck).map(({ at }) => Math.abs(at[1]!)));
  const edged = ([x, y]: readonly number[]) => [x, Math.min(most, Math.max(-most, y!))];
  const below = { ...across, gridIndex: 1, axisLabel: { show: false }, splitLine: { show: false } };
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: residuals
      ? [
          { left: 52, right: 14, top: 8, bottom: 92 },
          { left: 52, right: 14, height: 52, bottom: 14 },
        ]
      : [{ left: 52, right: 14, top: 8, bottom: 24 }],
    xAxis: residuals ? [across, below] : [across],
    yAxis: residuals
      ? [axis, { ...below, axisLabel: { show: false }, scale: false, min: -most, max: most, splitNumber: 2 }]
      : [axis],
    series: [
      ...(plot.expected ? [line('expected', plot.expected, b, [6, 4])] : []),
      ...(plot.line.length > 0 ? [line('fit', plot.line, pen, 'solid')] : []),
      dots(false),
      dots(true),
      ...(residuals
        ? [
            {
              type: 'scatter',
              xAxisIndex: 1,
              yAxisIndex: 1,
              symbolSize: left.value.length > 200 ? 2 : 6,
              data: left.value.map(({ at, struck }) => ({
                value: edged(at),
                itemStyle: { color: struck ? tight : a },
              })),
              markArea: { silent: true, itemStyle: { color: a, opacity: 0.14 }, data: [[{ yAxis: -1 }, { yAxis: 1 }]] },
              markLine: {
                silent: true,
                symbol: 'none',
                label: { show: false },
                lineStyle: { color: second, type: 'solid' },
                data: [{ yAxis: 0 }],
              },
            },
          ]
        : []),
    ],
  };
});
const names = computed(() => [
  { mark: '○', text: 'readings', colour: ink.value.a },
  ...(plot.line.length > 0 ? [{ mark: '—', text: 'fit', colour: ink.value.ink }] : []),
  ...(plot.expected ? [{ mark: '– –', text: 'expected', colour: ink.value.b }] : []),
]);
const caption = computed(() =>
  left.value.length > 0
    ? 'under it what is left over, in standard deviations of a reading; the band is one either way'
    : '',
);
const summary = computed(
  () =>
    `${plot.points.length} readings, ${plot.points.filter(({ struck }) => struck).length} struck out. ${caption.value}`,
);
const TABLE_ROWS = 200;
const table = computed(() => ({
  head: ['#', withUnit(plot.x.label, scales.value.x.unit), withUnit(plot.y.label, scales.value.y.unit), 'off, sd'],
  rows: plot.points
    .slice(0, TABLE_ROWS)
    .map(({ row, x, y }) => [
      String(row + 1),
      digits(scales.value.x.at(x), 4),
      digits(scales.value.y.at(y), 4),
      off?.get(row)?.toFixed(1) ?? '',
    ]),
}));
</script>

<template>
  <ChartFrame
    class="mb-2"
    :class="left.length > 0 ? 'h-72' : 'h-52'"
    :title="title"
    :caption="caption"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
  >
    <template #title
      ><h3 class="text-sm font-normal text-second">{{ title }}</h3></template
    >
  </ChartFrame>
</template>
