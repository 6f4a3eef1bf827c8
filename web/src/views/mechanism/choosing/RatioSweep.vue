<script setup lang="ts">
import {
  digits,
  RATIO_SCHOOLS,
  rulerSpan,
  screwAt,
  showMultiple,
  sweepMarks,
  tractionTotal,
  type RatioPoint,
} from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { ChartLater } from '../../../components/charts/chartLater.js';
import { useChartInk } from '../../../composables/useChartInk.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useTotalDrag } from '../../../composables/useTotalDrag.js';
import { RATIO_LEFT, RATIO_RIGHT, ratioChart, STRIPS, stripsIn } from './ratioChart.js';
import RatioTable from './RatioTable.vue';
import { useRatioSweep } from './useRatioSweep.js';

/** Everything against the total reduction on one chart; the marker is dragged, and the mechanism follows. */
const { path, mechanism, jobId, commit } = useMechanism();
const { show } = useDisplay();
const ink = useChartInk();
const box = ref<HTMLElement>();
const { width, height } = useElementSize(box);
const asTable = ref(false);

/** The span only moves in steps, and not while it is dragged. */
const spanNow = () => {
  const total = path.value.train.total;
  return rulerSpan(Number.isFinite(total) ? 1.5 ** Math.round(Math.log(total) / Math.log(1.5)) : 10);
};
// Shallow: it is handed to the worker as it is.
const span = shallowRef(spanNow());
const inner = computed(() => Math.max(1, width.value - RATIO_LEFT - RATIO_RIGHT));
const { total, canTune, changeTo, dragging, down, move, up, key } = useTotalDrag((clientX) => {
  const left = box.value!.getBoundingClientRect().left + RATIO_LEFT;
  const share = Math.min(1, Math.max(0, (clientX - left) / inner.value));
  return span.value[0] * (span.value[1] / span.value[0]) ** share;
});
watch([total, dragging], () => {
  if (!dragging.value) span.value = spanNow();
});
const place = (value: number) =>
  RATIO_LEFT + (inner.value * Math.log(value / span.value[0])) / Math.log(span.value[1] / span.value[0]);

const { sweep, stop } = useRatioSweep(
  computed(() => mechanism.value.id),
  jobId,
  span,
  dragging,
);
const marks = computed(() => sweepMarks(sweep.value.points));
const traction = computed(() => tractionTotal(path.value));

const nearest = (at: number): RatioPoint | undefined =>
  sweep.value.points.reduce<RatioPoint | undefined>(
    (best, point) =>
      !best || Math.abs(Math.log(point.total / at)) < Math.abs(Math.log(best.total / at)) ? point : best,
    undefined,
  );
const here = computed(() => nearest(total.value));
function tip(at: number): string {
  const point = nearest(at);
  if (!point) return '';
  const lines = [
    `${digits(point.total, 3)}:1, ${point.verdict}`,
    point.time === undefined ? 'does not arrive' : `time ${show(point.time, 'time')}`,
    ...(point.rmsMotorCurrent === undefined
      ? []
      : [`r.m.s. ${show(point.rmsMotorCurrent, 'current')}, peak ${show(point.peakMotorCurrent!, 'current')}`]),
    ...(point.packEnergy === undefined ? [] : [`${show(point.packEnergy, 'energy')} from the pack`]),
    point.fails ?? (point.first ? `${point.first.name} first, ${showMultiple(point.first.multiple)}` : ''),
  ];
  return lines.filter((line) => line !== '').join('\n');
}
const option = computed(() =>
  ratioChart({
    points: sweep.value.points,
    marks: marks.value,
    span: span.value,
    height: height.value,
    pens: ink.value,
    tip,
  }),
);
const places = computed(() => stripsIn(height.value));
const PENS = { a: 'var(--series-a)', b: 'var(--series-b)', ink: 'var(--ink)' } as const;

const schools = computed(() =>
  RATIO_SCHOOLS.map((school) => {
    const at = marks.value[school.id];
    return { ...school, at, point: at === undefined ? undefined : nearest(at) };
  }),
);
function take(at: number): void {
  const change = changeTo(at);
  if (change) commit([change]);
}
</script>

<template>
  <p v-if="!canTune" class="text-second">
    <template v-if="path.machine === 'servo'"
      >A servo's gears are in its case: <i>Compare</i> in its panel shows the same motor with other gears, and a horn or
      linkage behind it gears the rest.</template
    ><template v-else-if="screwAt(path) >= 0"
      >The motor turns the screw itself: <i>Compare</i>, <i>Lead of the screw</i> shows every lead that is sold. A belt
      or gears before it can be moved here.</template
    ><template v-else
      >No stage of this train can be moved: add one, or name the one that the total is tuned by.</template
    >
  </p>
  <template v-else>
    <div class="flex flex-wrap items-baseline gap-x-4 text-sm">
      <span
        >Total <b class="figures">{{ digits(total, 4) }}:1</b
        ><template v-if="here?.first">
          · {{ here.first.name }} gives first, <span class="figures">{{ showMultiple(here.first.multiple) }}</span>
          {{ here.first.situation }}</template
        ><template v-if="here?.fails">
          · <span class="text-gives">{{ here.fails }}: not so</span></template
        ></span
      >
      <span v-if="!sweep.done" class="text-xs text-second" role="status"
        >sweeping, {{ sweep.points.length }} totals
        <button type="button" class="act min-h-6" @click="stop">stop</button></span
      >
      <button type="button" class="act ml-auto min-h-6 text-xs" :aria-pressed="asTable" @click="asTable = !asTable">
        {{ asTable ? 'chart' : 'table' }}
      </button>
    </div>
    <RatioTable v-if="asTable" :points="sweep.points" class="min-h-0 grow" />
    <div
      v-else
      ref="box"
      class="relative min-h-[400px] grow cursor-ew-resize touch-none select-none"
      data-testid="ratio-sweep"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="up"
    >
      <div
        class="absolute inset-0"
        role="img"
        :aria-label="`Time, currents, energy, volts and what gives first against the total, ${digits(span[0], 2)} to ${digits(span[1], 3)}`"
      >
        <ChartLater v-if="height > 40 && sweep.points.length > 0" :option="option" />
      </div>
      <p
        v-for="(strip, i) in STRIPS"
        :key="strip.title"
        class="pointer-events-none absolute flex gap-3 text-xs leading-none"
        :style="{ left: `${RATIO_LEFT}px`, top: `${places[i]!.top - 14}px` }"
        aria-hidden="true"
      >
        <b class="font-semibold">{{ strip.title }}</b>
        <span v-for="curve in strip.curves" :key="curve.name" class="flex items-center gap-1 text-second">
          <svg width="22" height="6">
            <path
              d="M0 3h22"
              :stroke="PENS[curve.pen]"
              stroke-width="1.8"
              :stroke-dasharray="curve.dash === 'solid' ? undefined : curve.dash.join(' ')"
            /></svg
          >{{ curve.name }}</span
        >
      </p>
      <button
        type="button"
        role="slider"
        class="absolute top-9 bottom-5 w-6 -translate-x-1/2 cursor-ew-resize"
        :style="{ left: `${place(Math.min(span[1], Math.max(span[0], total)))}px` }"
        aria-label="Total reduction on the chart: arrow keys step it"
        :aria-valuemin="Number(span[0].toPrecision(3))"
        :aria-valuemax="Number(span[1].toPrecision(3))"
        :aria-valuenow="Number(total.toPrecision(4))"
        :aria-valuetext="`${digits(total, 4)} to 1`"
        data-testid="sweep-marker"
        @keydown="key"
      >
        <span class="mx-auto block h-full w-0.5 bg-ink" aria-hidden="true" />
        <span
          class="absolute bottom-0 left-1/2 block size-[15px] -translate-x-1/2 rounded-full border-[1.5px] border-ink bg-handle"
          aria-hidden="true"
        />
      </button>
    </div>
    <div class="grid gap-x-6 gap-y-1 text-xs sm:grid-cols-2">
      <div v-for="school in schools" :key="school.id">
        <button
          type="button"
          class="act min-h-6 text-sm font-semibold disabled:opacity-60"
          :disabled="school.at === undefined"
          @click="take(school.at!)"
        >
          {{ school.name }}<template v-if="school.at !== undefined">: {{ digits(school.at, 3) }}:1</template>
        </button>
        <span v-if="school.point?.time !== undefined" class="figures"> · {{ show(school.point.time, 'time') }}</span>
        <span v-else class="text-second"> none on this range without something giving way</span>
        <p class="text-second">{{ school.reasons }}</p>
      </div>
    </div>
    <p class="text-xs text-second">
      <template v-if="marks.plateau"
        >Shaded: from {{ digits(marks.plateau[0], 3) }} to {{ digits(marks.plateau[1], 3) }} the time is within 5 % of
        the shortest, so the ratio hardly matters.
      </template>
      <template v-if="traction !== undefined">
        Beyond {{ digits(traction, 3) }}:1 the wheels slip before the motors have given all: deeper pulls no more.
      </template>
    </p>
  </template>
</template>
