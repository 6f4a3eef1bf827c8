<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue';
import IconButton from '../widgets/IconButton.vue';
import { ref, useId, watch } from 'vue';

/** A whole number with buttons either side: teeth, motors, cells. Arrow keys step it. */
const {
  value,
  label,
  least = 1,
  most = 400,
} = defineProps<{ value: number; label: string; least?: number; most?: number }>();
const emit = defineEmits<{ change: [value: number] }>();

const id = useId();
const text = ref(String(value));
const said = ref('');
watch(
  () => value,
  (now) => {
    text.value = String(now);
    said.value = '';
  },
);

function set(next: number): void {
  if (!Number.isInteger(next) || next < least || next > most) {
    said.value = `${label}: ${text.value} is not allowed: a whole number from ${least} to ${most} is`;
    return;
  }
  said.value = '';
  if (next !== value) emit('change', next);
}

function step(by: number): void {
  set(Math.min(most, Math.max(least, value + by)));
}

function giveUp(): void {
  text.value = String(value);
  said.value = '';
}
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="block truncate text-[0.8125rem] text-second" :title="label">{{ label }}</label>
    <div class="flex items-center border-b" :class="said ? 'border-gives' : 'border-ink'">
      <input
        :id="id"
        v-model="text"
        class="figures w-full min-w-0 bg-transparent py-0.5 text-[0.8125rem]"
        inputmode="numeric"
        autocomplete="off"
        :aria-invalid="said !== ''"
        @keydown.enter.prevent="set(Number(text))"
        @keydown.up.prevent="step(1)"
        @keydown.down.prevent="step(-1)"
        @keydown.esc.stop="giveUp"
        @blur="set(Number(text))"
      />
      <IconButton :label="`${label}: one less`" :disabled="value <= least" @click="step(-1)"
        ><Minus :size="14"
      /></IconButton>
      <IconButton :label="`${label}: one more`" :disabled="value >= most" @click="step(1)"
        ><Plus :size="14"
      /></IconButton>
    </div>
    <p v-if="said" class="text-xs text-gives" role="alert">{{ said }}</p>
  </div>
</template>
