<script setup lang="ts">
import { STAGE_NAMES, type Layout, type LaidWheel } from '@rough-gear/core';
import { computed } from 'vue';
import CountField from '../../../components/fields/CountField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useTrain } from './useTrain.js';
import WormCrossed from './WormCrossed.vue';

/**
 * The train from the side: which plane each stage's wheels turn in, and how far the shafts reach. Unfolded, all shafts are
 * turned into one plane, so that each pair of wheels is seen side by side at its true distance.
 */
const { layout, unfolded } = defineProps<{ layout: Layout; unfolded: boolean }>();
const { stages, path, set } = useTrain();
const { show } = useDisplay();

const HEIGHT = 330;
const PLANE = 78;
const LEFT = 60;

const worms = computed(() => layout.wheels.filter((wheel) => partsOf(wheel).kind === 'worm'));
const teethOf = (wheel: LaidWheel): string => {
  const parts = partsOf(wheel);
  return 'driver' in parts ? `${wheel.role === 'driver' ? parts.driver : parts.driven}` : '';
};
const widths = computed(() =>
  layout.wheels
    .filter(({ role }) => role === 'driven' || role === 'case')
    .map((wheel) => `${partsOf(wheel).index + 1}: ${show(widthOf(wheel), 'length', 3)}`)
    .join(', '),
);
const planes = computed(() => Math.max(...layout.wheels.map(({ plane }) => plane), 1));
const width = computed(() => LEFT + planes.value * PLANE + 50);
/** How high each shaft lies: as built, or one under the other by the distances of their stages. */
const shaftHeights = computed(() => {
  if (!unfolded) return layout.shafts.map(({ y }) => y);
  const heights = [0];
  path.value.stageParts.forEach(({ centre }) => heights.push(heights.at(-1)! - centre));
  return heights;
});
/** An idler has a pin of its own: as far from the driver as their radii. */
function heightOf({ shaft, stage, role, y, radius }: LaidWheel): number {
  if (!unfolded) return y;
  if (role !== 'idler') return shaftHeights.value[shaft]!;
  const parts = path.value.stageParts.find(({ id }) => id === stage)!;
  return shaftHeights.value[parts.index]! - parts.driverRadius - radius;
}
const extent = computed(() => {
  const tops = layout.wheels.map((wheel) => heightOf(wheel) + wheel.tip);
  const bottoms = layout.wheels.map((wheel) => heightOf(wheel) - wheel.tip);
  const [top, bottom] = [Math.max(...tops), Math.min(...bottoms)];
  return { top, scale: (HEIGHT - 40) / Math.max(0.02, top - bottom) };
});
const Y = (y: number) => 20 + (extent.value.top - y) * extent.value.scale;
const planeX = (plane: number) => LEFT + (plane - 0.5) * PLANE;
const partsOf = ({ stage }: LaidWheel) => path.value.stageParts.find(({ id }) => id === stage)!;
/** Width of the teeth, m; of a gearbox the room it usually takes. */
function widthOf(wheel: LaidWheel): number {
  const parts = partsOf(wheel);
  if (parts.kind === 'teeth') return parts.face;
  if (parts.kind === 'belt') return parts.width * parts.belts;
  return 'plate' in parts ? parts.plate : 0.04;
}
/** At the drawing's scale, seen but not larger than its plane. */
const faceOf = (wheel: LaidWheel): number => Math.min(PLANE - 14, Math.max(5, widthOf(wheel) * extent.value.scale));

const ends = (shaft: Layout['shafts'][number], i: number) => ({
  from: i === 0 ? 48 : planeX(shaft.from) - (unfolded ? 32 : 22),
  to: planeX(shaft.to) + (i === layout.shafts.length - 1 ? 44 : unfolded ? 32 : 22),
});
/** A bearing at both ends of every shaft but the motor's: a box with a cross. */
const bearings = computed(() =>
  layout.shafts.flatMap((shaft, i) => {
    if (i === 0 || !unfolded) return [];
    const half = Math.max(6, (shaft.bearing / 2) * extent.value.scale);
    const y = Y(shaftHeights.value[i]!);
    const { from, to } = ends(shaft, i);
    return [from + 5, i === layout.shafts.length - 1 ? to - 14 : to - 5].map((x) => ({ x, y, half }));
  }),
);
</script>

<template>
  <div>
    <svg
      class="squared h-[330px] w-full border border-hair"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="img"
      :aria-label="
        unfolded
          ? 'The train unfolded: each pair of wheels side by side'
          : 'Side view of the train: wheels by their planes'
      "
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
        :d="`M${ends(shaft, i).from} ${Y(shaftHeights[i]!)}H${ends(shaft, i).to}`"
        stroke="var(--ink)"
        :stroke-width="Math.max(2.5, 2 * shaft.radius * extent.scale)"
      />
      <rect
        v-for="wheel in layout.wheels"
        :key="`${wheel.stage}-${wheel.role}`"
        :x="planeX(wheel.plane) - faceOf(wheel) / 2"
        :y="Y(heightOf(wheel) + wheel.tip)"
        :width="faceOf(wheel)"
        :height="2 * wheel.tip * extent.scale"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <path
        v-for="({ x, y, half }, i) in bearings"
        :key="`bearing-${i}`"
        :d="`M${x - 4} ${y - half}h8v${2 * half}h-8zl8 ${2 * half}m0 ${-2 * half}l-8 ${2 * half}`"
        fill="none"
        stroke="var(--second)"
      />
      <WormCrossed
        v-for="wheel in worms"
        :key="`worm-${wheel.stage}`"
        view="side"
        :x="planeX(wheel.plane)"
        :y="Y(heightOf(wheel))"
        :across="2 * wheel.tip * extent.scale"
      />
      <g v-if="unfolded" class="figures" font-size="10" fill="var(--second)">
        <text
          v-for="wheel in layout.wheels.filter(({ role }) => role === 'driven' || role === 'driver')"
          :key="`width-${wheel.stage}-${wheel.role}`"
          class="halo"
          :x="planeX(wheel.plane) + faceOf(wheel) / 2 + 3"
          :y="Y(heightOf(wheel)) - 5"
        >
          {{ teethOf(wheel) }}
        </text>
      </g>
    </svg>
    <p v-if="unfolded" class="text-xs text-second" data-testid="unfolded-widths">
      All shafts turned into one plane. Widths: {{ widths }}. Bearings as they are usual for their shafts.
    </p>
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

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
