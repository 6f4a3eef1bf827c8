<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useFigureDrag, wholeDegrees } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DragHandle from './DragHandle.vue';

/** The arm between its two angles. Both ends are dragged; the payload and the centre of mass are on it. */
const { path } = useMechanism();
const { show } = useDisplay();

const PIVOT = { x: 84, y: 78 };
const REACH = 58;
const DEGREE = Math.PI / 180;

const figure = (key: string) => path.value.figures[key]?.value;
const from = useFigureDrag('job.from', wholeDegrees);
const to = useFigureDrag('job.to', wholeDegrees);
const start = computed(() => figure('job.from') ?? 0);
const end = computed(() => figure('job.to') ?? start.value);
const length = computed(() => figure('output.armLength'));
const centreShare = computed(() => Math.min(1, (figure('output.armCentre') ?? 0) / (length.value || 1)));
const payload = computed(() => figure('job.payload') ?? 0);
const sprung = computed(() => (figure('output.springRate') ?? 0) > 0);

const tip = (angle: number, share = 1) => ({
  x: PIVOT.x + REACH * share * Math.cos(angle),
  y: PIVOT.y - REACH * share * Math.sin(angle),
});
const sweep = computed(() => {
  const [a, b] = [tip(start.value, 0.45), tip(end.value, 0.45)];
  const large = Math.abs(end.value - start.value) > Math.PI ? 1 : 0;
  return `M${a.x} ${a.y}A${REACH * 0.45} ${REACH * 0.45} 0 ${large} ${end.value > start.value ? 0 : 1} ${b.x} ${b.y}`;
});

/** The angle of a place seen from the pivot, the turn next to where it was. */
function angleOf(place: { x: number; y: number }, near: number): number {
  const angle = Math.atan2(PIVOT.y - place.y, place.x - PIVOT.x);
  const turns = Math.round((near - angle) / (2 * Math.PI));
  return Math.min(2 * Math.PI, Math.max(-2 * Math.PI, angle + turns * 2 * Math.PI));
}
const arm = (angle: number) => `M${PIVOT.x} ${PIVOT.y}L${tip(angle).x} ${tip(angle).y}`;
const labelAt = (angle: number) => {
  const place = tip(angle, 1.28);
  return { x: Math.min(176, Math.max(18, place.x)), y: Math.min(134, Math.max(11, place.y + 4)) };
};
</script>

<template>
  <g>
    <path :d="`M${PIVOT.x} ${PIVOT.y}h70`" stroke="var(--line)" stroke-dasharray="2 3" />
    <path :d="sweep" fill="none" stroke="var(--second)" />
    <path :d="arm(start)" stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="4 3" />
    <path :d="arm(end)" stroke="var(--ink)" stroke-width="4" stroke-linecap="round" />
    <circle
      :cx="tip(end, centreShare).x"
      :cy="tip(end, centreShare).y"
      r="3.5"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <path
      v-if="sprung"
      :d="`M${PIVOT.x - 26} ${PIVOT.y - 34}l6 8-9 3 10 7-8 4L${PIVOT.x} ${PIVOT.y}`"
      fill="none"
      stroke="var(--ink)"
    />
    <rect
      v-if="payload > 0"
      :x="tip(end).x - 9"
      :y="tip(end).y + 7"
      width="18"
      height="13"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <circle :cx="PIVOT.x" :cy="PIVOT.y" r="6" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
    <path
      :d="`M${PIVOT.x - 8} ${PIVOT.y + 24}l8-18 8 18z`"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <g class="figures" font-size="11" fill="var(--ink)">
      <text :x="labelAt(start).x" :y="labelAt(start).y" text-anchor="middle">{{ show(start, 'angle') }}</text>
      <text :x="labelAt(end).x" :y="labelAt(end).y" text-anchor="middle" data-testid="arm-end">
        {{ show(end, 'angle') }}
      </text>
      <text v-if="length !== undefined" x="4" y="134">{{ show(length, 'length') }} long</text>
    </g>
    <DragHandle
      :x="tip(start).x"
      :y="tip(start).y"
      label="From angle"
      :text="show(start, 'angle')"
      :value="start / DEGREE"
      :least="-360"
      :most="360"
      @begin="from.begin()"
      @drag="from.preview(angleOf($event, start))"
      @end="from.end()"
      @step="from.set(start + $event * DEGREE)"
    />
    <DragHandle
      :x="tip(end).x"
      :y="tip(end).y"
      label="To angle"
      :text="show(end, 'angle')"
      :value="end / DEGREE"
      :least="-360"
      :most="360"
      data-testid="arm-tip"
      @begin="to.begin()"
      @drag="to.preview(angleOf($event, end))"
      @end="to.end()"
      @step="to.set(end + $event * DEGREE)"
    />
  </g>
</template>
