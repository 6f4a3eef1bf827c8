<script setup lang="ts">
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { roundLength, useFigureDrag } from '../../composables/useFigureDrag.js';
import { useMechanism } from '../../composables/useMechanism.js';
import DimensionLine from './DimensionLine.vue';
import DragHandle from './DragHandle.vue';
import { lengthAt, shareOf } from './span.js';

/** A roller pulls a piece along: how far is dragged. */
const { path } = useMechanism();
const { show } = useDisplay();

const LEFT = 40;
const ROOM = 130;
const MIDDLE = 0.4;

const figure = (key: string) => path.value.figures[key]?.value;
const distance = useFigureDrag('job.distance', roundLength);
const far = computed(() => figure('job.distance') ?? 0);
const right = computed(() => LEFT + ROOM * shareOf(far.value, MIDDLE));
const roller = computed(() => 10 + 14 * shareOf(figure('output.rollerRadius') ?? 0, 0.03));
const mass = computed(() => figure('job.conveyMass'));
const pull = computed(() => figure('job.pull'));
</script>

<template>
  <g stroke="var(--ink)" stroke-width="1.5" fill="none">
    <path d="M6 104H186" stroke="var(--line)" />
    <circle :cx="LEFT" :cy="70 - roller" :r="roller" fill="var(--sheet)" />
    <circle :cx="LEFT" :cy="70 - roller" r="2" fill="var(--ink)" />
    <rect :x="LEFT - 20" y="70" width="40" height="34" fill="var(--sheet)" />
    <rect :x="right - 20" y="70" width="40" height="34" stroke-dasharray="4 3" />
    <path :d="`M${LEFT + 24} 87H${Math.max(LEFT + 34, right - 24)}m-5-4l5 4-5 4`" stroke="var(--act)" />
    <DimensionLine :from="[LEFT, 118]" :to="[right, 118]" :text="show(far, 'length')" />
    <g class="figures" font-size="11" fill="var(--ink)" stroke="none">
      <text :x="LEFT" y="91" text-anchor="middle">{{ mass === undefined ? '?' : show(mass, 'mass', 2) }}</text>
      <text :x="LEFT + 32" y="34">pull {{ pull === undefined ? '?' : show(pull, 'force') }}</text>
      <text x="4" y="134">⌀ {{ show(2 * (figure('output.rollerRadius') ?? 0), 'length') }}</text>
    </g>
    <DragHandle
      :x="right"
      :y="70"
      label="How far"
      :text="show(far, 'length')"
      :value="far"
      :least="0.01"
      :most="20"
      @begin="distance.begin()"
      @drag="distance.preview(lengthAt(($event.x - LEFT) / ROOM, MIDDLE))"
      @end="distance.end()"
      @step="distance.set(Math.max(0.01, far + 0.01 * $event))"
    />
  </g>
</template>
