<script setup lang="ts">
import { brakeReachOf, digits, type BrakeReachPoint, type HeldBy } from '@rough-gear/core';
import { computed } from 'vue';
import { SANS, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useDcMechanism } from '../../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';
import {
  forceChartFrame,
  HELD_BY_DASHES,
  HELD_BY_MARKS,
  HELD_BY_NAMES,
  heldByColours,
  outputUnits,
} from './forceChart.js';

/** Braking force against speed with its two limits: why it fades when fast, and what a pack that takes more would give. */
const { path } = useDcMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const brake = computed(() => brakeReachOf(path.value));
const units = computed(() => outputUnits(path.value));
const place = (point: BrakeReachPoint) =>
  [
    Number(split(point.speed, units.value.speed, 6).number),
    Number(split(point.force, units.value.force, 6).number),
  ] as const;
const distance = computed(() => (path.value.load.unit === 'm' ? 'length' : 'angle'));
const k = computed(() => path.value.asked.perCoordinate);

const runs = computed(() => {
  const result: { heldBy: HeldBy; points: (readonly [number, number])[] }[] = [];
  for (const point of brake.value?.points ?? []) {
    const last = result.at(-1);
    if (last?.heldBy === point.heldBy) last.points.push(place(point));
    else result.push({ heldBy: point.heldBy, points: [...(last ? [last.points.at(-1)!] : []), place(point)] });
  }
  return result;
});

const option = computed(() => {
  const data = brake.value;
  const { ink: pen, act, a, b } = ink.value;
  if (!data) return {};
  const colours = heldByColours({ a, b, ink: pen });
  const all = [...data.points, ...(data.open ?? [])].map(place);
  const [right, top] = [Math.max(...all.map(([x]) => x)) * 1.06, Math.max(...all.map(([, y]) => y)) * 1.14];
  const from = place({ speed: data.from, force: 0, heldBy: 'voltage' })[0];
  return {
    ...forceChartFrame(right, top, ink.value, tip),
    series: [
      ...(data.open
        ? [
            {
              type: 'line',
              name: 'twice the return limit',
              data: data.open.map(place),
              showSymbol: false,
              lineStyle: { color: act, width: 1.2, type: [3, 3] },
              itemStyle: { color: act },
            },
          ]
        : []),
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
          data: [
            {
              xAxis: from,
              lineStyle: { color: pen, type: [2, 3] },
              label: {
                formatter: 'stops from here',
                // Under the top of the chart: over it there is no room.
                position: 'insideEndBottom',
                rotate: 0,
                align: from > right / 2 ? 'right' : 'left',
                distance: [4, 2],
                color: pen,
                fontFamily: SANS,
                fontSize: 11,
              },
            },
          ],
        },
      },
    ],
  };
});

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const found = items.filter((item) => item.data);
  if (!found[0]) return '';
  const lines = found.map((item) => `${digits(item.data[1])} ${split(1, units.value.force).unit}, ${item.seriesName}`);
  return [`${digits(found[0].data[0])} ${split(1, units.value.speed).unit}`, ...lines].join('\n');
}

const summary = computed(() => {
  const data = brake.value;
  if (!data) return 'Not known: a figure is missing.';
  const { stop, coast, from } = data;
  const braked = stop.stops
    ? `From ${show(from * k.value, units.value.speed)} it stands after ${show(stop.distance * k.value, distance.value)} in ${show(stop.time, 'time')}`
    : 'Its brakes do not stop it';
  const rolled = coast.stops
    ? `, coasting after ${show(coast.distance * k.value, distance.value)}`
    : ', and coasting it does not stop';
  return `${braked}${rolled}.`;
});
const names = computed(() => {
  const colours = heldByColours(ink.value);
  const held = [...new Set(runs.value.map(({ heldBy }) => heldBy))].map((heldBy) => ({
    mark: HELD_BY_MARKS[heldBy],
    text: HELD_BY_NAMES[heldBy],
    colour: colours[heldBy],
  }));
  const open = { mark: '···', text: 'a pack that takes twice as much', colour: ink.value.act };
  return brake.value?.open ? [...held, open] : held;
});
const table = computed(() => ({
  head: [`speed, ${split(1, units.value.speed).unit}`, `braking, ${split(1, units.value.force).unit}`, 'held by'],
  rows: (brake.value?.points ?? [])
    .filter((_, i) => i % 4 === 0)
    .map((point) => [...place(point).map((value) => digits(value)), HELD_BY_NAMES[point.heldBy]]),
}));
</script>

<template>
  <ChartFrame
    v-if="brake"
    title="Brake"
    :caption="summary"
    :option="option"
    :table="table"
    :summary="summary"
    :names="names"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
</template>
