<script setup lang="ts">
import { digits, showMultiple, type RatioPoint } from '@rough-gear/core';
import { useDisplay } from '../../../composables/useDisplay.js';

/** The ratio sweep for those who would rather read. */
defineProps<{ points: readonly RatioPoint[] }>();
const { show } = useDisplay();
const HEAD = [
  'total',
  'verdict',
  'gives first',
  'time',
  'peak',
  'r.m.s.',
  'from the pack',
  'energy',
  'heat',
  'least volts',
];
const text = (value: number | undefined, dimension: 'time' | 'current' | 'energy' | 'voltage') =>
  value === undefined ? '–' : show(value, dimension);
</script>

<template>
  <div class="max-h-[55vh] overflow-auto" tabindex="0" role="region" aria-label="The ratio sweep as a table">
    <table class="figures w-full text-xs">
      <thead class="sticky top-0 bg-ground">
        <tr>
          <th v-for="cell in HEAD" :key="cell" scope="col" class="border-b border-ink px-1 text-right font-semibold">
            {{ cell }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="point in points" :key="point.total" class="border-b border-hair text-right">
          <th scope="row" class="px-1 font-normal">{{ digits(point.total, 4) }}</th>
          <td class="px-1">{{ point.verdict }}</td>
          <td class="px-1">
            {{ point.fails ?? (point.first ? `${point.first.name} ${showMultiple(point.first.multiple)}` : '–') }}
          </td>
          <td class="px-1">{{ text(point.time, 'time') }}</td>
          <td class="px-1">{{ text(point.peakMotorCurrent, 'current') }}</td>
          <td class="px-1">{{ text(point.rmsMotorCurrent, 'current') }}</td>
          <td class="px-1">{{ text(point.peakSupplyCurrent, 'current') }}</td>
          <td class="px-1">{{ text(point.packEnergy, 'energy') }}</td>
          <td class="px-1">{{ text(point.heat, 'energy') }}</td>
          <td class="px-1">{{ text(point.leastPackVoltage, 'voltage') }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
