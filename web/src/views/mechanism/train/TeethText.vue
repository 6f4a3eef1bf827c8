<script setup lang="ts">
import { ref } from 'vue';
import { readTeeth } from '../panels/readTeeth.js';

/**
 * Teeth as they are written, "18 → 48". Arrow keys step the driven wheel, with Shift the driver; what is typed is read
 * when it is left, and what is no pair of teeth is refused and stays as it was typed.
 */
const {
  driver,
  driven,
  label,
  fewest = 6,
} = defineProps<{ driver: number; driven: number; label: string; fewest?: number }>();
const emit = defineEmits<{ change: [teeth: { driver: number; driven: number }] }>();

const said = ref('');
const MOST = 400;
const within = (teeth: number) => Math.min(MOST, Math.max(fewest, teeth));
const written = () => `${driver} → ${driven}`;

function step(event: KeyboardEvent, by: number): void {
  event.preventDefault();
  said.value = '';
  emit('change', event.shiftKey ? { driver: within(driver + by), driven } : { driver, driven: within(driven + by) });
}

function finish(event: Event): void {
  const input = event.target as HTMLInputElement;
  if (input.value.trim() === '') input.value = written();
  if (input.value === written()) {
    said.value = '';
    return;
  }
  const read = readTeeth(input.value);
  said.value = read.ok ? '' : read.reason;
  if (!read.ok) return;
  input.value = `${read.driver} → ${read.driven}`;
  emit('change', { driver: read.driver, driven: read.driven });
}
</script>

<template>
  <input
    class="figures w-18 border-b border-ink bg-transparent text-center"
    :value="written()"
    :aria-label="`${label}: arrow keys step the driven wheel, with Shift the driver`"
    :aria-invalid="said !== ''"
    autocomplete="off"
    @keydown.up="step($event, 1)"
    @keydown.down="step($event, -1)"
    @keydown.enter.prevent="finish"
    @blur="finish"
  />
  <span v-if="said" class="text-xs text-gives" role="alert">{{ said }}</span>
</template>
