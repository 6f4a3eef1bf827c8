<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';

/** What is drawn for paper first, with the way to the printer and back. */
defineProps<{ back?: RouteLocationRaw; backText?: string }>();
const print = (): void => window.print();
</script>

<template>
  <!-- Its own: what only readers of screens see would make the page around it longer. -->
  <div class="relative min-h-0 grow overflow-y-auto">
    <p class="not-printed flex flex-wrap items-center gap-3 border-b border-hair px-4 py-2">
      <button type="button" class="button main" @click="print">Print</button>
      <RouterLink v-if="back" class="button inline-block" :to="back">{{ backText }}</RouterLink>
      <slot name="links" />
    </p>
    <slot />
  </div>
</template>
