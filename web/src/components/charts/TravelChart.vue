<script setup lang="ts">
import { digits, lacksOf, loadedSpeed, SERVO_RUN_NEEDS, torqueAtHorn } from '@rough-gear/core';
import { computed } from 'vue';
import { SANS, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useServoMechanism } from '../../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';
import { forceChartFrame } from './forceChart.js';

/** Along the way: what the load asks of the servo, what half of its stall torque is, and how fast it goes there. */
const { path } = useServoMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const POINTS = 60;
const linear = computed(() => path.value.servo.part.motion === 'linear');
const force = computed(() => (linear.value ? ('force' as const) : ('torque' as const)));
const known = computed(
  () =>
    lacksOf(path.value, SERVO_RUN_NEEDS).length === 0 && path.value.linked !== undefined && !path.value.linked.short,
);
const distance = computed(() => (path.value.load.unit === 'm' ? ('length' as const) : ('angle' as const)));
const places = computed(() => {
  const { load, asked, servo, linked } = path.value;
  const way = asked.travel ?? 0;
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const q = (way * i) / POINTS;
    const taken = torqueAtHorn(path.value, load.force(q, asked.speed), q);
    return {
      q: q * asked.perCoordinate,
      taken,
      speed: loadedSpeed(servo.rating, taken) * (linked?.ratioAt(q) ?? 0) * asked.perCoordinate,
    };
  });
});
const x = (value: number) => Number(split(value, distance.value, 6).number);
const y = (value: number) => Number(split(value, force.value, 6).number);

const option = computed(() => {
  if (!known.value) return {};
  const { ink: pen, a, b } = ink.value;
  const stall = path.value.servo.rating.stallTorque;
  const top = 1.15 * Math.max(y(stall), ...places.value.map(({ taken }) => y(taken)));
  const right = Math.max(x(places.value.at(-1)!.q), 1e-6);
  const level = (value: number, text: string, colour: string, type: unknown, position = 'insideEndTop') => ({
    yAxis: y(value),
    lineStyle: { color: colour, type, width: 1.5 },
    label: { formatter: text, position, color: colour, fontFamily: SANS, fontSize: 11 },
  });
  return {
    ...forceChartFrame(right, top, ink.value, tip),
    series: [
      {
        type: 'line',
        name: 'taken of the servo',
        data: places.value.map(({ q, taken }) => [x(q), y(taken)]),
        showSymbol: false,
        lineStyle: { color: pen, width: 2.2 },
        itemStyle: { color: pen },
        areaStyle: { color: pen, opacity: 0.06 },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            level(stall, `stall, ${show(stall, force.value)}`, a, 'solid'),
            level(stall / 2, 'half: moving', b, [7, 4]),
            level(stall / 3.3, 'a third: held', b, [2, 3], 'insideStartBottom'),
          ],
        },
      },
    ],
  };
});

function tip(items: readonly { data: readonly [number, number] }[]): string {
  const first = items.find((item) => item.data);
  return first
    ? `${digits(first.data[0])} ${split(1, distance.value).unit}: ${digits(first.data[1])} ${split(1, force.value).unit}`
    : '';
}

const speedUnit = computed(() => (path.value.load.unit === 'm' ? ('velocity' as const) : ('turning' as const)));
const table = computed(() => ({
  head: [
    `place, ${split(1, distance.value).unit}`,
    `taken, ${split(1, force.value).unit}`,
    `goes at most, ${split(1, speedUnit.value).unit}`,
  ],
  rows: places.value
    .filter((_, i) => i % 4 === 0)
    .map(({ q, taken, speed }) => [digits(x(q)), digits(y(taken)), split(speed, speedUnit.value).number]),
}));
const summary = computed(() => {
  const most = Math.max(...places.value.map(({ taken }) => taken));
  return `Along its way the load asks up to ${show(most, force.value)} of the servo, which stalls at ${show(path.value.servo.rating.stallTorque, force.value)}.`;
});
</script>

<template>
  <ChartFrame
    v-if="known"
    title="Travel"
    :caption="`asked of one servo, ${split(1, force).unit}, against place, ${split(1, distance).unit}`"
    :option="option"
    :table="table"
    :summary="summary"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
  <div v-else class="flex min-h-[200px] flex-col">
    <slot name="title" />
    <p class="squared grow border border-hair p-4 text-sm text-second">
      The linkage does not take the output to the end of its way: there is nothing to draw along it yet.
    </p>
  </div>
</template>
