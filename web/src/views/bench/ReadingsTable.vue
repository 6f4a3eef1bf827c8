<script setup lang="ts">
import { rowIdsOf } from '@rough-gear/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useVirtualRows } from '../../composables/useVirtualRows.js';
import ReadingRow from './ReadingRow.vue';
import { newRowIds } from './rowIds.js';
import { useTrial } from './useTrial.js';

/** The table to fill in, as on paper; rows out of view are not drawn, however many a logger made. */
const { trial, sheet, closed, concluded } = useTrial();
const scroller = ref<HTMLElement>();
const ROW = 29;
/** Not every kind has a line that a reading could be off. */
const fitted = computed(() => concluded.value.ok && concluded.value.conclusion.off.size > 0);
/** What the row to fill in is called once something stands in it. */
const freshId = shallowRef(newRowIds(1)[0]!);
const written = computed(() => rowIdsOf(trial.value));
watch(written, (ids) => {
  if (ids.includes(freshId.value)) freshId.value = newRowIds(1)[0]!;
});
// By their names, so that what is being typed stays in its row when another device writes rows in front of it.
const ids = computed(() => (closed.value ? written.value : [...written.value, freshId.value]));
const count = computed(() => ids.value.length);
const { items, above, below } = useVirtualRows(scroller, () => ({ count: count.value, height: ROW, overscan: 12 }));
</script>

<template>
  <div ref="scroller" class="max-h-80 overflow-auto" tabindex="0" role="region" aria-label="Table of readings">
    <table class="w-full text-sm">
      <thead class="sticky top-0 z-10 bg-ground">
        <tr>
          <th scope="col" class="border-b border-ink px-1 text-left font-normal text-second">#</th>
          <th
            v-for="column in sheet.columns"
            :key="column.key"
            scope="col"
            class="border-b border-ink px-1 text-right font-normal text-second"
          >
            {{ column.label }}
          </th>
          <th v-if="fitted" scope="col" class="border-b border-ink px-1 text-right font-normal text-second">
            off the fit
          </th>
          <th scope="col" class="border-b border-ink"><span class="sr-only">what to do with it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="above > 0" aria-hidden="true">
          <td :style="{ height: `${above}px` }" />
        </tr>
        <ReadingRow v-for="{ index } in items" :key="ids[index]!" :row="index" :row-id="ids[index]!" />
        <tr v-if="below > 0" aria-hidden="true">
          <td :style="{ height: `${below}px` }" />
        </tr>
      </tbody>
    </table>
  </div>
</template>
