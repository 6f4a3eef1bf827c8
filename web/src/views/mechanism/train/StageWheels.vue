<script setup lang="ts">
import { runPathOf, type LaidWheel, type StageParts } from '@rough-gear/core';
import { computed } from 'vue';
import { circlePath, wheelOutline } from './wheelOutline.js';

/** One stage drawn to scale: both wheels, and the chain or belt round them. `scale` is pixels to the metre. */
const { parts, scale, height } = defineProps<{ parts: StageParts; scale: number; height: number }>();

/** Without a pitch there is no size: then the teeth alone tell the proportions. */
const unit = computed(() => ('driver' in parts && Number.isNaN(parts.driverRadius) ? 0.0005 : undefined));
const radii = computed(() => {
  if (!('driver' in parts)) return { driver: parts.across / 2, driven: 0 };
  return unit.value
    ? { driver: unit.value * parts.driver, driven: unit.value * parts.driven }
    : { driver: parts.driverRadius, driven: parts.drivenRadius };
});
const centre = computed(() => {
  const { driver, driven } = radii.value;
  if (!('driver' in parts)) return 0;
  return Number.isNaN(parts.centre) ? driver + driven : parts.centre;
});
const addendum = computed(() => {
  if (!('driver' in parts)) return 0;
  const share = { teeth: 1, chain: 0.35, belt: 0.2 }[parts.kind];
  return share * (unit.value ? 2 * unit.value : parts.pitch);
});

const PAD = 3;
const px = (metres: number) => metres * scale;
const width = computed(() =>
  'driver' in parts
    ? px(centre.value + radii.value.driver + radii.value.driven + 2 * addendum.value) + 2 * PAD
    : Math.max(40, 2 * px(radii.value.driver)) + 2 * PAD,
);
const left = computed(() => PAD + px(radii.value.driver + addendum.value));
const right = computed(() => left.value + px(centre.value));
const middle = computed(() => height / 2);

const wheels = computed(() => {
  if (!('driver' in parts)) return '';
  const outline = (x: number, teeth: number, radius: number) =>
    wheelOutline(x, middle.value, teeth, px(radius), px(addendum.value));
  const idler =
    parts.kind === 'teeth' && parts.idler
      ? outline(
          left.value + px(radii.value.driver + (parts.idler * parts.pitch) / 2),
          parts.idler,
          (parts.idler * parts.pitch) / 2,
        )
      : '';
  return (
    outline(left.value, parts.driver, radii.value.driver) +
    idler +
    outline(right.value, parts.driven, radii.value.driven)
  );
});

/** The run round both, by the same geometry as the layout's. */
const run = computed(() => {
  if ((parts.kind !== 'chain' && parts.kind !== 'belt') || unit.value || Number.isNaN(parts.centre)) return '';
  const wheel = (role: 'driver' | 'driven', x: number, radius: number): LaidWheel => ({
    stage: parts.id,
    role,
    shaft: 0,
    x,
    y: 0,
    plane: 1,
    radius,
    tip: radius,
  });
  const layout = {
    wheels: [wheel('driver', 0, parts.driverRadius), wheel('driven', parts.centre, parts.drivenRadius)],
    shafts: [],
  };
  const found = runPathOf(parts, layout);
  if (!found) return '';
  const at = ({ x, y }: { x: number; y: number }) => `${left.value + px(x)} ${middle.value - px(y)}`;
  return found.path.strands.map(({ from, to }) => `M${at(from)}L${at(to)}`).join('');
});
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true" class="block max-w-full">
    <template v-if="'driver' in parts">
      <path :d="wheels" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" stroke-linejoin="round" />
      <path
        v-if="run"
        :d="run"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="parts.kind === 'belt' ? 3 : 2.5"
        :stroke-dasharray="parts.kind === 'chain' ? '5 1.5' : undefined"
      />
      <path
        :d="circlePath(left, middle, 3) + circlePath(right, middle, 3)"
        fill="var(--ground)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
    </template>
    <template v-else>
      <rect
        :x="PAD"
        :y="middle - 22"
        :width="Math.max(40, 2 * px(radii.driver))"
        height="44"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <path :d="circlePath(PAD + Math.max(20, px(radii.driver)), middle, 12)" fill="none" stroke="var(--ink)" />
      <path
        :d="circlePath(PAD + Math.max(20, px(radii.driver)), middle, 4)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
    </template>
  </svg>
</template>
