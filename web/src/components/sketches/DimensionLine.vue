<script setup lang="ts">
import { computed } from 'vue';

/** A dimension as on a drawing: a thin line with ticks at its ends, and its text beside the middle. */
const { from, to, text } = defineProps<{
  from: readonly [number, number];
  to: readonly [number, number];
  text: string;
}>();

const along = computed(() => {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  return { nx: (-dy / length) * 3, ny: (dx / length) * 3, upright: Math.abs(dy) > Math.abs(dx) };
});
const tick = (at: readonly [number, number]) =>
  `M${at[0] - along.value.nx} ${at[1] - along.value.ny}L${at[0] + along.value.nx} ${at[1] + along.value.ny}`;
</script>

<template>
  <g stroke="var(--second)" stroke-width="1">
    <path :d="`M${from[0]} ${from[1]}L${to[0]} ${to[1]}${tick(from)}${tick(to)}`" />
    <text
      :x="(from[0] + to[0]) / 2 + (along.upright ? 5 : 0)"
      :y="(from[1] + to[1]) / 2 + (along.upright ? 4 : -4)"
      :text-anchor="along.upright ? 'start' : 'middle'"
      class="figures"
      font-size="11"
      fill="var(--ink)"
      stroke="var(--sheet)"
      stroke-width="3"
      paint-order="stroke"
    >
      {{ text }}
    </text>
  </g>
</template>
