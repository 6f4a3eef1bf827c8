<script setup lang="ts">
import { digits, packTold, robotPack, type Plan } from '@rough-gear/core';
import { computed, ref } from 'vue';
import MeasureField from '../../components/fields/MeasureField.vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** Volts at rest and under a load: what they tell of the pack's charge and age. */
const { plan } = defineProps<{ plan: Plan }>();
const emit = defineEmits<{ read: [note: string] }>();
const { show } = useDisplay();
const pack = computed(() => robotPack(plan));
const rest = ref<number>();
const loaded = ref<number>();
const current = ref<number>();
const MOST_VOLTS = 1000;
const MOST_AMPERES = 2000;

const told = computed(() => {
  if (!pack.value || rest.value === undefined) return undefined;
  const under =
    loaded.value !== undefined && current.value !== undefined
      ? { voltage: loaded.value, current: current.value }
      : undefined;
  try {
    return { ok: true as const, ...packTold(pack.value, rest.value, under) };
  } catch (problem) {
    return { ok: false as const, why: (problem as Error).message };
  }
});
const words = computed(() => {
  if (!told.value?.ok) return '';
  const { charge, beyond, resistance, aged, worn } = told.value;
  const of =
    beyond === 'full'
      ? 'above full: hot off the charger, let it rest'
      : beyond === 'empty'
        ? 'under empty: charge it, or it is another pack'
        : `about ${digits(100 * charge, 2)} % of its charge`;
  const age =
    resistance === undefined
      ? ''
      : `; ${show(resistance, 'resistance', 2)}${aged === undefined ? '' : `, ${digits(aged, 2)} times a new one’s${worn ? ': aged, or a loose plug' : ''}`}`;
  return `${of}${age}`;
});
function keep(): void {
  if (rest.value !== undefined) emit('read', `${show(rest.value, 'voltage', 4)} at rest, ${words.value}`);
}
</script>

<template>
  <div v-if="pack" class="mb-2 ml-9 grid grid-cols-3 gap-x-3 gap-y-1 text-sm">
    <MeasureField
      stacked
      label="at rest"
      :value="rest"
      dimension="voltage"
      :most="MOST_VOLTS"
      :significant="4"
      @read="rest = $event"
    />
    <MeasureField
      stacked
      label="under load"
      :value="loaded"
      dimension="voltage"
      :at-least="0"
      :most="MOST_VOLTS"
      :significant="4"
      @read="loaded = $event"
    />
    <MeasureField
      stacked
      label="the load"
      :value="current"
      dimension="current"
      :at-least="0"
      :most="MOST_AMPERES"
      @read="current = $event"
    />
    <p v-if="told && !told.ok" role="alert" class="col-span-3 text-gives">{{ told.why }}</p>
    <template v-else-if="words">
      <p role="status" class="col-span-3" data-testid="pack-told">{{ words }}</p>
      <button type="button" class="button col-span-3" @click="keep">Ticked, with this</button>
    </template>
  </div>
</template>
