<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useFigureDrag, roundLength } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DragHandle from './DragHandle.vue';
import { lengthAt, shareOf } from './span.js';

/** A leg that stands: its foot is dragged out, its swing is drawn about the joint. */
const { path } = useMechanism();
const { show } = useDisplay();

const MIDDLE = 0.06;
const ROOM = 110;
const JOINT = { x: 46, y: 50 };
const FLOOR = 112;
const lever = useFigureDrag('output.legLever', roundLength);
const figure = (key: string): number => path.value.figures[key]?.value ?? 0;
const foot = computed(() => JOINT.x + ROOM * shareOf(figure('output.legLever'), MIDDLE));
const knee = computed(() => ({ x: (JOINT.x + foot.value) / 2 + 8, y: JOINT.y - 6 }));
const swing = computed(() => Math.min(150, (figure('job.angle') * 180) / Math.PI));
const arcEnd = computed(() => {
  const angle = ((swing.value / 2) * Math.PI) / 180;
  return { x: 34 * Math.cos(angle), y: 34 * Math.sin(angle) };
});
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <path d="M4 112h182" />
    <rect x="10" y="38" width="38" height="24" fill="var(--sheet)" />
    <path :d="`M${JOINT.x} ${JOINT.y}L${knee.x} ${knee.y}L${foot} ${FLOOR}`" stroke-width="4" stroke-linejoin="round" />
    <circle :cx="JOINT.x" :cy="JOINT.y" r="5" fill="var(--sheet)" />
    <path
      :d="`M${JOINT.x + arcEnd.x} ${JOINT.y - arcEnd.y}A34 34 0 0 1 ${JOINT.x + arcEnd.x} ${JOINT.y + arcEnd.y}`"
      stroke="var(--act)"
    />
    <path :d="`M${JOINT.x} 120V128M${foot} 120V128M${JOINT.x} 124H${foot}`" stroke-width="1" />
    <path d="M28 18v14m-4-5 4 5 4-5" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text x="34" y="20"
        >{{ show(figure('job.legMass'), 'mass') }} on {{ show(figure('job.legsDown'), 'number') }} legs</text
      >
      <text :x="(JOINT.x + foot) / 2" y="137" text-anchor="middle">{{
        show(figure('output.legLever'), 'length')
      }}</text>
      <text x="186" y="60" text-anchor="end">{{ show(figure('job.angle'), 'angle') }}</text>
    </g>
    <DragHandle
      :x="foot"
      :y="FLOOR"
      label="Foot to joint"
      :text="show(figure('output.legLever'), 'length')"
      :value="1000 * figure('output.legLever')"
      :least="1"
      :most="2000"
      @begin="lever.begin()"
      @drag="lever.preview(lengthAt(($event.x - JOINT.x) / ROOM, MIDDLE))"
      @end="lever.end()"
      @step="lever.set(figure('output.legLever') + $event * 0.001)"
    />
  </g>
</template>
