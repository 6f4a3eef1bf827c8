<script setup lang="ts">
import { rankedOtherwise, WANT_IDS, WANTS } from '@rough-gear/core';
import { useId } from 'vue';
import ChoiceTabs from '../../../../components/widgets/ChoiceTabs.vue';
import type { RankBy, WantNumbers } from './useQuery.js';

/** What is wanted: weighed against each other, or one after the other. */
const numbers = defineModel<WantNumbers>({ required: true });
const rankBy = defineModel<RankBy>('rankBy', { required: true });
const id = useId();
/** What mattered most still does when it is ranked the other way. */
function rank(by: RankBy): void {
  if (by === rankBy.value) return;
  Object.assign(numbers.value, rankedOtherwise(numbers.value, by));
  rankBy.value = by;
}
const MODES = [
  { value: 'weights' as const, text: 'by weight' },
  { value: 'order' as const, text: 'by order' },
];
const choices = { weights: [0, 1, 2, 3, 4, 5], order: [0, 1, 2, 3, 4, 5, 6, 7, 8] } as const;
</script>

<template>
  <fieldset class="flex flex-wrap items-baseline gap-x-4 gap-y-0.5 border-y border-hair py-1.5 text-sm">
    <legend class="sr-only">What is wanted</legend>
    <span class="text-second">wanted</span>
    <ChoiceTabs
      :model-value="rankBy"
      :options="MODES"
      label="How the wants are ranked"
      class="text-xs"
      @update:model-value="rank"
    />
    <span v-for="want in WANT_IDS" :key="want" class="flex items-baseline gap-1 whitespace-nowrap">
      <label :for="`${id}-${want}`" :class="numbers[want] > 0 ? '' : 'text-second'" :title="WANTS[want].says">{{
        WANTS[want].name
      }}</label>
      <select
        :id="`${id}-${want}`"
        v-model.number="numbers[want]"
        class="figures min-h-6 border-b border-ink bg-sheet text-xs"
      >
        <option v-for="n in choices[rankBy]" :key="n" :value="n">
          {{ n === 0 ? '–' : rankBy === 'order' ? `${n}.` : n }}
        </option>
      </select>
    </span>
  </fieldset>
</template>
