<script setup lang="ts">
import { STAGE_NAMES, type Layout, type LaidWheel } from '@rough-gear/core';
import { computed } from 'vue';
import CountField from '../../../components/fields/CountField.vue';
import { useTrain } from './useTrain.js';

/** The train from the side: which plane each stage's wheels turn in, and how far the shafts reach. */
const { layout } = defineProps<{ layout: Layout }>();
const { stages, path, set } = useTrain();

const HEIGHT = 330;
const PLANE = 78;
const LEFT = 60;

const planes = computed(() => Math.max(...layout.wheels.map(({ plane }) => plane), 1));
const width = computed(() => LEFT + planes.value * PLANE + 50);
const extent = computed(() => {
  const tops = layout.wheels.map(({ y, tip }) => y + tip);
  const bottoms = layout.wheels.map(({ y, tip }) => y - tip);
  const [top, bottom] = [Math.max(...tops), Math.min(...bottoms)];
  return { top, scale: (HEIGHT - 40) / Math.max(0.02, top - bottom) };
});
const Y = (y: number) => 20 + (extent.value.top - y) * extent.value.scale;
const planeX = (plane: number) => LEFT + (plane - 0.5) * PLANE;
/** Width of the teeth at the drawing's scale, seen but not larger than its plane. */
function faceOf({ stage }: LaidWheel): number {
  const parts = path.value.stageParts.find(({ id }) => id === stage)!;
  const face =
    parts.kind === 'teeth'
      ? parts.face
      : parts.kind === 'belt'
        ? parts.width * parts.belts
        : 'plate' in parts
          ? parts.plate
          : 0.04;
  return Math.min(PLANE - 14, Math.max(5, face * extent.value.scale));
}
</script>

<template>
  <div>
    <svg
      class="squared h-[330px] w-full border border-hair"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="img"
      aria-label="Side view of the train: wheels by their planes"
      data-testid="side-view"
    >
      <g v-for="plane in planes" :key="plane">
        <path :d="`M${planeX(plane)} 8V${HEIGHT - 18}`" stroke="var(--hair)" stroke-dasharray="2 4" />
        <text :x="planeX(plane)" :y="HEIGHT - 5" text-anchor="middle" font-size="11" fill="var(--second)">
          plane {{ plane }}
        </text>
      </g>
      <rect :x="8" :y="Y(0) - 16" width="40" height="32" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
      <text x="28" :y="Y(0) + 4" text-anchor="middle" font-size="11" fill="var(--ink)">motor</text>
      <path
        v-for="(shaft, i) in layout.shafts"
        :key="i"
        :d="`M${i === 0 ? 48 : planeX(shaft.from) - 22} ${Y(shaft.y)}H${i === layout.shafts.length - 1 ? planeX(shaft.to) + 44 : planeX(shaft.to) + 22}`"
        stroke="var(--ink)"
        :stroke-width="Math.max(2.5, 2 * shaft.radius * extent.scale)"
      />
      <rect
        v-for="wheel in layout.wheels"
        :key="`${wheel.stage}-${wheel.role}`"
        :x="planeX(wheel.plane) - faceOf(wheel) / 2"
        :y="Y(wheel.y + wheel.tip)"
        :width="faceOf(wheel)"
        :height="2 * wheel.tip * extent.scale"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
    </svg>
    <div class="mt-1 grid grid-cols-2 gap-x-4 sm:grid-cols-4">
      <CountField
        v-for="(stage, i) in stages"
        :key="stage.id"
        :value="stage.plane ?? i + 1"
        :label="`plane of ${i + 1}, ${STAGE_NAMES[stage.kind].toLowerCase()}`"
        :most="9"
        @change="set({ plane: $event }, i)"
      />
    </div>
  </div>
</template>
