<script setup lang="ts">
import { rowsOf, type TrialColumn } from '@rough-gear/core';
import { computed, ref } from 'vue';
import ReadingCell from './ReadingCell.vue';
import { useReadings } from './useReadings.js';
import { useTrial } from './useTrial.js';

/** One reading: its values, how far it is off the fit, and whether it counts. What is struck out stays, with its reason. */
const { row, rowId } = defineProps<{ row: number; rowId: string }>();
const { trial, sheet, concluded, closed } = useTrial();
const { put, strike, unstrike, drop } = useReadings();
const asking = ref(false);
const why = ref('');

const fresh = computed(() => row >= rowsOf(trial.value));
const struck = computed(() => trial.value.struck.find((one) => one.row === row));
const off = computed(() => (concluded.value.ok ? concluded.value.conclusion.off.get(row) : undefined));
const fitted = computed(() => concluded.value.ok && concluded.value.conclusion.off.size > 0);
const odd = computed(() => concluded.value.ok && concluded.value.conclusion.odd.includes(row));
const valueOf = ({ key }: TrialColumn): number | null => trial.value.readings[key]?.[row] ?? null;
const offText = computed(() => {
  if (off.value === undefined) return '';
  const text = `${off.value < 0 ? '−' : '+'}${Math.abs(off.value).toFixed(1)} sd`;
  return odd.value ? `odd by ${Math.abs(off.value).toFixed(1)} sd` : text;
});

function strikeOut(): void {
  strike(row, why.value.trim());
  asking.value = false;
  why.value = '';
}
</script>

<template>
  <tr :class="struck || odd ? 'text-tight' : ''" :data-struck="struck ? '' : undefined">
    <td class="figures border-b border-hair px-1 text-second">{{ row + 1 }}</td>
    <td
      v-for="column in sheet.columns"
      :key="column.key"
      class="border-b border-hair px-1 text-right whitespace-nowrap"
      :class="struck ? 'line-through' : ''"
    >
      <ReadingCell
        :column="column"
        :row="row"
        :value="valueOf(column)"
        :fixed="closed || struck !== undefined"
        @put="put(row, rowId, column.key, $event)"
      />
    </td>
    <td
      v-if="fitted"
      class="figures border-b border-hair px-1 text-right text-xs whitespace-nowrap"
      :class="struck ? 'line-through' : ''"
    >
      {{ offText }}
    </td>
    <td class="border-b border-hair px-1 text-right text-xs whitespace-nowrap">
      <template v-if="!closed && !fresh">
        <button
          v-if="struck"
          type="button"
          class="act min-h-6"
          :aria-label="`Count reading ${row + 1} again`"
          @click="unstrike(row)"
        >
          count it again
        </button>
        <form v-else-if="asking" class="flex items-baseline gap-1" @submit.prevent="strikeOut">
          <input
            v-model="why"
            :aria-label="`Why reading ${row + 1} does not count`"
            placeholder="why"
            maxlength="200"
            class="min-h-6 w-24 border-b border-ink bg-sheet text-ink"
          />
          <button type="submit" class="act min-h-6">strike out</button>
        </form>
        <template v-else>
          <button
            type="button"
            class="act min-h-6"
            :aria-label="`Strike out reading ${row + 1}`"
            @click="asking = true"
          >
            strike out
          </button>
          <button
            type="button"
            class="act ml-1 min-h-6 min-w-6"
            :aria-label="`Take row ${row + 1} away: a slip of the hand`"
            @click="drop(row)"
          >
            ×
          </button>
        </template>
      </template>
    </td>
  </tr>
  <tr v-if="struck" class="text-xs text-tight">
    <td class="border-b border-hair" />
    <td :colspan="sheet.columns.length + 2" class="border-b border-hair px-1">
      struck out{{ struck.why ? `: ${struck.why}` : '' }}
    </td>
  </tr>
</template>
