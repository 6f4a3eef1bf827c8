<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { shareOf } from './span.js';

/** Two fingers and what they hold: longer fingers and wider opening as they are typed. */
const { path } = useMechanism();
const { show } = useDisplay();

const figure = (key: string) => path.value.figures[key]?.value;
const length = computed(() => 34 + 62 * shareOf(figure('output.fingerLength') ?? 0, 0.12));
const open = computed(() => Math.min(50, (((figure('job.angle') ?? 0) * 180) / Math.PI) * 0.5));
const say = (key: string, dimension: 'mass' | 'force' | 'length' | 'angle') => {
  const value = figure(key);
  return value === undefined ? '?' : show(value, dimension);
};
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <rect x="12" y="52" width="26" height="32" fill="var(--sheet)" />
    <g v-for="side in [-1, 1]" :key="side">
      <path
        :d="`M36 ${68 + side * 10}l${length * 0.4} ${side * 16}l${length * 0.6} ${-side * 6}`"
        stroke-width="4"
        stroke-linejoin="round"
      />
      <path
        :d="`M36 ${68 + side * 10}l${length * 0.4} ${side * 16}l${length * 0.6} ${-side * 6}`"
        stroke-dasharray="4 3"
        :transform="`rotate(${side * open * 0.5} 36 ${68 + side * 10})`"
      />
      <path
        :d="`M${36 + length - 6} ${68 + side * 40}v${-side * 14}m-4 ${side * 5}l4 ${-side * 5} 4 ${side * 5}`"
        stroke="var(--act)"
      />
    </g>
    <circle :cx="36 + length - 8" cy="68" r="21" fill="var(--sheet)" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text :x="36 + length - 8" y="72" text-anchor="middle">{{ say('job.gripMass', 'mass') }}</text>
      <text x="186" y="22" text-anchor="end">{{ say('job.gripForce', 'force') }} each</text>
      <text x="4" y="134">fingers {{ say('output.fingerLength', 'length') }}</text>
      <text x="186" y="134" text-anchor="end">{{ say('job.angle', 'angle') }}</text>
    </g>
  </g>
</template>
