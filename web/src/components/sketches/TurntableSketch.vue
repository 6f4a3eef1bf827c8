<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useFigureDrag, wholeDegrees } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DragHandle from './DragHandle.vue';

/** The table from above: the angle it turns by is dragged, the window it stands in is shaded. */
const { path } = useMechanism();
const { show } = useDisplay();

const CENTRE = { x: 84, y: 68 };
const R = 48;
const DEGREE = Math.PI / 180;

const angle = useFigureDrag('job.angle', (si) => wholeDegrees(Math.max(DEGREE, si)));
const turned = computed(() => path.value.figures['job.angle']?.value ?? 0);
const window = computed(() => path.value.settling?.window);
const at = (by: number, r = R) => ({ x: CENTRE.x + r * Math.sin(by), y: CENTRE.y - r * Math.cos(by) });
const arc = (from: number, to: number, r: number) =>
  `M${at(from, r).x} ${at(from, r).y}A${r} ${r} 0 ${to - from > Math.PI ? 1 : 0} 1 ${at(to, r).x} ${at(to, r).y}`;
const shown = computed(() => Math.min(turned.value, 2 * Math.PI - 0.01));

/** The turn next to where it was, so that more than one turn can be dragged. */
function angleOf(place: { x: number; y: number }): number {
  const seen = Math.atan2(place.x - CENTRE.x, CENTRE.y - place.y);
  const turns = Math.round((turned.value - seen) / (2 * Math.PI));
  return Math.max(DEGREE, seen + turns * 2 * Math.PI);
}
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <circle :cx="CENTRE.x" :cy="CENTRE.y" :r="R" fill="var(--sheet)" />
    <path
      v-if="window !== undefined"
      :d="`${arc(turned - window, turned + window, R + 6)}`"
      stroke="var(--enough)"
      stroke-width="5"
    />
    <path :d="`M${CENTRE.x} ${CENTRE.y}V${CENTRE.y - R}`" stroke-dasharray="4 3" />
    <path :d="`M${CENTRE.x} ${CENTRE.y}L${at(turned).x} ${at(turned).y}`" stroke-width="2.5" />
    <path :d="arc(0, shown, 26)" stroke="var(--act)" />
    <circle :cx="CENTRE.x" :cy="CENTRE.y" r="4" fill="var(--sheet)" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="186" y="20" text-anchor="end" data-testid="turned">{{ show(turned, 'angle') }}</text>
      <text v-if="window !== undefined" x="186" y="36" text-anchor="end">± {{ show(window, 'angle') }}</text>
      <text x="4" y="134">{{ show(path.figures['output.tableInertia']?.value ?? 0, 'inertia') }}</text>
    </g>
    <DragHandle
      :x="at(turned).x"
      :y="at(turned).y"
      label="Turns by"
      :text="show(turned, 'angle')"
      :value="turned / DEGREE"
      :least="1"
      :most="3600"
      @begin="angle.begin()"
      @drag="angle.preview(angleOf($event))"
      @end="angle.end()"
      @step="angle.set(turned + $event * DEGREE)"
    />
  </g>
</template>
