<script setup lang="ts">
import type { Drawing } from './drawings.js';

/** A link in one pen. What is drawn stands in `drawings.ts`. */
defineProps<{ drawing: Drawing }>();
</script>

<template>
  <svg
    viewBox="0 0 44 40"
    width="44"
    height="40"
    fill="none"
    stroke="currentColor"
    stroke-width="1.5"
    stroke-linejoin="round"
    stroke-linecap="round"
    aria-hidden="true"
  >
    <template v-for="(mark, i) in drawing" :key="i">
      <path v-if="'path' in mark" :d="mark.path" :stroke-dasharray="mark.dash" :stroke-width="mark.width" />
      <circle
        v-else-if="'circle' in mark"
        :cx="mark.circle[0]"
        :cy="mark.circle[1]"
        :r="mark.circle[2]"
        :fill="mark.filled ? 'currentColor' : undefined"
        :stroke="mark.filled ? 'none' : undefined"
      />
      <ellipse v-else :cx="mark.ellipse[0]" :cy="mark.ellipse[1]" :rx="mark.ellipse[2]" :ry="mark.ellipse[3]" />
    </template>
  </svg>
</template>
