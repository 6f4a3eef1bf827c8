<script setup lang="ts">
import { digits, type ChoiceDifference } from '@rough-gear/core';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { LETTERS } from './useColumns.js';

/** Every difference between the choices, and only the differences. */
defineProps<{ differences: readonly ChoiceDifference[] }>();
const { mechanism } = useMechanism();
const { show } = useDisplay();
function text({ dimension }: ChoiceDifference, value: string | number | undefined): string {
  if (value === undefined) return '–';
  if (typeof value === 'string') return value;
  return dimension ? show(value, dimension, 3) : digits(value, 3);
}
</script>

<template>
  <table class="w-full text-[0.8125rem]" data-testid="differences">
    <caption class="text-left text-sm font-semibold">
      What differs
    </caption>
    <thead>
      <tr class="border-b border-ink text-left text-xs">
        <th scope="col" class="w-1/5 pr-3 font-normal"><span class="sr-only">figure</span></th>
        <th v-for="(choice, i) in mechanism.choices" :key="choice.id" scope="col" class="pr-3 font-normal">
          <span class="figures">{{ LETTERS[i] }}</span><template v-if="choice.id === mechanism.current">
            · in force</template
          >
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in differences" :key="row.key" class="border-b border-hair align-top">
        <th scope="row" class="py-0.5 pr-3 text-left font-normal text-second">{{ row.label }}</th>
        <td
          v-for="(value, i) in row.values"
          :key="i"
          class="py-0.5 pr-3"
          :class="typeof value === 'number' ? 'figures' : ''"
        >
          {{ text(row, value) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
