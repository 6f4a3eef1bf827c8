<script setup lang="ts">
import { counted, digits, enduranceOf, type DaySample } from '@rough-gear/core';
import { computed } from 'vue';
import { MONO, SANS, tipLook, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useDcMechanism } from '../../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';

/** Winding and case through the matches and the rests between them, go after go. */
const { path, job } = useDcMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const endurance = computed(() => enduranceOf(path.value, job.value.run));
const heat = computed(() => endurance.value?.day.heat);
const samples = computed(() => endurance.value?.samples ?? []);
const degrees = (value: number) => Number(split(value, 'temperature', 6).number);
const limit = computed(() => path.value.motor.thermal.windingLimit);

const option = computed(() => {
  const { ink: pen, second, hair, a, b, gives } = ink.value;
  const data = heat.value;
  if (!data) return {};
  const axis = {
    type: 'value',
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11, showMinLabel: false, showMaxLabel: false },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { lineStyle: { color: hair } },
  };
  const end = samples.value.at(-1)!.time;
  const near = data.peak > 0.55 * limit.value;
  const line = (name: string, colour: string, dash: 'solid' | number[], of: (sample: DaySample) => number) => ({
    type: 'line',
    name,
    showSymbol: false,
    data: samples.value.map((sample) => [sample.time / 60, degrees(of(sample))]),
    lineStyle: { color: colour, width: 1.8, type: dash },
    itemStyle: { color: colour },
  });
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: { left: 46, right: 12, top: 12, bottom: 22 },
    tooltip: { ...tipLook(ink.value), formatter: tip },
    xAxis: {
      ...axis,
      min: 0,
      max: end / 60,
      axisLabel: { ...axis.axisLabel, showMinLabel: true, formatter: (t: number) => `${digits(t)} min` },
    },
    yAxis: {
      ...axis,
      min: degrees(Math.min(path.value.motor.thermal.ambient, 20)),
      max: degrees(Math.max(data.peak * 1.12, near ? limit.value * 1.08 : 0)),
      splitNumber: 4,
    },
    series: [
      {
        ...line('winding', a, 'solid', ({ winding }) => winding),
        markLine: {
          symbol: 'none',
          silent: true,
          data: near
            ? [
                {
                  yAxis: degrees(limit.value),
                  lineStyle: { color: gives, type: [6, 3] },
                  label: {
                    formatter: `limit, ${show(limit.value, 'temperature')}`,
                    position: 'insideEndTop',
                    color: gives,
                    fontFamily: SANS,
                    fontSize: 11,
                  },
                },
              ]
            : [],
          lineStyle: { color: pen },
        },
      },
      line('case', b, [7, 4], ({ shell }) => shell),
    ],
  };
});

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const first = items[0];
  if (!first) return '';
  const unit = split(1, 'temperature').unit;
  return [
    `${digits(first.data[0])} min`,
    ...items.map((item) => `${item.seriesName} ${digits(item.data[1])} ${unit}`),
  ].join('\n');
}

const names = computed(() => [
  { mark: '—', text: 'winding', colour: ink.value.a },
  { mark: '– –', text: 'case', colour: ink.value.b },
]);
const until = (seconds: number | null): string => (seconds === null ? 'over an hour' : show(seconds, 'time', 2));
const summary = computed(() => {
  const data = endurance.value;
  if (!data?.day.heat) return 'Not known: a figure is missing.';
  const { day, stalled, holding } = data;
  const { afterMatch, limitAt } = data.day.heat;
  const ends =
    limitAt === undefined
      ? `winding after each: ${afterMatch.map((value) => show(value, 'temperature', 3)).join(', ')}`
      : `the winding burns out after ${show(limitAt, 'time')}`;
  const held = holding === undefined ? '' : ` · may hold ${until(holding)}`;
  return `${counted(day.goes, 'go', 'goes')} a match; ${ends}, limit ${show(limit.value, 'temperature')} · stalled it lasts ${until(stalled)}${held}`;
});
const table = computed(() => ({
  head: ['time, min', `winding, ${split(1, 'temperature').unit}`, `case, ${split(1, 'temperature').unit}`],
  rows: samples.value
    .filter((_, i, all) => i % Math.ceil(all.length / 30) === 0 || i === all.length - 1)
    .map(({ time, winding, shell }) => [digits(time / 60), digits(degrees(winding)), digits(degrees(shell))]),
}));
</script>

<template>
  <ChartFrame
    v-if="heat"
    title="Heat"
    :caption="summary"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
  <p v-else class="text-second"><slot name="title" />Not known: the motor’s mass is missing.</p>
</template>
