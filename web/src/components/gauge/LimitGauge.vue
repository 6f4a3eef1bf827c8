<script setup lang="ts" generic="R extends GaugeRung">
import { counted, showMultiple } from '@rough-gear/core';
import { computed } from 'vue';
import { useFold } from '../../composables/useFold.js';
import { useDisplay } from '../../composables/useDisplay.js';
import {
  heightOf,
  layoutGauge,
  LEAST,
  MOST,
  NAMED_BELOW,
  scaleFor,
  type GaugeLadder,
  type GaugeRung,
} from './gaugeLayout.js';
import VerdictRing from '../verdict/VerdictRing.vue';

/**
 * What gives first, as a gauge: multiples of the job on a logarithmic scale, the job's line at 1×,
 * each limit a mark at its place, with a whisker to the margin it wants: heavy where it lacks some.
 */
const {
  ladder,
  before = undefined,
  selected = undefined,
  height = 230,
  turning = false,
  asked = undefined,
} = defineProps<{
  ladder: GaugeLadder<R>;
  before?: GaugeLadder<R> | undefined;
  selected?: string | undefined;
  height?: number;
  /** The output turns: torques and rpm. */
  turning?: boolean;
  /** What the line at 1× stands for, where it is no one job. */
  asked?: string;
}>();
defineEmits<{ select: [rung: R] }>();

const { show } = useDisplay();
const ROW = 24;
const AXIS = 60;
const LABELS = 84;
const TOP = 26;
const TICKS = [10, 5, 2, 1, 0.5];
const MINOR = [9, 8, 7, 6, 4, 3, 1.5, 0.9, 0.8, 0.7, 0.6];
const COLOURS = {
  enough: 'var(--enough)',
  tight: 'var(--tight)',
  'gives way': 'var(--gives)',
  'not known': 'var(--second)',
} as const;

const expanded = useFold();
/** Opened, the scale is as high as all its names need. */
const tall = computed(() => {
  const above = ladder.rungs.filter(({ multiple = 0, outOfReach }) => !outOfReach && multiple >= 1 && multiple <= MOST);
  return expanded.value ? Math.max(height, ((above.length + 1) * ROW) / heightOf(1, 1)) : height;
});
const scale = computed(() => scaleFor(ladder.rungs, tall.value, ROW));
const layout = computed(() => layoutGauge(ladder.rungs, scale.value, ROW, expanded.value));
const at = (multiple: number) => TOP + heightOf(multiple, scale.value);
const one = computed(() => at(1));
/** What gives way may need more room under the job's line than the scale has. */
const lowest = computed(() => Math.max(tall.value, ...layout.value.rows.map(({ label }) => label + ROW / 2)));
/** Whiskers stand side by side on the scale, the lowest rung's at the right. */
const whiskerAt = (i: number) => AXIS - 4 - Math.min(5, layout.value.rows.length - 1 - i) * 3.2;

const foldedFrom = computed(() =>
  layout.value.folded.some(({ multiple = 0 }) => multiple < NAMED_BELOW) ? 'these' : `${NAMED_BELOW}×`,
);
const folding = computed(() => layout.value.folded.length > 0 || expanded.value);

/** What it was before the last change, where that reads differently. */
function movedFrom(rung: R): string | undefined {
  const old = before?.rungs.find(({ id }) => id === rung.id);
  if (old?.multiple === undefined || rung.multiple === undefined) return undefined;
  const [was, is] = [showMultiple(old.multiple), showMultiple(rung.multiple)];
  return was === is ? undefined : was;
}

const demand = computed(() => {
  if (asked !== undefined) return asked;
  if (ladder.demand === undefined) return 'the job';
  const force = show(ladder.demand, turning ? 'torque' : 'force');
  return ladder.speed
    ? `the job: ${force} at ${show(ladder.speed, turning ? 'speed' : 'velocity')}`
    : `the job: ${force}`;
});
</script>

<template>
  <div class="@container relative shrink-0" :style="{ height: `${lowest + TOP + 26}px` }" data-testid="gauge">
    <svg class="absolute inset-0 size-full" aria-hidden="true">
      <defs>
        <pattern id="below-the-job" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--gives-wash)" />
          <path d="M0 0v6" stroke="var(--gives)" stroke-width="0.8" opacity="0.45" />
        </pattern>
      </defs>
      <rect :x="AXIS - 22" :y="one" width="22" :height="at(LEAST) - one" fill="url(#below-the-job)" />
      <path
        :d="`M${AXIS - 22} ${at(MOST)}V${at(LEAST)}H${AXIS}V${at(MOST)}`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1"
      />
      <g v-for="tick in TICKS" :key="tick">
        <path :d="`M${AXIS - 22} ${at(tick)}h-5`" stroke="var(--ink)" />
        <text :x="AXIS - 30" :y="at(tick) + 4" text-anchor="end" class="figures" font-size="11" fill="var(--ink)">
          {{ tick }}×
        </text>
      </g>
      <path v-for="tick in MINOR" :key="tick" :d="`M${AXIS - 22} ${at(tick)}h6`" stroke="var(--line)" />
      <g v-for="({ rung, mark, label }, i) in layout.rows" :key="rung.id">
        <path
          :d="`M${whiskerAt(i)} ${TOP + mark}V${at(rung.wants)}m-2.5 0h5`"
          :stroke="COLOURS[rung.verdict]"
          :stroke-width="rung.multiple! < rung.wants ? 2 : 1"
          :opacity="rung.multiple! < rung.wants ? 1 : 0.55"
          fill="none"
        />
        <path
          :d="`M${AXIS - 22} ${TOP + mark}H${AXIS + 4}L${LABELS - 12} ${TOP + label}`"
          :stroke="COLOURS[rung.verdict]"
          :stroke-width="rung === ladder.first ? 3 : 1.6"
          fill="none"
        />
      </g>
      <path
        v-for="rung in layout.folded"
        :key="rung.id"
        :d="`M${AXIS - 22} ${at(rung.multiple!)}H${AXIS + 3}`"
        :stroke="COLOURS[rung.verdict]"
        stroke-width="1.6"
      />
      <line x1="0" x2="100%" :y1="one" :y2="one" stroke="var(--ink)" stroke-width="2.5" />
    </svg>
    <p
      class="absolute top-0 right-0 left-[60px] text-center text-xs text-second"
      :title="layout.beyond.map(({ name }) => name).join(', ')"
    >
      <template v-if="layout.beyond.length > 0"
        >{{ layout.beyond.length }} beyond 10×<span class="sr-only"
          >: {{ layout.beyond.map(({ name }) => name).join(', ') }}</span
        ></template
      >
      <template v-else-if="ladder.rungs.length === 0">no limit is asked here</template>
    </p>
    <ul>
      <li
        v-for="{ rung, label } in layout.rows"
        :key="rung.id"
        class="absolute right-0"
        :style="{ left: `${LABELS - 10}px`, top: `${TOP + label - ROW / 2}px`, height: `${ROW}px` }"
      >
        <button
          type="button"
          class="flex h-full w-full items-center gap-1.5 px-1 text-left"
          :class="[
            selected === rung.id ? 'bg-ground outline-1 outline-ink' : 'hover:bg-ground',
            rung === ladder.first ? 'font-semibold' : '',
          ]"
          :aria-pressed="selected === rung.id"
          :aria-label="`${rung.name}: ${rung.verdict}, ${showMultiple(rung.multiple!)} the job, wants ${showMultiple(rung.wants)}`"
          :data-rung="rung.id"
          @click="$emit('select', rung)"
        >
          <VerdictRing :verdict="rung.verdict" />
          <!-- In a narrow column a long name is smaller, so that it stays in its row. -->
          <span class="min-w-0 grow leading-[1.1] @max-[260px]:text-xs" :class="movedFrom(rung) ? 'text-xs' : ''">{{
            rung.name
          }}</span>
          <span class="figures whitespace-nowrap">
            <span v-if="movedFrom(rung)" class="text-2xs font-normal text-second"
              >{{ movedFrom(rung)?.replace('×', '') }}→</span
            >{{ showMultiple(rung.multiple!) }}
          </span>
        </button>
      </li>
    </ul>
    <p class="absolute right-0 text-right text-xs whitespace-nowrap" :style="{ top: `${one + 4}px` }">
      <span class="bg-sheet/85 pl-1">{{ demand }}</span>
    </p>
    <div class="absolute right-0 bottom-0 flex items-center gap-3 text-xs text-second">
      <button v-if="folding" type="button" class="act min-h-6" :aria-expanded="expanded" @click="expanded = !expanded">
        {{ expanded ? 'fold' : `${layout.folded.length} more above ${foldedFrom}` }}
      </button>
      <p
        v-if="layout.outOfReach.length > 0"
        class="flex min-h-6 items-center gap-1"
        :title="`${ladder.ceiling ?? 'the voltage runs out first'}, before: ${layout.outOfReach.map(({ name }) => name).join(', ')}`"
      >
        <VerdictRing verdict="enough" :size="12" hollow />
        <span
          >{{ counted(layout.outOfReach.length, 'limit') }} not reached<span v-if="!folding" class="@max-[260px]:hidden"
            >: {{ ladder.ceiling ?? 'the voltage runs out first' }}</span
          ></span
        >
      </p>
    </div>
  </div>
</template>
