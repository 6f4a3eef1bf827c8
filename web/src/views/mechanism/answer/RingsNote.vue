<script setup lang="ts">
import { useStorage } from '@vueuse/core';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';

/** What the rings mean, until the person has seen it once. */
const known = useStorage('rough-gear:rings-known', false);
const WORDS = [
  ['enough', 'has the margin it wants'],
  ['tight', 'does it, with less'],
  ['gives way', 'does not do it'],
  ['not known', 'a figure is missing'],
] as const;
</script>

<template>
  <div v-if="!known" class="border border-line p-2 text-xs" data-testid="rings-note">
    <ul class="grid grid-cols-2 gap-x-2">
      <li v-for="[verdict, means] in WORDS" :key="verdict" class="flex gap-1.5">
        <VerdictRing :verdict="verdict" /><span
          ><b>{{ verdict }}</b> {{ means }}</span
        >
      </li>
    </ul>
    <p class="mt-1 flex gap-2 text-second">
      1× is the job itself; a whisker reaches to the margin wanted.
      <button type="button" class="act min-h-6 whitespace-nowrap" @click="known = true">I see</button>
    </p>
  </div>
</template>
