<script setup lang="ts">
import { digits, reachOf, type HeldBy } from '@rough-gear/core';
import { computed } from 'vue';
import { useChartInk, tipLook, MONO, SANS } from '../composables/useChartInk.js';
import { useDisplay } from '../composables/useDisplay.js';
import { useMechanism } from '../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';

/** Output force against speed at full effort: the envelope by which limit holds, the load, the working point. */
const { path } = useMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const reach = computed(() => reachOf(path.value));
const NAMES: Record<HeldBy, string> = { stator: 'motor-side limit', supply: 'pack-side limit', voltage: 'volts' };
const DASHES: Record<HeldBy, 'solid' | number[]> = { stator: [2, 3], supply: [7, 4], voltage: 'solid' };
const word = computed(() => (path.value.job.kind === 'raise' ? 'rope pull' : 'push'));

const force = (value: number) => Number(split(value, 'force', 6).number);
const speed = (value: number) => Number(split(value, 'velocity', 6).number);

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

/** Where a run's name stands: of two places on it the one farther from the load's line. */
function labelPlace(points: readonly (readonly [number, number])[], load: number) {
  const [early, late] = [0.35, 0.75].map((share) => points[Math.floor(points.length * share)]!);
  return Math.abs(late![1] - load) > Math.abs(early![1] - load) ? late : early;
}

const option = computed(() => {
  const { ink: pen, second, hair, act, sheet, a, b } = ink.value;
  const colours: Record<HeldBy, string> = { stator: a, supply: b, voltage: pen };
  const data = reach.value;
  if (!data) return {};
  const top = Math.max(force(data.load) * 1.25, ...data.points.map((point) => force(point.force))) * 1.12;
  const right = Math.max(speed(data.wanted), ...data.points.map((point) => speed(point.speed))) * 1.06;
  const grip = data.grip !== undefined && force(data.grip) < top ? data.grip : undefined;
  const level = (value: number, text: string, position: string) => ({
    yAxis: force(value),
    name: text,
    label: { formatter: text, position, color: pen, fontFamily: SANS, fontSize: 11 },
  });
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: { left: 46, right: 12, top: 10, bottom: 22 },
    xAxis: axis(right, second, hair),
    yAxis: axis(top, second, hair),
    tooltip: { ...tipLook(ink.value), formatter: tip },
    series: [
      ...runs.value.map(({ heldBy, points }) => ({
        type: 'line',
        name: NAMES[heldBy],
        data: points,
        showSymbol: false,
        lineStyle: { color: colours[heldBy], width: 2, type: DASHES[heldBy] },
        itemStyle: { color: colours[heldBy] },
        areaStyle: { color: colours[heldBy], opacity: 0.09 },
        markPoint: {
          symbol: 'circle',
          symbolSize: 1,
          data: [
            {
              coord: labelPlace(points, force(data.load)),
              label: {
                formatter: NAMES[heldBy],
                position: 'right',
                offset: [4, -9],
                color: colours[heldBy],
                fontFamily: SANS,
                fontSize: 11,
              },
            },
          ],
        },
      })),
      {
        type: 'line',
        data: [],
        markLine: {
          symbol: 'none',
          silent: true,
          lineStyle: { color: pen, type: [4, 3], width: 1 },
          data: [
            level(data.load, `the load, ${show(data.load, 'force')}`, 'insideEndTop'),
            ...(grip === undefined ? [] : [level(grip, `wheels slip, ${show(grip, 'force')}`, 'insideEndTop')]),
            {
              xAxis: speed(data.wanted),
              lineStyle: { color: act, type: 'solid', width: 1.5 },
              label: {
                formatter: `wanted ${show(data.wanted, 'velocity')}`,
                position: 'insideStartTop',
                rotate: 0,
                distance: [-4, 4],
                align: speed(data.wanted) > right * 0.5 ? 'right' : 'left',
                color: act,
                fontFamily: SANS,
                fontSize: 11,
              },
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
                      formatter: show(data.settles, 'velocity'),
                      position: 'left',
                      offset: [2, 11],
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

function axis(max: number, second: string, hair: string) {
  return {
    type: 'value',
    min: 0,
    max,
    splitNumber: 4,
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11, showMaxLabel: false },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { lineStyle: { color: hair } },
  };
}

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const first = items.find((item) => item.data);
  if (!first) return '';
  return `${digits(first.data[0])} ${split(1, 'velocity').unit}: ${digits(first.data[1])} ${split(1, 'force').unit}\n${first.seriesName}`;
}

const table = computed(() => ({
  head: [`speed, ${split(1, 'velocity').unit}`, `${word.value}, ${split(1, 'force').unit}`, 'held by'],
  rows: (reach.value?.points ?? [])
    .filter((_, i) => i % 4 === 0)
    .map((point) => [digits(speed(point.speed)), digits(force(Math.max(0, point.force))), NAMES[point.heldBy]]),
}));
const summary = computed(() => {
  const data = reach.value;
  if (!data) return 'Not known: a figure is missing.';
  const settles =
    data.settles === undefined
      ? 'It cannot move the load.'
      : `It settles at ${show(data.settles, 'velocity')}; wanted is ${show(data.wanted, 'velocity')}.`;
  return `At rest it pulls ${show(data.points[0]?.force ?? 0, 'force')} against a load of ${show(data.load, 'force')}. ${settles}`;
});
</script>

<template>
  <ChartFrame
    v-if="reach"
    title="Reach"
    :caption="`${word}, ${split(1, 'force').unit}, against speed, ${split(1, 'velocity').unit}`"
    :option="option"
    :table="table"
    :summary="summary"
  />
</template>
