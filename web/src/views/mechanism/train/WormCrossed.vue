<script setup lang="ts">
import { computed } from 'vue';

/** A worm and its wheel, whose shafts cross without meeting: from the side the wheel is round, along the worm's shaft it stands on edge. */
const { x, y, across, view } = defineProps<{ x: number; y: number; across: number; view: 'side' | 'end' }>();

const worm = computed(() => 0.13 * across);
const wheel = computed(() => 0.3 * across);
/** Where the wheel's shaft crosses. */
const axis = computed(() => y + worm.value + wheel.value);
const threads = computed(() => {
  const length = 0.7 * across;
  return Array.from({ length: 5 }, (_, i) => {
    const at = x - length / 2 + ((i + 0.5) * length) / 5;
    return `M${at - 3} ${y + worm.value}L${at + 3} ${y - worm.value}`;
  }).join('');
});
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.25" fill="var(--sheet)" data-testid="worm-crossed">
    <template v-if="view === 'side'">
      <circle :cx="x" :cy="axis" :r="wheel" />
      <path :d="`M${x - 4} ${axis}h8M${x} ${axis - 4}v8`" />
      <rect :x="x - 0.35 * across" :y="y - worm" :width="0.7 * across" :height="2 * worm" />
      <path :d="threads" />
    </template>
    <template v-else>
      <rect :x="x - 0.07 * across" :y="y + worm" :width="0.14 * across" :height="2 * wheel" />
      <path :d="`M${x - 0.4 * across} ${axis}h${0.8 * across}`" stroke-dasharray="8 3 2 3" stroke-width="0.75" />
      <circle :cx="x" :cy="y" :r="worm" />
    </template>
  </g>
</template>
