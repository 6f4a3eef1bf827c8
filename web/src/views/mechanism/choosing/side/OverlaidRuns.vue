<script setup lang="ts">
import { digits } from '@rough-gear/core';
import { computed } from 'vue';
import ChartFrame from '../../../../components/charts/ChartFrame.vue';
import { MONO, SANS, tipLook, useChartInk } from '../../../../composables/useChartInk.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { DASHES, jobOf, LETTERS } from './useColumns.js';

/** The runs of all choices on the same axes: how far each has come, and what it takes from the pack. */
const { plan, mechanism, jobId, path } = useMechanism();
const { show } = useDisplay();
const ink = useChartInk();

const runs = computed(() =>
  mechanism.value.choices.map((choice) => jobOf(plan.value, mechanism.value, choice, jobId.value).run),
);
const turns = computed(() => path.value.load.unit === 'rad');
const placeOf = (q: number) => (turns.value ? (q * 180) / Math.PI : q * path.value.asked.perCoordinate);
const unit = computed(() => (turns.value ? '°' : 'm'));
const end = computed(() => Math.max(0.01, ...runs.value.flatMap((run) => run?.samples.at(-1)?.time ?? [])));

const option = computed(() => {
  const { second, hair } = ink.value;
  const pens = [ink.value.ink, ink.value.a, ink.value.b, ink.value.act];
  const axis = {
    type: 'value',
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11, hideOverlap: true },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { show: true, lineStyle: { color: hair } },
  };
  const name = {
    nameTextStyle: { color: second, fontFamily: SANS, fontSize: 11, align: 'left', padding: [0, 0, 0, -40] },
    nameGap: 7,
  };
  const grids = [
    { left: 50, right: 24, top: 24, height: '33%' },
    { left: 50, right: 24, top: '60%', height: '27%' },
  ];
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: grids,
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    tooltip: { ...tipLook(ink.value), valueFormatter: (value: number) => digits(value, 3) },
    xAxis: grids.map((_, i) => ({
      ...axis,
      gridIndex: i,
      min: 0,
      max: end.value,
      axisLabel: { ...axis.axisLabel, show: i === 1, showMaxLabel: false, formatter: (t: number) => `${digits(t)} s` },
    })),
    yAxis: [`place, ${unit.value}`, 'from the pack, A'].map((title, i) => ({
      ...axis,
      ...name,
      gridIndex: i,
      name: title,
      splitNumber: 3,
      axisLabel: { ...axis.axisLabel, showMaxLabel: false },
    })),
    series: runs.value.flatMap((run, c) =>
      [0, 1].map((i) => ({
        type: 'line',
        name: LETTERS[c],
        xAxisIndex: i,
        yAxisIndex: i,
        symbol: 'none',
        data: (run?.samples ?? []).map(({ time, place, supplyCurrent }) => [
          time,
          i === 0 ? placeOf(place) : supplyCurrent,
        ]),
        lineStyle: { color: pens[c], width: 1.8, type: DASHES[c] },
        itemStyle: { color: pens[c] },
      })),
    ),
  };
});

const summary = computed(() =>
  runs.value
    .map((run, i) =>
      run?.outcome === 'arrived'
        ? `${LETTERS[i]} is there after ${show(run.time, 'time')}`
        : `${LETTERS[i]} does not arrive`,
    )
    .join(', '),
);
/** Which line is whose, beside the chart: their ends may lie on one another. */
const names = computed(() => {
  const pens = [ink.value.ink, ink.value.a, ink.value.b, ink.value.act];
  return mechanism.value.choices.map(({ name }, i) => ({ mark: LETTERS[i]!, text: name, colour: pens[i]! }));
});
const table = computed(() => ({
  head: ['choice', 'time', 'peak from the pack', 'energy'],
  rows: runs.value.map((run, i) => [
    LETTERS[i]!,
    run?.outcome === 'arrived' ? show(run.time, 'time') : '–',
    run ? show(run.peakSupplyCurrent, 'current') : '–',
    run ? show(run.packEnergy, 'energy') : '–',
  ]),
}));
</script>

<template>
  <ChartFrame
    title="Their runs"
    :caption="summary"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    class="!min-h-[280px]"
  />
</template>
