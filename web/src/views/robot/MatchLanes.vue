<script setup lang="ts">
import {
  counted,
  holdsOf,
  isLate,
  shifted,
  withGo,
  type Go,
  type GoResult,
  type JudgedMatch,
  type Lane,
  type MatchScript,
} from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** A lane a mechanism, its goes as blocks as long as the simulation found; dragged, or stepped by the arrow keys. */
const { script, match, length, left, names, jobs, instant } = defineProps<{
  script: MatchScript;
  match: JudgedMatch | undefined;
  length: number;
  left: number;
  /** Of mechanisms by id. */
  names: ReadonlyMap<string, string>;
  /** Names of jobs, by mechanism and job. */
  jobs: ReadonlyMap<string, string>;
  /** A line through all lanes at this instant, s. */
  instant?: number | undefined;
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
    const lane = laneOf(mechanism);
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

/** The lane of a mechanism in what came of the match; −1 where it has none. */
const laneOf = (mechanism: string) => match?.result.lanes.findIndex((one) => one.mechanism === mechanism) ?? -1;
/** Between its goes a lane that draws is holding: drawn as a line. */
const holds = computed(() =>
  script.lanes.map(({ mechanism }) => (match ? holdsOf(match.result, laneOf(mechanism)) : [])),
);

const lookOf = (block: Block): string => {
  if (block.result?.outcome === 'never begun') return 'border-dashed border-second';
  return block.result && isLate(block.result)
    ? 'border-gives bg-[repeating-linear-gradient(45deg,var(--gives-wash)_0_3px,var(--gives)_3px_5px)]'
    : 'border-ink bg-second/70';
};
function saidOf({ go, mechanism, result, from, to }: Block): string {
  const what = go.cruise ? 'driving steadily' : (jobs.get(`${mechanism} ${go.job}`) ?? 'go');
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

/** A lane by its keys: Enter chooses its next go, the arrows move the one that is chosen. */
function nextGo({ mechanism, goes }: Lane): Go | undefined {
  const now = goes.findIndex(({ id }) => chosen.value?.mechanism === mechanism && chosen.value.go === id);
  const next = goes[(now + 1) % goes.length];
  if (next) chosen.value = { mechanism, go: next.id };
  return next;
}
function key(event: KeyboardEvent, lane: Lane): void {
  if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
  event.preventDefault();
  const here = chosen.value?.mechanism === lane.mechanism ? chosen.value.go : undefined;
  const go = here === undefined ? nextGo(lane) : lane.goes.find(({ id }) => id === here);
  const step = event.shiftKey ? 1 : 0.1;
  if (go) emit('change', withGo(script, lane.mechanism, shifted(go, event.key === 'ArrowLeft' ? -step : step, length)));
}
/** What came of a lane, for who does not see the blocks. */
function laneSaid(i: number, lane: Lane): string {
  const all = blocks.value[i]!;
  const late = all.filter(({ result }) => result && isLate(result)).length;
  const done = `${counted(lane.goes.length, 'go', 'goes')}, done ${counted(all.length, 'time')}`;
  return `${names.get(lane.mechanism) ?? lane.mechanism}: ${done}${late > 0 ? `, ${late} late or never there` : ''}. Enter chooses the next go, arrow keys move it.`;
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
  <div ref="room" class="relative text-sm" data-testid="lanes">
    <span
      v-if="instant !== undefined"
      aria-hidden="true"
      class="pointer-events-none absolute inset-y-0 z-10 border-l-2 border-dotted border-ink"
      :style="{ left: `${placeOf(instant)}px` }"
    />
    <div v-for="(lane, i) in script.lanes" :key="lane.mechanism" class="relative h-6 border-b border-hair">
      <button
        type="button"
        class="absolute inset-y-0 left-0 truncate pr-2 text-left text-xs hover:underline"
        :class="chosen?.mechanism === lane.mechanism ? 'font-semibold' : ''"
        :style="{ width: `${left}px` }"
        :aria-label="laneSaid(i, lane)"
        :aria-pressed="chosen?.mechanism === lane.mechanism"
        @click="nextGo(lane)"
        @keydown="key($event, lane)"
      >
        {{ names.get(lane.mechanism) }}
      </button>
      <span
        v-for="held in holds[i]"
        :key="`held ${held.from}`"
        aria-hidden="true"
        class="absolute top-[11px] h-0.5 bg-second"
        :style="{ left: `${placeOf(held.from)}px`, width: `${placeOf(held.to) - placeOf(held.from)}px` }"
        :title="`holding from ${show(held.from, 'time')} to ${show(held.to, 'time')}, ${show(held.current, 'current')}`"
        data-held
      />
      <span
        v-for="block in blocks[i]"
        :key="block.key"
        aria-hidden="true"
        class="absolute top-1 h-4 cursor-grab touch-none border"
        :class="[lookOf(block), isChosen(block) ? 'outline-2 outline-offset-1 outline-act' : '']"
        :style="{
          left: `${placeOf(block.from) + shiftOf(block)}px`,
          width: `${Math.max(LEAST, placeOf(block.to) - placeOf(block.from))}px`,
        }"
        :title="saidOf(block)"
        :data-go="`${names.get(block.mechanism)}: ${saidOf(block)}`"
        @pointerdown="down($event, block)"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="dragged = undefined"
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
