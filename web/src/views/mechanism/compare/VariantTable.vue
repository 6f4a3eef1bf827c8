<script setup lang="ts">
import { type Dimension, type VariantResult } from '@rough-gear/core';
import { computed } from 'vue';
import FirstToGive from './FirstToGive.vue';
import { outputUnits } from '../../../components/charts/forceChart.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { lastsText } from './lastsText.js';

/** Variants as rows, what they do as columns; the one in force is marked, the others are one click away. */
const { rows, columns, current } = defineProps<{
  rows: readonly VariantResult[];
  columns: readonly VariantColumn[];
  current: string;
}>();
defineEmits<{ take: [row: VariantResult] }>();

type VariantColumn =
  | 'total'
  | 'time'
  | 'top'
  | 'creep'
  | 'pull'
  | 'braking'
  | 'motorCurrent'
  | 'supplyCurrent'
  | 'motorHeat'
  | 'controllerHeat'
  | 'hottest'
  | 'runTime'
  | 'parts'
  | 'mass'
  | 'price';

const { path } = useMechanism();
const { show } = useDisplay();
const units = computed(() => outputUnits(path.value));

const HEADS: Readonly<Record<VariantColumn, string>> = {
  total: 'reduction',
  time: 'there in',
  top: 'runs at',
  creep: 'slowest it keeps',
  pull: 'pulls at rest',
  braking: 'brakes with',
  motorCurrent: 'each motor',
  supplyCurrent: 'from the pack',
  motorHeat: 'heat in motors',
  controllerHeat: 'in controllers',
  hottest: 'hottest winding',
  runTime: 'pack lasts',
  parts: 'parts',
  mass: 'mass',
  price: 'price',
};

function cell(row: VariantResult, column: VariantColumn): string {
  if (column === 'hottest' && row.burnsOutAfter !== undefined)
    return `burns out, ${show(row.burnsOutAfter, 'time', 2)}`;
  const value = row[column];
  if (value === undefined) return '—';
  const dimensions: Readonly<Record<VariantColumn, Dimension>> = {
    total: 'ratio',
    time: 'time',
    top: units.value.speed,
    creep: units.value.speed,
    pull: units.value.force,
    braking: units.value.force,
    motorCurrent: 'current',
    supplyCurrent: 'current',
    motorHeat: 'power',
    controllerHeat: 'power',
    hottest: 'temperature',
    runTime: 'time',
    parts: 'number',
    mass: 'mass',
    price: 'number',
  };
  if (column === 'runTime') return lastsText(value);
  return show(value, dimensions[column], 3);
}
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Ways that are compared">
    <table class="w-full text-sm" data-testid="variants">
      <thead class="text-left">
        <tr class="border-b border-ink">
          <th scope="col" class="pr-3">variant</th>
          <th scope="col" class="pr-3">what gives first</th>
          <th v-for="column in columns" :key="column" scope="col" class="pr-3 text-right font-normal text-second">
            {{ HEADS[column] }}
          </th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.id"
          class="border-b border-hair align-baseline"
          :class="row.id === current ? 'font-semibold' : ''"
        >
          <th scope="row" class="max-w-64 py-1 pr-3 text-left font-[inherit]">
            {{ row.label }}
            <span v-if="row.note" class="block text-xs font-normal text-gives">{{ row.note }}</span>
          </th>
          <td class="min-w-32 pr-3"><FirstToGive :headline="row.headline" /></td>
          <td v-for="column in columns" :key="column" class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row, column) }}
          </td>
          <td class="text-right whitespace-nowrap">
            <span v-if="row.id === current" class="text-xs text-second">as it is</span>
            <button v-else type="button" class="act min-h-6" @click="$emit('take', row)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
