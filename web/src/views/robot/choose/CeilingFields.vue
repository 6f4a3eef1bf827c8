<script setup lang="ts">
import type { CeilingId, Ceilings, Dimension } from '@rough-gear/core';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** What may not be passed: set where the event says so, set or taken away by hand. */
const ceilings = defineModel<Ceilings>({ required: true });
const { show } = useDisplay();

interface Field {
  readonly id: CeilingId;
  readonly label: string;
  readonly dimension: Dimension;
  /** What a ceiling that is newly set begins with. */
  readonly begins: number;
}
const FIELDS: readonly Field[] = [
  { id: 'mass', label: 'mass of all mechanisms', dimension: 'mass', begins: 40 },
  { id: 'price', label: 'money still to spend', dimension: 'number', begins: 1000 },
  { id: 'motors', label: 'motors', dimension: 'number', begins: 12 },
  { id: 'slots', label: 'slots', dimension: 'number', begins: 16 },
  { id: 'kinds', label: 'kinds of motor and servo', dimension: 'number', begins: 6 },
  { id: 'charge', label: 'charge a match', dimension: 'charge', begins: 18_000 },
];
function set(id: CeilingId, value: number | undefined): void {
  const { [id]: _was, ...others } = ceilings.value;
  ceilings.value = value === undefined ? others : { ...others, [id]: value };
}
</script>

<template>
  <fieldset class="flex flex-wrap gap-x-6 gap-y-1">
    <legend class="w-full text-second">at most</legend>
    <span v-for="field in FIELDS" :key="field.id" class="flex items-baseline gap-1">
      <input
        type="checkbox"
        :aria-label="`a ceiling on ${field.label}`"
        :checked="ceilings[field.id] !== undefined"
        @change="set(field.id, ($event.target as HTMLInputElement).checked ? field.begins : undefined)"
      />
      <MeasureField
        v-if="ceilings[field.id] !== undefined"
        :value="ceilings[field.id]!"
        :dimension="field.dimension"
        :label="field.label"
        class="w-20!"
        @read="set(field.id, $event)"
      />
      <span v-else class="text-second" :title="show(field.begins, field.dimension)">{{ field.label }}: any</span>
    </span>
  </fieldset>
</template>
