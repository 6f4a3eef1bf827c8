<script setup lang="ts">
import type { Verdict } from '@rough-gear/core';

/** A verdict as a ring: closed, three quarters, broken with a slash, dotted; a note as a dash. Its word stands beside it. */
const {
  verdict,
  size = 14,
  hollow = false,
  note = false,
} = defineProps<{ verdict: Verdict; size?: number; hollow?: boolean; note?: boolean | undefined }>();

const COLOURS: Record<Verdict, string> = {
  enough: 'var(--enough)',
  tight: 'var(--tight)',
  'gives way': 'var(--gives)',
  'not known': 'var(--second)',
};
const DASHES: Record<Verdict, string> = {
  enough: 'none',
  tight: '26 9',
  'gives way': '6.2 2.6',
  'not known': '1.2 2.9',
};
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 16 16" aria-hidden="true" class="shrink-0">
    <path v-if="note" d="M4 8 H12" stroke="var(--second)" stroke-width="2.2" />
    <circle
      v-else
      cx="8"
      cy="8"
      :r="hollow ? 6 : 5.7"
      fill="none"
      :stroke="hollow ? 'var(--line)' : COLOURS[verdict]"
      :stroke-width="hollow ? 1.2 : 2.5"
      :stroke-dasharray="hollow ? 'none' : DASHES[verdict]"
      transform="rotate(-90 8 8)"
    />
    <path
      v-if="verdict === 'gives way' && !hollow"
      d="M3.2 12.8 L12.8 3.2"
      :stroke="COLOURS[verdict]"
      stroke-width="2.2"
    />
  </svg>
</template>
