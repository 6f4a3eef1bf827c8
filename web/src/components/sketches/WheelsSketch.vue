<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DimensionLine from './DimensionLine.vue';
import { shareOf } from './span.js';

/** The robot on its wheels, on the slope of the job, with what it pushes against. */
const { path } = useMechanism();
const { show } = useDisplay();

const figure = (key: string) => path.value.figures[key]?.value;
const pushes = computed(() => path.value.job.kind === 'push');
const tilt = computed(() => -((figure('job.slope') ?? 0) * 180) / Math.PI);
const wheel = computed(() => 8 + 12 * shareOf(figure('output.wheelRadius') ?? 0, 0.08));
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <g :transform="`rotate(${tilt} 96 104)`">
      <path d="M6 112H186" stroke="var(--line)" />
      <g transform="translate(52 0)">
        <rect x="0" :y="112 - wheel - 34" width="76" height="34" fill="var(--sheet)" />
        <circle v-for="x in [16, 60]" :key="x" :cx="x" :cy="112 - wheel" :r="wheel" fill="var(--sheet)" />
        <circle v-for="x in [16, 60]" :key="`hub${x}`" :cx="x" :cy="112 - wheel" r="2" fill="var(--ink)" />
        <text
          x="38"
          :y="112 - wheel - 20"
          text-anchor="middle"
          class="figures"
          font-size="11"
          fill="var(--ink)"
          stroke="none"
        >
          {{ figure('output.mass') === undefined ? '?' : show(figure('output.mass')!, 'mass') }}
        </text>
      </g>
      <g v-if="pushes">
        <path d="M152 64v48M152 70l8-6M152 82l8-6M152 94l8-6M152 106l8-6" />
        <path d="M132 84h16m-5-4l5 4-5 4" stroke="var(--act)" />
      </g>
      <path v-else d="M136 84h26m-5-4l5 4-5 4" stroke="var(--act)" />
    </g>
    <DimensionLine
      v-if="!pushes"
      :from="[14, 28]"
      :to="[178, 28]"
      :text="figure('job.distance') === undefined ? '?' : show(figure('job.distance')!, 'length')"
    />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text v-if="pushes" x="96" y="24" text-anchor="middle">
        push {{ figure('job.push') === undefined ? '?' : show(figure('job.push')!, 'force') }}
      </text>
      <text x="4" y="134">⌀ {{ show(2 * (figure('output.wheelRadius') ?? 0), 'length') }}</text>
      <text v-if="tilt !== 0" x="186" y="134" text-anchor="end">{{ show(figure('job.slope')!, 'angle') }}</text>
    </g>
  </g>
</template>
