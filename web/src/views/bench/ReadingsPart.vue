<script setup lang="ts">
import { exportReadings } from '@rough-gear/contract/bench';
import { counted, rowsOf } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { lazily } from '../../components/widgets/lazily.js';
import { save } from '../../components/widgets/save.js';
import { useEver } from '../../composables/useEver.js';
import ReadingsTable from './ReadingsTable.vue';
import { useTrial } from './useTrial.js';

/** The readings: typed row by row, pasted, out of a file, or live. */
const LivePanel = lazily(() => import('./live/LivePanel.vue'));
const PasteReadings = lazily(() => import('./PasteReadings.vue'));
const { trial, sheet, closed } = useTrial();
const pasting = ref(false);
const live = ref(false);
const everPasting = useEver(() => pasting.value);
const rows = computed(() => rowsOf(trial.value));
const wanted = computed(() => `${sheet.value.fewest} or more; ${sheet.value.good} make a good fit`);
</script>

<template>
  <section aria-label="Readings">
    <h2 class="mb-1">
      2 Read <span class="text-sm font-normal text-second">{{ closed ? counted(rows, 'row') : wanted }}</span>
    </h2>
    <ReadingsTable />
    <p class="mt-1 flex flex-wrap gap-x-4 text-sm">
      <template v-if="!closed">
        <button type="button" class="act min-h-6" @click="pasting = true">Paste columns, or a file</button>
        <button type="button" class="act min-h-6" :aria-expanded="live" @click="live = !live">
          {{ live ? 'Close the live line' : 'Read live' }}
        </button>
      </template>
      <button
        v-if="rows > 0"
        type="button"
        class="act min-h-6"
        @click="save(`${trial.kind}-${trial.startedAt.slice(0, 10)}.csv`, 'text/csv', exportReadings(trial))"
      >
        Readings as CSV
      </button>
    </p>
    <LivePanel v-if="live && !closed" class="mt-2" />
    <PasteReadings v-if="everPasting" :open="pasting" @close="pasting = false" />
  </section>
</template>
