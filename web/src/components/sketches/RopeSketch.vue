<script setup lang="ts">
import { layersOnDrum } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { roundLength, useFigureDrag } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DimensionLine from './DimensionLine.vue';
import DragHandle from './DragHandle.vue';
import { lengthAt, shareOf } from './span.js';

/** Drum, rope and load: how far it goes is dragged, and the drum fills with what it winds up. */
const { path } = useMechanism();
const { show } = useDisplay();

const BOTTOM = 122;
const ROOM = 84;
const MIDDLE = 1;

const figure = (key: string) => path.value.figures[key]?.value;
const distance = useFigureDrag('job.distance', roundLength);
const far = computed(() => figure('job.distance') ?? 0);
const top = computed(() => BOTTOM - ROOM * shareOf(far.value, MIDDLE));
const down = computed(() => path.value.job.kind === 'raise' && path.value.job.direction === 'down');
const drum = computed(() => 9 + 10 * shareOf(figure('output.drumRadius') ?? 0, 0.03));
const layers = computed(() => {
  const [radius, rope, width] = ['drumRadius', 'ropeDiameter', 'drumWidth'].map((key) => figure(`output.${key}`) ?? 0);
  const wound = far.value / (figure('output.loadPerRope') ?? 1);
  return rope! > 0 && radius! > 0 ? layersOnDrum(radius!, rope!, width!, wound) : 1;
});
const rings = computed(() => Array.from({ length: Math.min(5, layers.value) }, (_, i) => drum.value + 2.5 * (i + 1)));
const mass = computed(() => figure('job.mass'));
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <path d="M20 16H130" stroke="var(--line)" />
    <circle cx="105" cy="16" r="7" fill="var(--sheet)" />
    <circle cx="44" cy="100" :r="drum" fill="var(--sheet)" />
    <circle v-for="ring in rings" :key="ring" cx="44" cy="100" :r="ring" stroke="var(--second)" stroke-width="1.2" />
    <circle cx="44" cy="100" r="2" fill="var(--ink)" />
    <path :d="`M${44 + drum} 98L98 16M112 16V${top - 12}`" />
    <rect x="90" :y="top - 12" width="44" height="20" fill="var(--sheet)" />
    <path :d="`M84 ${BOTTOM + 8}h56`" stroke="var(--line)" />
    <path :d="down ? `M112 ${top + 12}v12m-4-5l4 5 4-5` : `M112 ${top + 26}v-12m-4 5l4-5 4 5`" stroke="var(--act)" />
    <DimensionLine :from="[144, top + 8]" :to="[144, BOTTOM + 8]" :text="show(far, 'length')" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="110" :y="top + 2" text-anchor="middle">{{ mass === undefined ? '?' : show(mass, 'mass', 2) }}</text>
      <text x="4" y="134">⌀ {{ show(2 * (figure('output.drumRadius') ?? 0), 'length') }}</text>
      <text v-if="layers > 1" x="72" y="134" fill="var(--second)">{{ layers }} layers</text>
    </g>
    <DragHandle
      :x="136"
      :y="top - 2"
      label="How far"
      :text="show(far, 'length')"
      :value="far"
      :least="0.01"
      :most="30"
      @begin="distance.begin()"
      @drag="distance.preview(lengthAt((BOTTOM - $event.y - 2) / ROOM, MIDDLE))"
      @end="distance.end()"
      @step="distance.set(Math.max(0.01, far + 0.01 * $event))"
    />
  </g>
</template>
