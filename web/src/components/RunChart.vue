<script setup lang="ts">
import { digits } from '@rough-gear/core';
import { computed } from 'vue';
import { useChartInk, tipLook, MONO, SANS } from '../composables/useChartInk.js';
import { useDisplay } from '../composables/useDisplay.js';
import { useMechanism } from '../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';

/** One go at full effort over time: currents and speed above, pack volts below. */
const { job, path } = useMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const run = computed(() => job.value.run);
const perRope = computed(() => path.value.asked.perCoordinate);
const speed = (value: number) => Number(split(value * perRope.value, 'velocity', 6).number);
const outcome = computed(() => {
  const { run: data } = job.value;
  if (!data) return '';
  if (data.outcome === 'stalled') return 'stalls';
  return path.value.asked.travel === undefined
    ? 'pushes on'
    : data.outcome === 'arrived'
      ? `there at ${show(data.time, 'time')}`
      : 'not there';
});

const option = computed(() => {
  const { ink: pen, second, hair, act, a, b } = ink.value;
  const data = run.value;
  if (!data) return {};
  const asked = path.value.asked;
  const end = Math.max(data.time, asked.travel === undefined ? 0 : asked.time) * 1.06;
  const volts = data.samples.map((sample) => sample.packVoltage);
  const label = (value: string, colour: string, at: readonly number[], position: string) => ({
    symbol: 'circle',
    symbolSize: 1,
    silent: true,
    data: [
      {
        coord: at,
        label: {
          formatter: value,
          position,
          color: colour,
          fontFamily: SANS,
          fontSize: 11,
          offset: position === 'right' ? [4, -9] : [0, 0],
        },
      },
    ],
  });
  const place = (share: number) =>
    data.samples[Math.min(data.samples.length - 1, Math.floor(data.samples.length * share))]!;
  const [early, middle, late] = [place(0.22), place(0.62), place(0.8)];
  const value = {
    type: 'value',
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11, hideOverlap: true },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { show: false },
  };
  const line = { type: 'line', showSymbol: false };
  const least = Math.min(...volts);
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: [
      { left: 44, right: 40, top: 10, bottom: 76 },
      { left: 44, right: 40, height: 40, bottom: 22 },
    ],
    tooltip: { ...tipLook(ink.value), formatter: tip },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    xAxis: [
      { ...value, min: 0, max: end, axisLabel: { show: false }, splitLine: { show: true, lineStyle: { color: hair } } },
      {
        ...value,
        gridIndex: 1,
        min: 0,
        max: end,
        axisLabel: { ...value.axisLabel, showMaxLabel: false, formatter: (t: number) => `${digits(t)} s` },
      },
    ],
    yAxis: [
      {
        ...value,
        min: 0,
        splitNumber: 4,
        axisLabel: { ...value.axisLabel, formatter: (t: number) => `${digits(t)} A` },
        splitLine: { show: true, lineStyle: { color: hair } },
      },
      {
        ...value,
        min: 0,
        splitNumber: 4,
        position: 'right',
        max: (extent: { max: number }) => extent.max * 1.2,
        axisLabel: { ...value.axisLabel, showMaxLabel: false, formatter: (t: number) => digits(t, 2) },
      },
      {
        ...value,
        gridIndex: 1,
        scale: true,
        splitNumber: 1,
        axisLabel: { ...value.axisLabel, formatter: (t: number) => `${digits(t)} V` },
      },
    ],
    series: [
      {
        ...line,
        name: 'motor current',
        data: data.samples.map((sample) => [sample.time, sample.motorCurrent]),
        lineStyle: { color: a, width: 1.8, type: [2, 2] },
        markPoint: label('motor, each', a, [early.time, early.motorCurrent], 'right'),
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              xAxis: data.time,
              lineStyle: { color: pen, type: [2, 3] },
              label: {
                formatter: outcome.value,
                position: 'insideEndTop',
                rotate: 0,
                align: 'right',
                distance: [4, 2],
                color: pen,
                fontFamily: MONO,
                fontSize: 11,
              },
            },
            ...(asked.travel === undefined
              ? []
              : [
                  {
                    xAxis: asked.time,
                    lineStyle: { color: act, type: 'solid', width: 1.5 },
                    label: {
                      formatter: 'wanted',
                      position: 'insideStartTop',
                      rotate: 0,
                      align: 'right',
                      distance: [4, 3],
                      color: act,
                      fontFamily: SANS,
                      fontSize: 11,
                    },
                  },
                ]),
          ],
        },
      },
      {
        ...line,
        name: 'pack current',
        data: data.samples.map((sample) => [sample.time, sample.supplyCurrent]),
        lineStyle: { color: b, width: 1.8, type: [7, 4] },
        markPoint: label('pack, all', b, [middle.time, middle.supplyCurrent], 'bottom'),
      },
      {
        ...line,
        name: 'speed',
        yAxisIndex: 1,
        data: data.samples.map((sample) => [sample.time, speed(sample.speed)]),
        lineStyle: { color: pen, width: 1.8 },
        markPoint: label(`speed, ${split(1, 'velocity').unit}`, pen, [late.time, speed(late.speed)], 'top'),
      },
      {
        ...line,
        name: 'pack volts',
        xAxisIndex: 1,
        yAxisIndex: 2,
        data: data.samples.map((sample) => [sample.time, sample.packVoltage]),
        lineStyle: { color: act, width: 1.6 },
        markPoint: label(`pack, least ${show(least, 'voltage')}`, act, [late.time, late.packVoltage], 'top'),
      },
    ],
  };
});

const UNITS: Record<string, () => string> = {
  'motor current': () => 'A',
  'pack current': () => 'A',
  speed: () => split(1, 'velocity').unit,
  'pack volts': () => 'V',
};

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const time = items[0]?.data[0] ?? 0;
  return [
    `${digits(time)} s`,
    ...items.map((item) => `${item.seriesName} ${digits(item.data[1])} ${UNITS[item.seriesName]?.() ?? ''}`),
  ].join('\n');
}

const table = computed(() => ({
  head: ['time, s', `speed, ${split(1, 'velocity').unit}`, 'motor, A', 'pack, A', 'pack, V'],
  rows: (run.value?.samples ?? [])
    .filter((_, i, all) => i % Math.ceil(all.length / 25) === 0 || i === all.length - 1)
    .map((sample) => [
      digits(sample.time),
      digits(speed(sample.speed)),
      digits(sample.motorCurrent),
      digits(sample.supplyCurrent),
      digits(sample.packVoltage),
    ]),
}));
const summary = computed(() => {
  const data = run.value;
  if (!data) return 'Not known: a figure is missing.';
  return `${outcome.value}. Top speed ${show(data.topSpeed * perRope.value, 'velocity')}, peak pack current ${show(data.peakSupplyCurrent, 'current')}, least pack voltage ${show(data.leastPackVoltage, 'voltage')}.`;
});
const caption = computed(() => {
  const data = run.value;
  if (!data) return '';
  const heat =
    data.windingTemperature === undefined ? '' : ` · winding ${show(data.windingTemperature, 'temperature')} after it`;
  return `one go at full effort · ${show(data.packEnergy, 'energy')} from the pack · ${show(data.rmsMotorCurrent, 'current')} rms in each motor${heat}`;
});
</script>

<template>
  <ChartFrame v-if="run" title="Run" :caption="caption" :option="option" :table="table" :summary="summary" />
</template>
