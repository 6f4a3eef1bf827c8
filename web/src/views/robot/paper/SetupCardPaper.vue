<script setup lang="ts">
import type { CardLine, SetupCard } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** One card: numbers to type in, where each comes from, what a wrong one costs, and who typed it in. */
const { card, robot } = defineProps<{ card: SetupCard; robot: string }>();
const { say } = useDisplay();
const shown = ({ value }: CardLine): string => (typeof value === 'string' ? value : say(value));
/** What a wrong one costs, in a sentence each; of several that cost the same the first says it. */
const wrong = computed(() => {
  const seen = new Set<string>();
  return card.lines
    .flatMap(({ label, wrong: said }) => {
      if (said === undefined || seen.has(said)) return [];
      seen.add(said);
      return [`${label.charAt(0).toUpperCase()}${label.slice(1)}: ${said}`];
    })
    .join(' ');
});
const KINDS = { controller: 'controller', driver: 'driver', servo: 'servo', rail: 'servo rail' } as const;
</script>

<template>
  <article class="paper mt-4 break-inside-avoid p-8 print:mt-0" :data-card="card.id">
    <header class="mb-2 border-b-2 border-ink pb-1">
      <h2 class="text-xl">{{ card.of }} · {{ KINDS[card.kind] }}</h2>
      <p class="text-sm">
        {{ [robot, card.part, card.pieces > 1 ? `${card.pieces} of them, all alike` : ''].filter(Boolean).join(' · ') }}
      </p>
    </header>
    <table class="w-full text-sm">
      <thead>
        <tr>
          <th scope="col" class="text-left font-semibold">Type these in</th>
          <th scope="col"><span class="sr-only">value</span></th>
          <th scope="col" class="text-right font-normal text-second">where it comes from</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in card.lines" :key="line.key" class="align-baseline">
          <th scope="row" class="border-b border-hair py-0.5 text-left font-normal">{{ line.label }}</th>
          <td class="figures border-b border-hair px-2 text-right font-semibold whitespace-nowrap">
            {{ shown(line) }}
          </td>
          <td class="border-b border-hair text-right text-xs text-second">{{ say(line.from) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="mt-2 border-l-4 border-ink pl-2 text-sm"><b>Wrong here costs.</b> {{ wrong }}</p>
    <p class="mt-2 text-sm font-semibold">
      {{ card.cautions.join(' ') }} Event rules and the maker’s sheet come first.
    </p>
    <p class="mt-3 border-t-2 border-ink pt-1 text-sm">☐ typed in &nbsp; by ______________ &nbsp; on __________</p>
  </article>
</template>
