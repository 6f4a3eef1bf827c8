<script setup lang="ts">
import { digits, windingLimitOf } from '@rough-gear/core';
import { computed } from 'vue';
import { useChartInk, MONO, SANS } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { useSpread } from '../../composables/useSpread.js';
import ChartFrame from './ChartFrame.vue';
import { bandSeries, outputUnits } from './forceChart.js';
import { runChartFrame } from './runChart.js';

/** One go at full effort over time: currents and speed above, pack volts below. */
const { job, path } = useMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const run = computed(() => job.value.run);
const perRope = computed(() => path.value.asked.perCoordinate);
const units = computed(() => outputUnits(path.value));
const { spread } = useSpread();
const speed = (value: number) => Number(split(value * perRope.value, units.value.speed, 6).number);
/** Whether the run has an end of its own: a place, or a speed. */
const ends = computed(() => path.value.asked.travel ?? path.value.asked.target);
const outcome = computed(() => {
  const { run: data } = job.value;
  if (!data) return '';
  if (data.outcome === 'stalled') return 'stalls';
  if (data.outcome === 'cannot-stop') return 'cannot stop';
  return ends.value === undefined
    ? 'pushes on'
    : data.outcome === 'arrived'
      ? `there at ${show(data.time, 'time')}`
      : 'not there';
});

const option = computed(() => {
  const { ink: pen, second, act, a, b } = ink.value;
  const data = run.value;
  if (!data) return {};
  const asked = path.value.asked;
  const end = Math.max(data.time, ends.value === undefined ? 0 : asked.time) * 1.06;
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
  const greatest = Math.max(data.peakMotorCurrent, data.peakSupplyCurrent);
  const place = (share: number) =>
    data.samples[Math.min(data.samples.length - 1, Math.floor(data.samples.length * share))]!;
  const late = place(0.8);
  const line = { type: 'line', showSymbol: false };
  const least = Math.min(...volts);
  return {
    ...runChartFrame(end, greatest, ink.value, tip),
    series: [
      ...bandSeries(spread.value?.speed, (time) => time, speed, second, 1),
      {
        ...line,
        name: 'motor current',
        data: data.samples.map((sample) => [sample.time, sample.motorCurrent]),
        lineStyle: { color: a, width: 1.8, type: [2, 2] },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              xAxis: data.time,
              lineStyle: { color: pen, type: [2, 3] },
              label: {
                formatter: outcome.value,
                position: 'end',
                // It runs to the side on which there is more room.
                align: data.time < 0.5 * end ? 'left' : 'right',
                distance: 4,
                color: pen,
                fontFamily: MONO,
                fontSize: 11,
              },
            },
            ...(ends.value === undefined
              ? []
              : [
                  {
                    xAxis: asked.time,
                    lineStyle: { color: act, type: 'solid', width: 1.5 },
                    label: { show: false },
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
      },
      {
        ...line,
        name: 'speed',
        yAxisIndex: 1,
        data: data.samples.map((sample) => [sample.time, speed(sample.speed)]),
        lineStyle: { color: pen, width: 1.8 },
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

/** What each line is, told beside the chart. */
const names = computed(() => {
  const { ink: pen, act, a, b } = ink.value;
  const wanted = ends.value === undefined ? [] : [{ mark: '│', text: 'wanted by', colour: act }];
  return [
    { mark: '···', text: 'motor, each', colour: a },
    { mark: '– –', text: 'pack, all', colour: b },
    { mark: '—', text: `speed, ${split(1, units.value.speed).unit}`, colour: pen },
    ...wanted,
  ];
});

const UNITS: Record<string, () => string> = {
  'motor current': () => 'A',
  'pack current': () => 'A',
  speed: () => split(1, units.value.speed).unit,
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
  head: ['time, s', `speed, ${split(1, units.value.speed).unit}`, 'motor, A', 'pack, A', 'pack, V'],
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
  return `${outcome.value}. Top speed ${show(data.topSpeed * perRope.value, units.value.speed)}, peak pack current ${show(data.peakSupplyCurrent, 'current')}, least pack voltage ${show(data.leastPackVoltage, 'voltage')}.`;
});
const HOW = {
  moving: 'one go at full effort',
  stop: 'full power, braking at the last moment',
  trapezoid: 'by its commanded motion',
} as const;
/** Pulses command a stepper; a servo goes as fast as it goes. */
const how = computed(() => {
  if (path.value.asked.pulses) return 'as the pulses command';
  return path.value.machine === 'servo' ? 'as fast as it goes, standing at the end' : HOW[path.value.asked.profile];
});
/** A servo's rail is not the pack: its own energy and volts stand beside the pack's. */
const atRail = computed(() => {
  const rail = run.value?.rail;
  return rail ? `, ${show(rail.energy, 'energy')} and ${show(rail.leastVoltage, 'voltage')} at the rail` : '';
});
const caption = computed(() => {
  const data = run.value;
  if (!data) return '';
  const heat =
    data.windingTemperature === undefined
      ? ''
      : data.windingTemperature > windingLimitOf(path.value)
        ? ' · the winding burns out in it'
        : ` · winding ${show(data.windingTemperature, 'temperature')} after it`;
  return `${how.value} · ${show(data.packEnergy, 'energy')} from the pack${atRail.value} · ${show(data.rmsMotorCurrent, 'current')} rms in each motor${heat}`;
});
</script>

<template>
  <ChartFrame
    v-if="run"
    title="Run"
    :caption="caption"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
</template>
