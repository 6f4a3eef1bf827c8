<script setup lang="ts">
import {
  digits,
  lacksOf,
  lastSpeed,
  marginOf,
  mostTorqueAt,
  motorSpeed,
  resonanceBand,
  speedAtRate,
  steadyTorqueAt,
  stepMoments,
  STEP_RUN_NEEDS,
  wantedMargin,
} from '@rough-gear/core';
import { computed } from 'vue';
import { MONO, SANS, useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useStepMechanism } from '../../composables/useMechanism.js';
import ChartFrame from './ChartFrame.vue';
import { forceChartFrame } from './forceChart.js';

/** Torque against speed at the motor: what is there, the design line, the band it swings in, and the job's way through it. */
const { path } = useStepMechanism();
const ink = useChartInk();
const { show, split } = useDisplay();

const POINTS = 80;
const known = computed(() => lacksOf(path.value, STEP_RUN_NEEDS).length === 0);
const open = computed(() => path.value.step.motor.loop === 'open');
const moments = computed(() => (known.value ? stepMoments(path.value) : []));
const worst = computed(() =>
  moments.value.reduce((least, one) => (marginOf(one) < marginOf(least) ? one : least), moments.value[0]!),
);
const fastest = computed(() => {
  const { motor } = path.value.step;
  const ends =
    motor.loop === 'open' ? lastSpeed(motor.figures) : motor.figures.topSpeed * Math.min(1, motor.figures.voltageShare);
  const asked = motorSpeed(path.value, path.value.commanded.speed);
  return Math.max(Math.min(ends, 4 * asked), 1.3 * asked);
});
const speed = (value: number) => Number(split(value, 'speed', 6).number);
const torque = (value: number) => Number(split(value, 'torque', 6).number);
const curve = (of: (omega: number) => number) =>
  Array.from({ length: POINTS + 1 }, (_, i) => {
    const omega = (fastest.value * i) / POINTS;
    return [speed(omega), torque(of(omega))] as const;
  });
const names = computed(() =>
  open.value
    ? { most: 'pull-out', design: 'half of it, the design line' }
    : { most: 'peak torque', design: 'rated torque' },
);

const option = computed(() => {
  if (!known.value) return {};
  const { ink: pen, second, act, sheet, a, b, gives } = ink.value;
  const { motor } = path.value.step;
  const most = curve((omega) => mostTorqueAt(motor, omega));
  const design = curve((omega) => (open.value ? mostTorqueAt(motor, omega) / 2 : steadyTorqueAt(motor, omega)));
  const way = moments.value.map((one) => [speed(one.motorSpeed), torque(Math.abs(one.torque))] as const);
  const top = 1.15 * Math.max(...most.map(([, y]) => y), ...way.map(([, y]) => y));
  const right = speed(fastest.value);
  const band = open.value ? resonanceBand(path.value) : undefined;
  const bandAt = (rate: number) => speed(speedAtRate(rate, path.value.step.polePairs));
  const line = (
    name: string,
    data: readonly (readonly [number, number])[],
    colour: string,
    type: unknown,
    width = 2,
  ) => ({
    type: 'line',
    name,
    data,
    showSymbol: false,
    lineStyle: { color: colour, width, type },
    itemStyle: { color: colour },
  });
  const short = marginOf(worst.value) < 1;
  return {
    ...forceChartFrame(right, top, ink.value, tip),
    series: [
      {
        ...line(names.value.most, most, a, 'solid'),
        areaStyle: { color: a, opacity: 0.08 },
        markArea: band
          ? {
              silent: true,
              itemStyle: { color: second, opacity: 0.16 },
              label: {
                show: bandAt(band.to) - bandAt(band.from) > 0.09 * right,
                color: second,
                fontFamily: SANS,
                fontSize: 11,
                position: 'insideTop',
                formatter: 'swings',
              },
              data: [[{ xAxis: bandAt(band.from) }, { xAxis: Math.min(right, bandAt(band.to)) }]],
            }
          : undefined,
      },
      line(names.value.design, design, b, [7, 4]),
      {
        ...line('the job', way, pen, 'solid', 2.2),
        markPoint: {
          silent: true,
          data: [
            {
              coord: [speed(worst.value.motorSpeed), torque(Math.abs(worst.value.torque))],
              symbol: short ? 'diamond' : 'circle',
              symbolSize: 11,
              itemStyle: { color: sheet, borderColor: short ? gives : act, borderWidth: 2 },
              label: {
                formatter: short
                  ? open.value
                    ? 'loses steps here,\nand nothing will tell you'
                    : 'alarm: following error'
                  : `${digits(marginOf(worst.value))}× is there`,
                position: speed(worst.value.motorSpeed) > right * 0.6 ? 'left' : 'right',
                offset: [4, -12],
                color: short ? gives : act,
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

function tip(items: readonly { seriesName: string; data: readonly [number, number] }[]): string {
  const first = items.find((item) => item.data);
  return first
    ? `${digits(first.data[0])} ${split(1, 'speed').unit}: ${digits(first.data[1])} ${split(1, 'torque').unit}\n${first.seriesName}`
    : '';
}

const beside = computed(() => [
  { mark: '—', text: names.value.most, colour: ink.value.a },
  { mark: '– –', text: names.value.design, colour: ink.value.b },
  { mark: '—', text: 'the job', colour: ink.value.ink },
]);
const table = computed(() => ({
  head: [`motor, ${split(1, 'speed').unit}`, `taken, ${split(1, 'torque').unit}`, 'there', 'times'],
  rows: moments.value
    .filter((_, i) => i % 4 === 0)
    .map((one) => [
      digits(speed(one.motorSpeed)),
      digits(torque(Math.abs(one.torque))),
      digits(torque(one.most)),
      Number.isFinite(marginOf(one)) ? digits(marginOf(one)) : '—',
    ]),
}));
const summary = computed(() => {
  if (!known.value) return 'Not known: a figure is missing.';
  const at = show(worst.value.motorSpeed, 'speed');
  return `At its worst, ${at}, the job takes ${show(Math.abs(worst.value.torque), 'torque')} where ${show(worst.value.most, 'torque')} are there; ${wantedMargin(path.value)} times is wanted.`;
});
</script>

<template>
  <ChartFrame
    v-if="known"
    title="Torque"
    :caption="`motor torque, ${split(1, 'torque').unit}, against motor speed, ${split(1, 'speed').unit}`"
    :option="option"
    :table="table"
    :summary="summary"
    :names="beside"
    ><template #title><slot name="title" /></template
  ></ChartFrame>
</template>
