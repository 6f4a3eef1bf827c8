<script setup lang="ts">
import { fourBarAt, pushRodAt } from '@rough-gear/core';
import { computed } from 'vue';
import DragHandle from './DragHandle.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { roundLength, useFigureDrag, wholeDegrees } from '../../composables/useFigureDrag.js';
import { useServoMechanism } from '../../composables/useMechanism.js';

/** The linkage at the start and at the end of its way. The horn's start and the horn itself are dragged. */
const { path } = useServoMechanism();
const { show } = useDisplay();

const [WIDTH, HEIGHT] = [230, 150];
const DEGREE = Math.PI / 180;
const start = useFigureDrag('linkage.start', wholeDegrees);
const horn = useFigureDrag('linkage.horn', roundLength);
const rod = useFigureDrag('linkage.rod', roundLength);

const linkage = computed(() => path.value.linkage);
const numbers = computed(() =>
  Object.values(linkage.value).every((value) => typeof value !== 'number' || Number.isFinite(value)),
);
/** The horn's joint and what it moves, in metres, for an angle of the horn. */
function joints(angle: number) {
  const one = linkage.value;
  if (one.kind === 'four-bar') return fourBarAt(one, angle);
  if (one.kind === 'push-rod') {
    const at = pushRodAt(one, angle);
    return at && { horn: at.horn, lever: { x: at.place, y: one.offset } };
  }
  return undefined;
}
const first = computed(() => (numbers.value && path.value.linked ? joints(path.value.linked.from) : undefined));
const last = computed(() => (numbers.value && path.value.linked ? joints(path.value.linked.to) : undefined));
const ground = computed(() => (linkage.value.kind === 'four-bar' ? { x: linkage.value.ground, y: 0 } : undefined));

/** From metres to the drawing: all of it in, the axle of the horn at the left. */
const view = computed(() => {
  const points = [
    { x: 0, y: 0 },
    ground.value,
    first.value?.horn,
    first.value?.lever,
    last.value?.horn,
    last.value?.lever,
  ].filter((point) => point !== undefined);
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((WIDTH - 56) / Math.max(right - left, 1e-6), (HEIGHT - 56) / Math.max(high - low, 1e-6));
  return {
    scale,
    x: (WIDTH - scale * (left + right)) / 2,
    y: (HEIGHT + scale * (low + high)) / 2,
  };
});
const at = ({ x, y }: { x: number; y: number }) => ({
  x: view.value.x + view.value.scale * x,
  y: view.value.y - view.value.scale * y,
});
const line = (...points: readonly { x: number; y: number }[]) =>
  points
    .map(at)
    .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('');
const metres = (place: { x: number; y: number }) => ({
  x: (place.x - view.value.x) / view.value.scale,
  y: (view.value.y - place.y) / view.value.scale,
});
const figure = (key: string): number => path.value.figures[key]?.value ?? 0;
const origin = computed(() => at({ x: 0, y: 0 }));

// The view stands still while something is dragged in it.
let held: typeof view.value | undefined;
function hold(): void {
  held = view.value;
}
const inHeld = (place: { x: number; y: number }) => {
  const { scale, x, y } = held ?? view.value;
  return { x: (place.x - x) / scale, y: (y - place.y) / scale };
};
function dragHorn(place: { x: number; y: number }): void {
  const { x, y } = inHeld(place);
  start.preview(Math.atan2(y, x));
}
function dragRod(place: { x: number; y: number }): void {
  const joint = first.value?.horn;
  if (!joint) return;
  const { x, y } = metres(place);
  rod.preview(Math.max(0.005, Math.hypot(x - joint.x, y - joint.y)));
}
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <template v-if="first">
      <g v-if="last" stroke-dasharray="4 3" opacity="0.7">
        <path :d="line({ x: 0, y: 0 }, last.horn, last.lever)" />
        <path v-if="ground" :d="line(last.lever, ground)" />
      </g>
      <path v-if="ground" :d="line({ x: 0, y: 0 }, ground)" stroke="var(--second)" stroke-width="1" />
      <path
        v-else
        :d="line({ x: 0, y: figure('linkage.offset') }, first.lever, { x: first.lever.x + 0.01, y: first.lever.y })"
        stroke="var(--second)"
        stroke-width="1"
      />
      <path :d="line({ x: 0, y: 0 }, first.horn)" stroke-width="4" stroke-linecap="round" />
      <path :d="line(first.horn, first.lever)" />
      <path v-if="ground" :d="line(first.lever, ground)" stroke-width="4" stroke-linecap="round" stroke="var(--act)" />
      <circle :cx="origin.x" :cy="origin.y" r="5" fill="var(--sheet)" />
      <circle v-if="ground" :cx="at(ground).x" :cy="at(ground).y" r="5" fill="var(--sheet)" />
      <g class="figures" font-size="10" fill="var(--ink)" stroke="none">
        <text x="4" y="12">horn {{ show(figure('linkage.horn'), 'length') }}</text>
        <text :x="WIDTH - 4" y="12" text-anchor="end">rod {{ show(figure('linkage.rod'), 'length') }}</text>
        <text x="4" :y="HEIGHT - 5" data-testid="horn-start">from {{ show(figure('linkage.start'), 'angle') }}</text>
        <text v-if="path.linked" :x="WIDTH - 4" :y="HEIGHT - 5" text-anchor="end">
          to {{ show(path.linked.to, 'angle') }}
        </text>
      </g>
      <DragHandle
        :x="at(first.horn).x"
        :y="at(first.horn).y"
        label="Horn starts at"
        :text="show(figure('linkage.start'), 'angle')"
        :value="figure('linkage.start') / DEGREE"
        :least="-360"
        :most="360"
        @begin="(hold(), start.begin())"
        @drag="dragHorn($event)"
        @end="start.end()"
        @step="start.set(figure('linkage.start') + $event * DEGREE)"
      />
      <DragHandle
        :x="at(first.lever).x"
        :y="at(first.lever).y"
        label="Rod"
        :text="show(figure('linkage.rod'), 'length')"
        :value="1000 * figure('linkage.rod')"
        :least="5"
        :most="1000"
        @begin="(hold(), rod.begin())"
        @drag="dragRod($event)"
        @end="rod.end()"
        @step="rod.set(figure('linkage.rod') + $event * 0.001)"
      />
      <DragHandle
        :x="(at(first.horn).x + origin.x) / 2"
        :y="(at(first.horn).y + origin.y) / 2"
        label="Length of the horn"
        :text="show(figure('linkage.horn'), 'length')"
        :value="1000 * figure('linkage.horn')"
        :least="5"
        :most="300"
        @begin="(hold(), horn.begin())"
        @drag="horn.preview(Math.max(0.005, 2 * Math.hypot(inHeld($event).x, inHeld($event).y)))"
        @end="horn.end()"
        @step="horn.set(figure('linkage.horn') + $event * 0.001)"
      />
    </template>
    <text v-else :x="WIDTH / 2" :y="HEIGHT / 2" text-anchor="middle" font-size="12" fill="var(--second)" stroke="none">
      {{ numbers ? 'the parts do not reach each other' : 'a length is missing' }}
    </text>
  </g>
</template>
