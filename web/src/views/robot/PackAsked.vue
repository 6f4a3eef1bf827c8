<script setup lang="ts">
import type { Dimension } from '@rough-gear/core';
import MeasureField from '../../components/fields/MeasureField.vue';
import type { MatchAsked } from '../../workers/questions.js';

/** How the pack is on the day: half charged, old, weak, cold; each slid or typed. */
const asked = defineModel<MatchAsked>({ required: true });

interface Field {
  readonly key: keyof MatchAsked;
  readonly label: string;
  readonly dimension: Dimension;
  readonly least: number;
  readonly most: number;
  readonly step: number;
}
const FIELDS: readonly Field[] = [
  { key: 'charge', label: 'charge at the start', dimension: 'share', least: 0.05, most: 1, step: 0.05 },
  { key: 'aged', label: 'resistance, times new', dimension: 'number', least: 1, most: 3, step: 0.1 },
  { key: 'capacity', label: 'capacity, of new', dimension: 'share', least: 0.3, most: 1, step: 0.05 },
  { key: 'celsius', label: 'pack’s warmth', dimension: 'temperature', least: -20, most: 40, step: 5 },
];
const set = (key: keyof MatchAsked, value: number) => (asked.value = { ...asked.value, [key]: value });
</script>

<template>
  <fieldset class="flex flex-wrap gap-x-5 gap-y-1 text-sm">
    <legend class="sr-only">The pack on the day</legend>
    <span v-for="field in FIELDS" :key="field.key" class="inline-flex items-center gap-1.5">
      <MeasureField
        :value="asked[field.key]"
        :dimension="field.dimension"
        :label="field.label"
        :at-least="field.dimension === 'temperature' ? -40 : field.key === 'charge' ? 0 : 0.05"
        :most="field.dimension === 'temperature' ? 60 : field.dimension === 'share' ? 1 : 10"
        class="w-14!"
        @read="set(field.key, $event)"
      />
      <input
        type="range"
        class="w-16 accent-[var(--act)]"
        :aria-label="`Slide: ${field.label}`"
        :min="field.least"
        :max="field.most"
        :step="field.step"
        :value="asked[field.key]"
        @change="set(field.key, Number(($event.target as HTMLInputElement).value))"
      />
    </span>
  </fieldset>
</template>
