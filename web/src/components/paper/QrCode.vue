<script setup lang="ts">
import { create } from 'qrcode';
import { computed } from 'vue';

/** A code that a phone reads: an address, for paper. */
const { text, label } = defineProps<{ text: string; label: string }>();
/** Modules left white all round, by the standard. */
const QUIET = 4;
const code = computed(() => create(text, { errorCorrectionLevel: 'M' }).modules);
const path = computed(() => {
  const { size, data } = code.value;
  const squares: string[] = [];
  for (let i = 0; i < data.length; i++)
    if (data[i]) squares.push(`M${QUIET + (i % size)} ${QUIET + Math.floor(i / size)}h1v1h-1z`);
  return squares.join('');
});
const side = computed(() => code.value.size + 2 * QUIET);
</script>

<template>
  <svg :viewBox="`0 0 ${side} ${side}`" role="img" :aria-label="label" shape-rendering="crispEdges">
    <rect :width="side" :height="side" fill="#fff" />
    <path :d="path" fill="#000" />
  </svg>
</template>
