<script setup lang="ts">
import { digits, jobKindOf, reachOf, type HeldBy } from '@rough-gear/core';
import { computed } from 'vue';
import { useChartInk, MONO } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { useSpread } from '../../composables/useSpread.js';
import ChartFrame from './ChartFrame.vue';
import {
  bandSeries,
  forceChartFrame,
  HELD_BY_DASHES,
  HELD_BY_MARKS,
  HELD_BY_NAMES,
  heldByColours,
  outputUnits,
} from './forceChart.js';

/** Output force against speed at full effort: the envelope by which limit holds, the load, the working point. */
const { path } = useMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const reach = computed(() => reachOf(path.value));
const { spread } = useSpread();
const word = computed(() => jobKindOf(path.value.job.kind).outputWord);

const units = computed(() => outputUnits(path.value));
const force = (value: number) => Number(split(value, units.value.force, 6).number);
const speed = (value: number) => Number(split(value, units.value.speed, 6).number);

/** Runs of points that the same limit holds. */
const runs = computed(() => {
  const result: { heldBy: HeldBy; points: (readonly [number, number])[] }[] = [];
  for (const point of reach.value?.points ?? []) {
    const place = [speed(point.speed), force(Math.max(0, point.force))] as const;
    const last = result.at(-1);
    if (last?.heldBy === point.heldBy) last.points.push(place);
    else result.push({ heldBy: point.heldBy, points: [place] });
  }
  return result.filter(({ points }) => points.length > 1);
});

const option = computed(() => {
  const { ink: pen, second, act, sheet, a, b } = ink.value;
  const colours = heldByColours({ a, b, ink: pen });
  const data = reach.value;
  if (!data) return {};
  const top = Math.max(force(data.load) * 1.25, ...data.points.map((point) => force(point.force))) * 1.12;
  const right = Math.max(speed(data.wanted), ...data.points.map((point) => speed(point.speed))) * 1.06;
  // A load near the bottom would run into the names down there.
  const low = force(data.load) < 0.2 * top;
  const traction = data.traction !== undefined && force(data.traction) < top ? data.traction : undefined;
  const level = (value: number) => ({ yAxis: force(value), label: { show: false } });
  return {
    ...forceChartFrame(right, top, ink.value, tip),
    series: [
      ...bandSeries(spread.value?.force, speed, force, second),
      ...runs.value.map(({ heldBy, points }) => ({
        type: 'line',
        name: HELD_BY_NAMES[heldBy],
        data: points,
        showSymbol: false,
        lineStyle: { color: colours[heldBy], width: 2, type: HELD_BY_DASHES[heldBy] },
        itemStyle: { color: colours[heldBy] },
        areaStyle: { color: colours[heldBy], opacity: 0.09 },
      })),
      {
        type: 'line',
        data: [],
        markLine: {
          symbol: 'none',
          silent: true,
          lineStyle: { color: pen, type: [4, 3], width: 1 },
          data: [
            level(data.load),
            ...(traction === undefined
              ? []
              : [{ ...level(traction), lineStyle: { color: pen, type: [1, 3], width: 1.5 } }]),
            {
              xAxis: speed(data.wanted),
              lineStyle: { color: act, type: 'solid', width: 1.5 },
              label: { show: false },
            },
          ],
        },
        markPoint: {
          silent: true,
          data:
            data.settles === undefined
              ? []
              : [
                  {
                    coord: [speed(data.settles), force(data.load)],
                    symbol: 'circle',
                    symbolSize: 10,
                    itemStyle: { color: sheet, borderColor: pen, borderWidth: 1.6 },
                    label: {
                      formatter: show(data.settles, units.value.speed),
                      position: low ? 'top' : 'left',
                      offset: low ? [0, -12] : [2, 11],
                      color: pen,
                      fontFamily: MONO,
                      fontSize: 11,
                    },
                  },
                ],
        },
      },
    ],
  };
});

/** What each line is, told beside the chart, where nothing runs through it. */
const names = computed(() => {
  const { ink: pen, act, a, b } = ink.value;
  const data = reach.value;
  if (!data) return [];
  const colours = heldByColours({ a, b, ink: pen });
  const held = [...new Set(runs.value.map(({ heldBy }) => heldBy))];
  const slips =
    data.traction === undefined
      ? []
      : [{ mark: '···', text: `wheels slip, ${show(data.traction, units.value.force)}`, colour: pen }];
  return [
    ...held.map((heldBy) => ({ mark: HELD_BY_MARKS[heldBy], text: HELD_BY_NAMES[heldBy], colour: colours[heldBy] })),
    { mark: '╌', text: `the load, ${show(data.load, units.value.force)}`, colour: pen },
    ...slips,
    { mark: '│', text: `wanted ${show(data.wanted, units.value.speed)}`, colour: act },
  ];
});

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const first = items.find((item) => item.data);
  if (!first) return '';
  return `${digits(first.data[0])} ${split(1, units.value.speed).unit}: ${digits(first.data[1])} ${split(1, units.value.force).unit}\n${first.seriesName}`;
}

const table = computed(() => ({
  head: [`speed, ${split(1, units.value.speed).unit}`, `${word.value}, ${split(1, units.value.force).unit}`, 'held by'],
  rows: (reach.value?.points ?? [])
    .filter((_, i) => i % 4 === 0)
    .map((point) => [digits(speed(point.speed)), digits(force(Math.max(0, point.force))), HELD_BY_NAMES[point.heldBy]]),
}));
const summary = computed(() => {
  const data = reach.value;
  if (!data) return 'Not known: a figure is missing.';
  const settles =
    data.settles === undefined
      ? 'It cannot move the load.'
      : `It settles at ${show(data.settles, units.value.speed)}; wanted is ${show(data.wanted, units.value.speed)}.`;
  return `At rest it pulls ${show(data.points[0]?.force ?? 0, units.value.force)} against a load of ${show(data.load, units.value.force)}. ${settles}`;
});
</script>

<template>
  <ChartFrame
    v-if="reach"
    title="Reach"
    :caption="`${word}, ${split(1, units.force).unit}, against speed, ${split(1, units.speed).unit}`"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
</template>
