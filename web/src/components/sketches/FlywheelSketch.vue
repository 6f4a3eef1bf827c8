<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import { shareOf } from './span.js';

/** Wheel and hood, or two wheels, and the piece on its way out. */
const { path, choice } = useMechanism();
const { show } = useDisplay();

const figure = (key: string) => path.value.figures[key]?.value;
const two = computed(() => choice.value.output.kind === 'flywheel' && choice.value.output.wheels === 'two');
const wheel = computed(() => 16 + 22 * shareOf(figure('output.flywheelRadius') ?? 0, 0.06));
const say = (key: string, dimension: 'velocity' | 'mass' | 'length' | 'time') => {
  const value = figure(key);
  return value === undefined ? '?' : show(value, dimension);
};
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <template v-if="two">
      <circle cx="78" :cy="68 - wheel - 9" :r="wheel" fill="var(--sheet)" />
      <circle cx="78" :cy="68 + wheel + 9" :r="wheel" fill="var(--sheet)" />
      <circle v-for="y in [68 - wheel - 9, 68 + wheel + 9]" :key="y" cx="78" :cy="y" r="2" fill="var(--ink)" />
    </template>
    <template v-else>
      <circle cx="78" cy="86" :r="wheel" fill="var(--sheet)" />
      <circle cx="78" cy="86" r="2" fill="var(--ink)" />
      <path :d="`M${78 - wheel - 20} 86A${wheel + 20} ${wheel + 20} 0 0 1 78 ${66 - wheel}h40`" stroke-width="2.5" />
    </template>
    <circle :cx="two ? 104 : 112" :cy="two ? 68 : 76 - wheel" r="9" fill="var(--sheet)" />
    <path :d="`M${two ? 118 : 126} ${two ? 68 : 76 - wheel}h34m-6-4l6 4-6 4`" stroke="var(--act)" />
    <path
      :d="`M${78 - wheel * 0.6} ${two ? 68 + wheel + 9 : 86}a${wheel * 0.6} ${wheel * 0.6} 0 0 1 ${wheel * 0.6} ${-wheel * 0.6}m-5-2l5 2-3 5`"
      stroke="var(--second)"
    />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="186" :y="two ? 56 : 64 - wheel" text-anchor="end">{{ say('job.exitSpeed', 'velocity') }}</text>
      <text x="186" :y="two ? 88 : 98 - wheel" text-anchor="end">{{ say('job.pieceMass', 'mass') }}</text>
      <text x="4" y="134">⌀ {{ show(2 * (figure('output.flywheelRadius') ?? 0), 'length') }}</text>
      <text x="186" y="134" text-anchor="end">every {{ say('job.every', 'time') }}</text>
    </g>
  </g>
</template>
