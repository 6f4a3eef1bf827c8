<script setup lang="ts">
import { digits, rulerSpan, travelOfTotal, travelPerTurn, type RatioMarks } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import { useElementSize } from '@vueuse/core';
import { parseQuantity, refusalText } from '@rough-gear/contract/units';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { useTotalDrag } from '../../composables/useTotalDrag.js';
import { usePlan } from '../../stores/plan.js';

/** The total reduction on a logarithmic ruler: drag the handle, step it with the arrow keys, or type 35:12. */
const { marks, progress } = defineProps<{ marks: RatioMarks; progress: number }>();
defineEmits<{ stop: []; working: [] }>();

const { path } = useMechanism();
const plan = usePlan();
const track = ref<HTMLElement>();
const { width } = useElementSize(track);

const total = computed(() => path.value.train.total);
const known = computed(() => Number.isFinite(total.value));
/** Where the output goes along a screw a bare ratio says little: how far it goes a turn. */
const travel = computed(() => (known.value ? travelPerTurn(path.value) : undefined));
const { show, parse } = useDisplay();
/** A total as it is read: so many to one, or behind a screw how far it goes a turn of the motor. */
const written = (value: number, significant = 4): string =>
  travel.value === undefined ? digits(value, significant) : show(travelOfTotal(value), 'length', significant);
// The span stays where it was while the handle is dragged.
const held = ref<readonly [number, number]>();
const span = computed(() => held.value ?? rulerSpan(known.value ? nice(total.value) : 10));
const MARGIN = 14;

/** A span that only moves in steps, so that the ruler does not creep along with every small change. */
const nice = (value: number): number => 1.25 ** Math.round(Math.log(value) / Math.log(1.25));
const place = (value: number): number =>
  MARGIN + ((width.value - 2 * MARGIN) * Math.log(value / span.value[0])) / Math.log(span.value[1] / span.value[0]);
const inside = (value: number): boolean => value >= span.value[0] && value <= span.value[1];

/** Half the width of a digit on the ruler. */
const DIGIT = 3.4;
const STEPS = [1, 1.5, 2, 3, 4, 5, 6, 8];
const ticks = computed(() => {
  const result: { value: number; text: string }[] = [];
  const along = travel.value !== undefined;
  for (let decade = along ? 1e-6 : 0.01; decade <= 10000; decade *= 10) {
    for (const step of STEPS) {
      const even = Number((step * decade).toPrecision(3));
      // Behind a screw the even numbers are those of its travel.
      const value = along ? travelOfTotal(even) : even;
      if (inside(value)) result.push({ value, text: written(value, 3) });
    }
  }
  // A number is written where it does not run into the one before it; its stroke stays.
  let right = -Infinity;
  return result
    .map((tick) => ({ ...tick, x: place(tick.value) }))
    .sort((a, b) => a.x - b.x)
    .map((tick) => {
      const half = tick.text.length * DIGIT;
      if (tick.x - half < right + 6) return { ...tick, text: '' };
      right = tick.x + half;
      return tick;
    });
});
const named = computed(() =>
  [
    { text: 'fastest', value: marks.fastest },
    { text: 'coolest', value: marks.coolest },
    { text: 'least current', value: marks.leastCurrent },
    { text: 'furthest from losing step', value: marks.surest },
  ]
    .filter((mark): mark is { text: string; value: number } => mark.value !== undefined && inside(mark.value))
    .sort((a, b) => a.value - b.value),
);
/** A name that would run into the one before it goes a line up. */
const rows = computed(() => {
  let lastRight = -Infinity;
  let raised = false;
  return named.value.map((mark) => {
    const x = place(mark.value);
    const half = mark.text.length * 3.6;
    raised = x - half < lastRight + 6 ? !raised : false;
    lastRight = x + half;
    return { ...mark, x, raised };
  });
});

/** A name near an end runs inwards, so that none of it is cut off. */
function anchorAt(x: number, text: string): 'start' | 'middle' | 'end' {
  const half = text.length * 3.6;
  return x - half < 0 ? 'start' : x + half > width.value ? 'end' : 'middle';
}

const {
  canTune,
  changeTo: change,
  dragging,
  down,
  move,
  up,
  key,
} = useTotalDrag((clientX) => {
  const box = track.value!.getBoundingClientRect();
  const share = Math.min(1, Math.max(0, (clientX - box.left - MARGIN) / (width.value - 2 * MARGIN)));
  return span.value[0] * (span.value[1] / span.value[0]) ** share;
});
watch(dragging, (now) => (held.value = now ? span.value : undefined));

const typing = ref<string>();
const said = ref('');

function typed(): void {
  if (typing.value === undefined) return;
  const text = typing.value.trim();
  if (text === '') {
    typing.value = undefined;
    said.value = '';
    return;
  }
  const read =
    travel.value === undefined ? parseQuantity(text, 'ratio') : parse(text.replace(/ a turn$/, ''), 'length');
  if (!read.ok || read.si <= 0) {
    said.value = read.ok ? 'more than 0 is' : refusalText(read);
    return;
  }
  const next = change(travel.value === undefined ? read.si : travelOfTotal(read.si));
  if (next) plan.commit([next]);
  typing.value = undefined;
  said.value = '';
}
</script>

<template>
  <div>
    <div class="flex items-baseline gap-2">
      <h3>{{ travel === undefined ? 'Total reduction' : 'Total, a turn' }}</h3>
      <input
        class="figures w-24 border-b border-ink bg-transparent font-semibold"
        aria-label="Total reduction"
        :value="typing ?? (known ? (travel === undefined ? `${written(total)}:1` : written(total)) : 'not known')"
        :disabled="!canTune"
        :aria-invalid="said !== ''"
        autocomplete="off"
        @focus="($event.target as HTMLInputElement).select()"
        @input="typing = ($event.target as HTMLInputElement).value"
        @keydown.enter.prevent="typed"
        @keydown.esc="
          typing = undefined;
          said = '';
        "
        @blur="typed"
      />
      <button type="button" class="act text-xs" @click="$emit('working')">working</button>
      <span v-if="said" class="text-xs text-gives" role="alert">{{ said }}</span>
      <span v-else-if="!canTune" class="text-xs text-second">add a stage to move it</span>
      <span v-else class="text-xs text-second max-sm:hidden">{{
        travel === undefined ? 'drag, or type 35:12' : 'of the motor; drag, or type 8 mm'
      }}</span>
      <span v-if="progress < 1" class="ml-auto text-xs text-second">
        marks {{ Math.round(progress * 100) }} %
        <button type="button" class="act min-h-6" @click="$emit('stop')">stop</button>
      </span>
    </div>
    <div
      ref="track"
      class="relative mt-0.5 h-[58px] touch-none select-none"
      :class="canTune ? 'cursor-ew-resize' : 'opacity-60'"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="up"
    >
      <svg v-if="known && width > 0" class="absolute inset-0 size-full overflow-visible" aria-hidden="true">
        <path :d="`M${MARGIN} 36H${width - MARGIN}`" stroke="var(--ink)" stroke-width="1.5" />
        <g v-for="tick in ticks" :key="tick.value">
          <path :d="`M${tick.x} 36v7`" stroke="var(--ink)" />
          <text :x="tick.x" y="55" text-anchor="middle" class="figures" font-size="11" fill="var(--second)">
            {{ tick.text }}
          </text>
        </g>
        <g v-for="mark in rows" :key="mark.text">
          <path :d="`M${mark.x} 35l-5 -8h10z`" fill="var(--act)" />
          <text
            :x="mark.x"
            :y="mark.raised ? 10 : 22"
            :text-anchor="anchorAt(mark.x, mark.text)"
            font-size="12"
            fill="var(--act)"
          >
            {{ mark.text }}
          </text>
        </g>
      </svg>
      <button
        v-if="known"
        type="button"
        role="slider"
        class="absolute top-[24px] grid size-6 -translate-x-1/2 place-items-center"
        :style="{ left: `${place(Math.min(span[1], Math.max(span[0], total)))}px` }"
        aria-label="Total reduction: arrow keys step it"
        :aria-valuemin="Number(span[0].toPrecision(3))"
        :aria-valuemax="Number(span[1].toPrecision(3))"
        :aria-valuenow="Number(total.toPrecision(4))"
        :aria-valuetext="travel === undefined ? `${written(total)} to 1` : `${written(total)} a turn of the motor`"
        :disabled="!canTune"
        data-testid="ratio-handle"
        @keydown="key"
      >
        <span class="block size-[17px] rounded-full border-[1.5px] border-ink bg-handle" />
      </button>
    </div>
  </div>
</template>
