<script setup lang="ts">
import { ref } from 'vue';

/** A handle on a drawing: drag it, or step it with the arrow keys. Speaks in the drawing's own coordinates. */
const { x, y, label, text, value, least, most } = defineProps<{
  x: number;
  y: number;
  label: string;
  /** The value in words, and as a number for those who cannot see the drawing. */
  text: string;
  value: number;
  least: number;
  most: number;
}>();
const emit = defineEmits<{ begin: []; drag: [place: { x: number; y: number }]; end: []; step: [by: number] }>();

const handle = ref<SVGGElement>();
const dragging = ref(false);

function placeOf(event: PointerEvent): { x: number; y: number } | undefined {
  const matrix = handle.value?.ownerSVGElement?.getScreenCTM()?.inverse();
  if (!matrix) return undefined;
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return { x: point.x, y: point.y };
}

function down(event: PointerEvent): void {
  if (event.button !== 0) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  dragging.value = true;
  emit('begin');
}

function move(event: PointerEvent): void {
  const place = dragging.value ? placeOf(event) : undefined;
  if (place) emit('drag', place);
}

function up(): void {
  if (!dragging.value) return;
  dragging.value = false;
  emit('end');
}

const KEYS: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

function key(event: KeyboardEvent): void {
  const by = KEYS[event.key];
  if (by === undefined) return;
  event.preventDefault();
  emit('step', by);
}
</script>

<template>
  <g
    ref="handle"
    role="slider"
    tabindex="0"
    class="drag-handle cursor-grab touch-none"
    :aria-label="`${label}: arrow keys step it`"
    :aria-valuemin="least"
    :aria-valuemax="most"
    :aria-valuenow="Number(value.toPrecision(4))"
    :aria-valuetext="text"
    @pointerdown="down"
    @pointermove="move"
    @pointerup="up"
    @pointercancel="up"
    @keydown="key"
  >
    <circle :cx="x" :cy="y" r="13" fill="transparent" stroke="none" />
    <circle :cx="x" :cy="y" r="6" fill="var(--handle)" stroke="var(--ink)" stroke-width="1.5" />
  </g>
</template>

<style scoped>
.drag-handle:focus-visible {
  outline: none;
}
.drag-handle:focus-visible circle:last-child {
  stroke: var(--act);
  stroke-width: 3;
}
</style>
