<script setup lang="ts">
import type { Source } from '@rough-gear/core';

/** Where a figure came from, each in its own look: guesses are dashed, measured ones underlined in full. */
defineProps<{ source: Source | 'missing' }>();

const LOOKS: Record<Source | 'missing', string> = {
  sheet: 'text-second',
  typed: 'text-second',
  measured: 'text-ink border-b border-ink',
  estimated: 'text-guess italic border-b border-dotted border-guess',
  typical: 'text-guess italic border-b border-dashed border-guess',
  missing: 'text-gives border-b border-double border-gives',
};
</script>

<template>
  <span class="text-xs leading-tight" :class="LOOKS[source]">{{ source }}</span>
</template>
