<script setup lang="ts">
import type { Shortlist } from '@rough-gear/core';
import { computed } from 'vue';

/** How many were tried, how many were judged in full, and why the others fell out. */
const { found, running } = defineProps<{ found: Shortlist; running: boolean }>();
const count = (value: number) => value.toLocaleString('en');
const fallen = computed(() => found.fallen.reduce((sum, { candidates }) => sum + candidates, 0));
</script>

<template>
  <div class="text-sm" data-testid="fallen">
    <p role="status">
      <span class="figures">{{ count(found.tried) }}</span>
      {{
        running
          ? `tried so far, ${Math.round(100 * found.share)} % of the shelf`
          : found.done
            ? 'tried'
            : 'tried until it was stopped'
      }}: <span class="figures">{{ count(found.judged) }}</span> judged in full,
      <span class="figures">{{ count(found.excluded) }}</span> excluded by a bound.
      <b class="figures">{{ count(found.front.length) }}</b> left,
      <span class="figures">{{ count(found.beaten) }}</span> no better than another in anything,
      <span class="figures">{{ count(fallen) }}</span> fell out.
    </p>
    <details v-if="found.fallen.length > 0">
      <summary class="act min-h-6 w-fit cursor-pointer">Why they fell out</summary>
      <ul class="columns-1 gap-x-8 sm:columns-2">
        <li v-for="group in found.fallen" :key="group.reason" class="flex break-inside-avoid gap-2">
          <span class="figures w-16 shrink-0 text-right">{{ count(group.candidates) }}</span>
          <span
            >{{ group.reason
            }}<span v-if="group.drives > 0" class="text-second">
              · {{ count(group.drives) }} {{ group.drives === 1 ? 'drive' : 'drives' }} at any total</span
            ></span
          >
        </li>
      </ul>
    </details>
  </div>
</template>
