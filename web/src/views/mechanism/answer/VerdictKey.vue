<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { MEANINGS } from '../../../components/verdict/meanings.js';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';

/** Opened low on the page it would stand under its end. */
const intoView = (list: unknown): void => {
  if (list instanceof HTMLElement)
    requestAnimationFrame(() => list.parentElement?.scrollIntoView({ block: 'nearest' }));
};
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="act min-h-6 text-xs">what the rings mean</PopoverButton>
    <PopoverPanel class="absolute right-0 z-30 w-64 border border-ink bg-sheet p-3 text-sm">
      <ul :ref="intoView">
        <li v-for="{ verdict, means } in MEANINGS" :key="verdict" class="flex gap-2 py-0.5">
          <VerdictRing :verdict="verdict" :size="16" /><span
            ><b>{{ verdict }}</b
            >: {{ means }}</span
          >
        </li>
      </ul>
      <p class="mt-1 text-xs text-second">
        1× is the job itself. The whisker on a mark goes up to the margin it wants.
      </p>
    </PopoverPanel>
  </Popover>
</template>
