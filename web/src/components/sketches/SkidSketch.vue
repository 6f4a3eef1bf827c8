<script setup lang="ts">
import { axlesOf } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DimensionLine from './DimensionLine.vue';

/** The robot from above, turning on the spot: track and base as they are to each other, its wheels pushing against each other. */
const { path, choice } = useMechanism();
const { show } = useDisplay();

const figure = (key: string) => path.value.figures[key]?.value;
const said = (key: string) => (figure(key) === undefined ? '?' : show(figure(key)!, 'length'));
const ROOM = { across: 84, along: 76 };
const CENTRE = { x: 92, y: 78 };
/** Both to one scale; a square where one of them is not known. */
const half = computed(() => {
  const [track, base] = [figure('output.track') ?? 0.5, figure('output.base') ?? 0.5];
  const scale = Math.min(ROOM.across / track, ROOM.along / Math.max(base, 0.05));
  return { across: (track * scale) / 2, along: (base * scale) / 2 };
});
const axles = computed(() => {
  const { output } = choice.value;
  return output.kind === 'wheels' ? axlesOf(output) : 1;
});
const places = computed(() =>
  Array.from({ length: axles.value }, (_, i) =>
    axles.value === 1 ? 0 : half.value.along * ((2 * i) / (axles.value - 1) - 1),
  ),
);
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <rect
      :x="CENTRE.x - half.across + 6"
      :y="CENTRE.y - half.along - 8"
      :width="2 * half.across - 12"
      :height="2 * half.along + 16"
      fill="var(--sheet)"
    />
    <template v-for="side in [-1, 1]" :key="side">
      <rect
        v-for="y in places"
        :key="y"
        :x="CENTRE.x + side * half.across - 4"
        :y="CENTRE.y + y - 9"
        width="8"
        height="18"
        rx="2"
        fill="var(--sheet)"
      />
      <path
        :d="`M${CENTRE.x + side * (half.across + 11)} ${CENTRE.y + side * 14}v${side * -28}m-4 ${side * 5}l4 ${side * -5}l4 ${side * 5}`"
        stroke="var(--act)"
      />
    </template>
    <path
      :d="`M${CENTRE.x - 12} ${CENTRE.y + 8}A15 15 0 1 1 ${CENTRE.x + 12} ${CENTRE.y + 8}m-1 -7l1 7l7 -2`"
      stroke="var(--act)"
    />
    <DimensionLine
      :from="[CENTRE.x - half.across, 16]"
      :to="[CENTRE.x + half.across, 16]"
      :text="said('output.track')"
    />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="186" y="134" text-anchor="end">{{ said('output.base') }} long</text>
      <text x="4" y="134">{{ figure('job.angle') === undefined ? '?' : show(figure('job.angle')!, 'angle') }}</text>
    </g>
  </g>
</template>
