<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { roundLength, useFigureDrag } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DimensionLine from './DimensionLine.vue';
import DragHandle from './DragHandle.vue';
import { lengthAt, shareOf } from './span.js';

/** Nut and carriage on the screw: how far is dragged, the slope tilts it. */
const { path } = useMechanism();
const { show } = useDisplay();

const LEFT = 44;
const ROOM = 128;
const MIDDLE = 0.4;

const figure = (key: string) => path.value.figures[key]?.value;
const distance = useFigureDrag('job.distance', roundLength);
const far = computed(() => figure('job.distance') ?? 0);
const right = computed(() => LEFT + ROOM * shareOf(far.value, MIDDLE));
const thick = computed(() => 3 + 9 * shareOf(figure('output.screwDiameter') ?? 0, 0.01));
const threads = computed(() =>
  Array.from({ length: 22 }, (_, i) => `M${24 + i * 7} ${84 - thick.value}l3 ${2 * thick.value}`).join(''),
);
const tilt = computed(() => -((figure('job.slope') ?? 0) * 180) / Math.PI);
const mass = computed(() => figure('job.mass'));
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <g :transform="`rotate(${Math.max(-24, Math.min(24, tilt))} 96 84)`">
      <path :d="threads" stroke="var(--second)" stroke-width="1.2" />
      <path :d="`M18 ${84 - thick}H182M18 ${84 + thick}H182`" />
      <path d="M14 68v32M186 68v32" stroke-width="3" />
      <rect :x="LEFT - 20" y="44" width="40" height="56" fill="var(--sheet)" />
      <rect :x="right - 20" y="44" width="40" height="56" stroke-dasharray="4 3" />
      <text :x="LEFT" y="64" text-anchor="middle" class="figures" font-size="11" fill="var(--ink)" stroke="none">
        {{ mass === undefined ? '?' : show(mass, 'mass', 2) }}
      </text>
      <DragHandle
        :x="right"
        :y="44"
        label="How far"
        :text="show(far, 'length')"
        :value="far"
        :least="0.005"
        :most="10"
        @begin="distance.begin()"
        @drag="distance.preview(lengthAt(($event.x - LEFT) / ROOM, MIDDLE))"
        @end="distance.end()"
        @step="distance.set(Math.max(0.005, far + 0.005 * $event))"
      />
    </g>
    <DimensionLine :from="[LEFT, 22]" :to="[right, 22]" :text="show(far, 'length')" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="4" y="134"
        >root ⌀
        {{ figure('output.screwDiameter') === undefined ? '?' : show(figure('output.screwDiameter')!, 'length') }}</text
      >
      <text v-if="tilt !== 0" x="186" y="134" text-anchor="end">{{ show(figure('job.slope')!, 'angle') }}</text>
    </g>
  </g>
</template>
