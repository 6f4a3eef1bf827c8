<script setup lang="ts">
import { boundsOf, snapShaft, type Gap, type Layout, type Shape } from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import DimensionLine from '../../../components/sketches/DimensionLine.vue';
import DragHandle from '../../../components/sketches/DragHandle.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { usePlan } from '../../../stores/plan.js';
import { useTrain } from './useTrain.js';
import WormCrossed from './WormCrossed.vue';
import { circlePath, wheelOutline } from './wheelOutline.js';

/** The train seen along its shafts, to scale on squared paper. */
const { layout, shapes, gaps } = defineProps<{ layout: Layout; shapes: readonly Shape[]; gaps: readonly Gap[] }>();
const { path, stage, stageAt, beltsFor } = useTrain();
const plan = usePlan();
const { show } = useDisplay();

const paper = ref<SVGSVGElement>();
const size = useElementSize(paper);
/** Pixels are the drawing's own unit, so that lines and letters keep their size. */
const WIDTH = computed(() => Math.max(280, size.width.value));
const HEIGHT = computed(() => Math.max(240, size.height.value));
const MARGIN = 46;

const scale = computed(() => {
  const box = boundsOf(shapes);
  return Math.min((WIDTH.value - 2 * MARGIN) / box.width, (HEIGHT.value - 2 * MARGIN) / box.height);
});
const origin = computed(() => {
  const box = boundsOf(shapes);
  return {
    x: WIDTH.value / 2 - (box.x + box.width / 2) * scale.value,
    y: HEIGHT.value / 2 + (box.y + box.height / 2) * scale.value,
  };
});
const X = (x: number) => origin.value.x + x * scale.value;
const Y = (y: number) => origin.value.y - y * scale.value;

const partsOf = (id: string) => path.value.stageParts.find((parts) => parts.id === id)!;

/** Gears show their teeth; what a chain or belt runs over shows as circles, so that the run stays readable. */
function outlineOf(wheel: Layout['wheels'][number]): string {
  const parts = partsOf(wheel.stage);
  const [x, y] = [X(wheel.x), Y(wheel.y)];
  if (parts.kind !== 'teeth') return circlePath(x, y, wheel.tip * scale.value);
  const teeth = wheel.role === 'driver' ? parts.driver : wheel.role === 'driven' ? parts.driven : parts.idler!;
  return wheelOutline(x, y, teeth, wheel.radius * scale.value, (wheel.tip - wheel.radius) * scale.value);
}

const runPath = computed(() =>
  shapes
    .filter(({ layer }) => layer === 'CHAIN_BELT')
    .map((shape) => {
      if (shape.kind === 'line') return `M${X(shape.x1)} ${Y(shape.y1)}L${X(shape.x2)} ${Y(shape.y2)}`;
      if (shape.kind === 'circle') return '';
      const at = (angle: number) =>
        `${X(shape.x + shape.radius * Math.cos(angle))} ${Y(shape.y + shape.radius * Math.sin(angle))}`;
      const radius = shape.radius * scale.value;
      return `M${at(shape.from)}A${radius} ${radius} 0 ${shape.to - shape.from > Math.PI ? 1 : 0} 0 ${at(shape.to)}`;
    })
    .join(''),
);

/** Each shaft behind a stage that has a distance can be moved. */
const movable = computed(() =>
  path.value.stageParts.flatMap((parts) => {
    const [from, to] = [layout.shafts[parts.index]!, layout.shafts[parts.index + 1]!];
    return parts.centre > 0 ? [{ parts, from, to }] : [];
  }),
);
type Movable = (typeof movable.value)[number];

/** Distances stand beside the wheels, clear of them, with thin lines from the centres they measure. */
const dimensions = computed(() =>
  movable.value.map(({ parts, from: a, to: b }) => {
    const [dx, dy] = [X(b.x) - X(a.x), Y(b.y) - Y(a.y)];
    const length = Math.hypot(dx, dy) || 1;
    const widest = Math.max(
      ...layout.wheels.filter((wheel) => wheel.stage === parts.id).map(({ tip }) => tip * scale.value),
    );
    // To the right of the way down, above the way across: where letters have room.
    const side = Math.abs(dy) > Math.abs(dx) ? (dy < 0 ? 1 : -1) : dx > 0 ? -1 : 1;
    const off = (widest + 14) * side;
    const [nx, ny] = [(-dy / length) * off, (dx / length) * off];
    const at = (x: number, y: number) => [X(x) + nx, Y(y) + ny] as const;
    const [from, to] = [at(a.x, a.y), at(b.x, b.y)];
    return {
      id: parts.id,
      from,
      to,
      extensions: `M${X(a.x)} ${Y(a.y)}L${from[0]} ${from[1]}M${X(b.x)} ${Y(b.y)}L${to[0]} ${to[1]}`,
      text: show(parts.centre, 'length', 4),
    };
  }),
);

const clash = computed(() => gaps.filter(({ gap }) => gap < 0));

let from: { x: number; y: number } | undefined;
let held: Movable | undefined;
let frame: { scale: number; x: number; y: number } | undefined;
/** While a shaft is dragged the drawing keeps its scale and place, or it would run away under the hand. */
const frozen = () => frame ?? { scale: scale.value, ...origin.value };

function begin(item: Movable): void {
  held = item;
  from = item.from;
  frame = { scale: scale.value, ...origin.value };
  plan.begin();
}
function changesFor(place: { x: number; y: number }) {
  const { scale: s, x, y } = frozen();
  const seen = { x: (place.x - x) / s - from!.x, y: (y - place.y) / s - from!.y };
  return snapShaft(held!.parts, stageAt(held!.parts.index), seen, beltsFor(held!.parts));
}
let last: ReturnType<typeof changesFor> | undefined;
function drag(place: { x: number; y: number }): void {
  last = changesFor(place);
  plan.preview(last);
}
function end(): void {
  if (last) plan.commit(last);
  else plan.cancel();
  last = undefined;
  frame = undefined;
}

/** Keys turn the shaft about the one in front by five degrees. */
function step(item: Movable, by: number): void {
  const angle = item.parts.direction + (by * 5 * Math.PI) / 180;
  const seen = { x: item.parts.centre * Math.cos(angle), y: item.parts.centre * Math.sin(angle) };
  plan.commit(snapShaft(item.parts, stageAt(item.parts.index), seen, beltsFor(item.parts)).slice(0, 1));
}
const degrees = (angle: number) => Math.round((angle * 180) / Math.PI);
</script>

<template>
  <svg
    ref="paper"
    class="squared h-full min-h-64 w-full border border-hair"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="group"
    aria-label="End view of the train, to scale"
    data-testid="end-view"
  >
    <defs>
      <pattern id="clash" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v6" stroke="var(--gives)" stroke-width="2" />
      </pattern>
    </defs>
    <g v-for="wheel in layout.wheels" :key="`${wheel.stage}-${wheel.role}`">
      <path
        :d="outlineOf(wheel)"
        :fill="wheel.stage === stage?.id ? 'var(--sheet)' : 'none'"
        fill-opacity="0.7"
        stroke="var(--ink)"
        :stroke-width="wheel.stage === stage?.id ? 1.5 : 1"
      />
      <path
        v-if="wheel.role !== 'case'"
        :d="circlePath(X(wheel.x), Y(wheel.y), wheel.radius * scale)"
        fill="none"
        stroke="var(--second)"
        stroke-width="0.75"
        stroke-dasharray="8 3 2 3"
      />
    </g>
    <WormCrossed
      v-for="wheel in layout.wheels.filter((one) => partsOf(one.stage).kind === 'worm')"
      :key="`worm-${wheel.stage}`"
      view="end"
      :x="X(wheel.x)"
      :y="Y(wheel.y)"
      :across="2 * wheel.tip * scale"
    />
    <path :d="runPath" fill="none" stroke="var(--ink)" stroke-width="2.5" />
    <g v-for="(gap, i) in clash" :key="i" data-testid="clash">
      <path
        v-for="(place, j) in gap.places"
        :key="j"
        :d="circlePath(X(place.x), Y(place.y), place.radius * scale)"
        fill="url(#clash)"
        fill-opacity="0.45"
        stroke="var(--gives)"
        stroke-width="2"
      />
    </g>
    <g v-for="line in dimensions" :key="line.id">
      <path :d="line.extensions" stroke="var(--second)" stroke-width="0.75" />
      <DimensionLine :from="line.from" :to="line.to" :text="line.text" />
    </g>
    <path
      v-for="(shaft, i) in layout.shafts"
      :key="i"
      :d="circlePath(X(shaft.x), Y(shaft.y), Math.max(2.5, shaft.radius * scale))"
      fill="var(--ground)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <text :x="X(0) - 9" :y="Y(0) + 4" text-anchor="end" font-size="11" fill="var(--ink)" class="halo">motor</text>
    <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -- a slider, with keys of its own -->
    <DragHandle
      v-for="item in movable"
      :key="`handle-${item.parts.id}`"
      :x="X(item.to.x)"
      :y="Y(item.to.y)"
      :label="`Shaft ${item.parts.index + 2}`"
      :text="`${degrees(item.parts.direction)} degrees, ${show(item.parts.centre, 'length', 4)} from the shaft in front`"
      :value="degrees(item.parts.direction)"
      :least="-180"
      :most="180"
      @begin="begin(item)"
      @drag="drag"
      @end="end"
      @step="step(item, $event)"
    />
  </svg>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
