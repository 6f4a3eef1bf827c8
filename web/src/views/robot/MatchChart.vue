<script setup lang="ts">
import { digits, lowestDips, whoWasOn, type JudgedMatch, type MatchLog } from '@rough-gear/core';
import { computed } from 'vue';
import ChartFrame from '../../components/charts/ChartFrame.vue';
import { MONO, SANS, tipLook, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { byEnergy, OWN_SHADES, shadeOf } from './laneColours.js';

/** Volts and amperes of the pack over the match, who takes what stacked, and where the volts dip lowest. */
const {
  match,
  left,
  log = undefined,
} = defineProps<{
  match: JudgedMatch;
  left: number;
  /** A real match, laid over it. */
  log?: MatchLog | undefined;
}>();
const ink = useChartInk();
const { show } = useDisplay();

const result = computed(() => match.result);
const samples = computed(() => result.value.samples);
const order = computed(() => byEnergy(result.value.lanes));
const greatest = computed(() => order.value.slice(0, OWN_SHADES));
const dip = computed(() => result.value.dips.find(({ of }) => of === 'boards'));
/** The lowest that lie apart: marked in the chart, and named under it. */
const MARKED = 3;
const low = computed(() => lowestDips(match, MARKED));
const dipsSaid = computed(() =>
  low.value
    .map((one) => `${show(one.time, 'time')}: ${whoWasOn(one, result.value.lanes)}, ${show(one.volts, 'voltage')}`)
    .join('; '),
);

/** Amperes of the greatest takers, then of all others and what stands, moment by moment. */
const stacked = computed(() => {
  const { times, lanes } = samples.value;
  const own = greatest.value.map((i) => ({ name: result.value.lanes[i]!.name, of: (k: number) => lanes[i]![k]! }));
  const others = lanes.map((_, i) => i).filter((i) => !greatest.value.includes(i));
  const rest = { name: 'all the rest', of: (k: number) => others.reduce((sum, i) => sum + lanes[i]![k]!, 0) };
  return [...own, rest].map(({ name, of }) => ({
    name,
    data: times.map((time, k) => [time, Math.max(0, of(k))] as const),
  }));
});

/** The log's volts over the volts, its amperes over the stack. */
const logged = computed(() => {
  const { times = [], volts, current } = log ?? {};
  const of = (values: readonly (number | null)[] | undefined) => values?.map((value, i) => [times[i], value] as const);
  return [
    { name: 'logged, V', at: 0, data: of(volts) },
    { name: 'logged, A', at: 1, data: of(current) },
  ].flatMap(({ data, ...one }) => (data ? [{ ...one, data }] : []));
});

const option = computed(() => {
  const pens = ink.value;
  const { times, volts, current } = samples.value;
  const floor = dip.value?.floor;
  const axis = {
    type: 'value',
    axisLabel: { color: pens.second, fontFamily: MONO, fontSize: 11, showMaxLabel: false },
    axisLine: { show: true, lineStyle: { color: pens.second } },
    splitLine: { lineStyle: { color: pens.hair } },
  };
  const grids = [
    { left, right: 14, top: 14, height: '38%' },
    { left, right: 14, top: '54%', bottom: 24 },
  ];
  const least = (log?.volts ?? []).reduce<number>(
    (low, value) => Math.min(low, value ?? Infinity),
    Math.min(floor ?? Infinity, ...volts),
  );
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: grids,
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    tooltip: { ...tipLook(pens), formatter: tip },
    xAxis: grids.map((_, i) => ({
      ...axis,
      gridIndex: i,
      min: 0,
      max: result.value.length,
      axisLabel: { ...axis.axisLabel, show: i === 1, formatter: (t: number) => `${digits(t)} s` },
    })),
    yAxis: [
      {
        ...axis,
        gridIndex: 0,
        min: Math.floor(least - 0.5),
        splitNumber: 3,
        axisLabel: { ...axis.axisLabel, formatter: '{value} V' },
      },
      {
        ...axis,
        gridIndex: 1,
        min: 0,
        max: Math.ceil(1.1 * Math.max(10, ...current)),
        splitNumber: 3,
        axisLabel: { ...axis.axisLabel, formatter: '{value} A' },
      },
    ],
    series: [
      {
        type: 'line',
        name: 'pack',
        xAxisIndex: 0,
        yAxisIndex: 0,
        showSymbol: false,
        data: times.map((time, k) => [time, volts[k]]),
        lineStyle: { color: pens.act, width: 1.4 },
        itemStyle: { color: pens.act },
        markPoint: {
          silent: true,
          symbol: 'circle',
          symbolSize: 9,
          itemStyle: { color: pens.sheet, borderColor: pens.ink, borderWidth: 2 },
          data: low.value.map(({ time, volts: lowest }) => ({ coord: [time, lowest] })),
        },
        markLine:
          floor === undefined
            ? undefined
            : {
                symbol: 'none',
                silent: true,
                lineStyle: { color: pens.gives, type: [6, 3] },
                data: [{ yAxis: floor }],
                label: { show: false },
              },
      },
      ...logged.value.map(({ name, at, data }) => ({
        type: 'line',
        name,
        xAxisIndex: at,
        yAxisIndex: at,
        showSymbol: false,
        z: 5,
        sampling: 'lttb',
        data,
        lineStyle: { width: 1.3, color: pens.ink, type: [4, 3] },
        itemStyle: { color: pens.ink },
      })),
      ...stacked.value.map(({ name, data }, i) => ({
        type: 'line',
        name,
        stack: 'amperes',
        xAxisIndex: 1,
        yAxisIndex: 1,
        showSymbol: false,
        data,
        lineStyle: { width: 0.6, color: shadeOf(i, pens) },
        itemStyle: { color: shadeOf(i, pens) },
        areaStyle: { color: shadeOf(i, pens), opacity: 0.65 },
      })),
    ],
  };
});

/** The volts, then who takes what at that instant, the greatest first. */
function tip(items: readonly { axisValue: number; seriesName: string; dataIndex: number }[]): string {
  const first = items.find(({ seriesName }) => !seriesName.startsWith('logged'));
  if (!first) return '';
  const k = first.dataIndex;
  const { times, volts, current, lanes } = samples.value;
  const who = [
    ...result.value.lanes.map(({ name }, i) => ({ name, amperes: lanes[i]![k]! })),
    { name: 'always on', amperes: lanes.at(-1)![k]! },
  ]
    .filter(({ amperes }) => Math.abs(amperes) > 0.3)
    .sort((a, b) => b.amperes - a.amperes)
    .map(({ name, amperes }) => `${digits(amperes)} A  ${name}`);
  return [`${digits(times[k]!, 4)} s: ${digits(volts[k]!)} V, ${digits(current[k]!)} A`, ...who].join('\n');
}

const names = computed(() => [
  ...(logged.value.length > 0 ? [{ mark: '– –', text: 'a real match', colour: ink.value.ink }] : []),
  { mark: '—', text: 'pack, V', colour: ink.value.act },
  ...stacked.value.map(({ name }, i) => ({ mark: '■', text: name, colour: shadeOf(i, ink.value) })),
  ...(dip.value
    ? [{ mark: '– –', text: `the boards reset under ${show(dip.value.floor, 'voltage')}`, colour: ink.value.gives }]
    : []),
]);
const summary = computed(
  () =>
    `At least ${show(result.value.leastVolts.volts, 'voltage')} at ${show(result.value.leastVolts.time, 'time')}, at most ${show(result.value.peakCurrent.current, 'current')} at ${show(result.value.peakCurrent.time, 'time')}.`,
);
const table = computed(() => {
  const { times, volts, current } = samples.value;
  const every = Math.max(1, Math.ceil(times.length / 120));
  return {
    head: ['time, s', 'pack, V', 'all, A', ...stacked.value.map(({ name }) => `${name}, A`)],
    rows: times.flatMap((time, k) =>
      k % every === 0
        ? [
            [
              digits(time, 4),
              digits(volts[k]!),
              digits(current[k]!),
              ...stacked.value.map(({ data }) => digits(data[k]![1])),
            ],
          ]
        : [],
    ),
  };
});
</script>

<template>
  <ChartFrame
    title="Pack"
    :caption="dipsSaid ? `${summary} The lowest dips, ${dipsSaid}.` : summary"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    class="!min-h-[260px]"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
</template>
