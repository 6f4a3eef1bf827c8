<script setup lang="ts">
import { shifted, withGo, type Go, type GoResult, type JudgedMatch, type MatchScript } from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** A lane a mechanism, its goes as blocks as long as the simulation found; dragged, or stepped by the arrow keys. */
const { script, match, length, left, names } = defineProps<{
  script: MatchScript;
  match: JudgedMatch | undefined;
  length: number;
  left: number;
  /** Of mechanisms by id. */
  names: ReadonlyMap<string, string>;
}>();
const emit = defineEmits<{ change: [script: MatchScript] }>();
const chosen = defineModel<{ mechanism: string; go: string }>('chosen');
const { show } = useDisplay();

const room = ref<HTMLElement>();
const { width } = useElementSize(room);
const RIGHT = 14;
const LEAST = 4;
const along = computed(() => Math.max(1, width.value - left - RIGHT));
const placeOf = (time: number) => left + (along.value * time) / length;

interface Block {
  readonly key: string;
  readonly go: Go;
  readonly mechanism: string;
  readonly from: number;
  readonly to: number;
  readonly result?: GoResult;
}
const blocks = computed((): readonly (readonly Block[])[] =>
  script.lanes.map(({ mechanism, goes }) => {
    const lane = match?.result.lanes.findIndex((one) => one.mechanism === mechanism) ?? -1;
    const done = (match?.result.goes ?? []).filter((result) => result.lane === lane);
    return goes.flatMap((go) =>
      done
        .filter((result) => result.go === go.id)
        .map((result, i): Block => {
          const from = result.began ?? result.planned;
          return { key: `${go.id} ${i}`, go, mechanism, from, to: result.ended ?? from, result };
        }),
    );
  }),
);

/** It stands still for want of a figure: nothing is late. */
const standsStill = ({ mechanism }: Block): boolean =>
  match?.result.lanes.some((lane) => lane.mechanism === mechanism && lane.lacking !== undefined) ?? false;
const isLate = ({ result }: Block): boolean =>
  result !== undefined &&
  (result.outcome === 'stalled' ||
    result.outcome === 'tripped' ||
    result.outcome === 'never begun' ||
    (result.wanted !== undefined && result.ended! - result.began! > result.wanted * (1 + 1e-6)));
const lookOf = (block: Block): string => {
  if (standsStill(block)) return 'border-dashed border-line';
  return isLate(block)
    ? 'border-gives bg-[repeating-linear-gradient(45deg,var(--gives-wash)_0_3px,var(--gives)_3px_5px)]'
    : 'border-ink bg-second/70';
};
function saidOf({ go, result, from, to }: Block): string {
  const what = go.cruise ? 'cruise' : (go.job ?? 'go');
  if (!result) return what;
  if (result.outcome !== 'arrived') return `${what} at ${show(from, 'time')}: ${result.outcome}`;
  const alone = result.alone === undefined ? '' : `, ${show(result.alone, 'time')} alone`;
  const wanted = result.wanted === undefined ? '' : `, ${show(result.wanted, 'time')} wanted`;
  return `${what} at ${show(from, 'time')}: ${show(to - from, 'time')} here${alone}${wanted}`;
}
const isChosen = (block: Block) => chosen.value?.go === block.go.id && chosen.value.mechanism === block.mechanism;

function move(block: Block, by: number): void {
  emit('change', withGo(script, block.mechanism, shifted(block.go, by, length)));
}
function key(event: KeyboardEvent, block: Block): void {
  const step = event.shiftKey ? 1 : 0.1;
  if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
  event.preventDefault();
  chosen.value = { mechanism: block.mechanism, go: block.go.id };
  move(block, event.key === 'ArrowLeft' ? -step : step);
}

const dragged = ref<{ block: Block; startX: number; by: number }>();
function down(event: PointerEvent, block: Block): void {
  chosen.value = { mechanism: block.mechanism, go: block.go.id };
  dragged.value = { block, startX: event.clientX, by: 0 };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  if (dragged.value) dragged.value.by = ((event.clientX - dragged.value.startX) * length) / along.value;
}
function drop(): void {
  const now = dragged.value;
  dragged.value = undefined;
  if (now && Math.abs(now.by) > 0.05) move(now.block, now.by);
}
const shiftOf = (block: Block) =>
  dragged.value && dragged.value.block.go.id === block.go.id ? (dragged.value.by * along.value) / length : 0;
</script>

<template>
  <div ref="room" class="text-sm" data-testid="lanes">
    <div v-for="(lane, i) in script.lanes" :key="lane.mechanism" class="relative h-6 border-b border-hair">
      <span class="absolute inset-y-0 left-0 flex items-center truncate pr-2 text-xs" :style="{ width: `${left}px` }">{{
        names.get(lane.mechanism)
      }}</span>
      <button
        v-for="block in blocks[i]"
        :key="block.key"
        type="button"
        class="absolute top-1 h-4 cursor-grab touch-none border"
        :class="[lookOf(block), isChosen(block) ? 'outline-2 outline-offset-1 outline-act' : '']"
        :style="{
          left: `${placeOf(block.from) + shiftOf(block)}px`,
          width: `${Math.max(LEAST, placeOf(block.to) - placeOf(block.from))}px`,
        }"
        :title="saidOf(block)"
        :aria-label="`${names.get(block.mechanism)}: ${saidOf(block)}. Arrow keys move it.`"
        :aria-pressed="isChosen(block)"
        @pointerdown="down($event, block)"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="dragged = undefined"
        @keydown="key($event, block)"
        @click="chosen = { mechanism: block.mechanism, go: block.go.id }"
      />
    </div>
    <div v-for="draw in script.draws" :key="draw.id" class="relative h-6 border-b border-hair">
      <span class="absolute inset-y-0 left-0 flex items-center truncate pr-2 text-xs" :style="{ width: `${left}px` }">{{
        draw.name
      }}</span>
      <span
        class="absolute top-2 h-2 bg-line"
        :style="{
          left: `${placeOf(draw.from)}px`,
          width: `${placeOf(Math.min(length, draw.to ?? length)) - placeOf(draw.from)}px`,
        }"
        :title="`${draw.name}: ${show(draw.current, 'current')}`"
      />
    </div>
  </div>
</template>
