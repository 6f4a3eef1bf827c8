<script setup lang="ts">
import { drawingOf } from '../../../../components/strip/drawingOf.js';
import { keyText } from '../../../../components/strip/keyText.js';
import LinkDrawing from '../../../../components/strip/LinkDrawing.vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';

/** The power path, pack to load, as many links a line as the paper is wide. */
const { job, mechanism, path } = useMechanism();
const { show, say } = useDisplay();
</script>

<template>
  <ol class="grid grid-cols-2 border-t border-l border-hair sm:grid-cols-4 print:grid-cols-4" aria-label="Power path">
    <li
      v-for="link in job.links"
      :key="link.id"
      class="min-w-0 break-inside-avoid border-r border-b border-hair p-1.5 text-xs"
    >
      <span class="flex h-10 justify-center"><LinkDrawing :drawing="drawingOf(link, mechanism, path)" /></span>
      <span class="flex items-center gap-1 font-semibold"
        ><VerdictRing v-if="link.verdict" :verdict="link.verdict" :size="14" class="shrink-0" />{{ link.title }}</span
      >
      <span class="block break-words">{{ say(link.detail) }}</span>
      <span class="figures block break-words">{{
        keyText(link, show) ?? (link.verdict === 'not known' ? 'figure missing' : '')
      }}</span>
    </li>
  </ol>
</template>
