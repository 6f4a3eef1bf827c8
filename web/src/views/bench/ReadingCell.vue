<script setup lang="ts">
import { refusalText } from '@rough-gear/contract/units';
import type { TrialColumn } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** One value: takes units as every field does; a bare number is in the unit that is shown. */
const { column, row, value, fixed } = defineProps<{
  column: TrialColumn;
  row: number;
  value: number | null;
  fixed: boolean;
}>();
const emit = defineEmits<{ put: [value: number | null] }>();
const { show, split, parse } = useDisplay();
const text = ref<string>();
const refusal = ref('');
const shown = computed(() => (value === null ? '' : show(value, column.dimension, 4)));
const chosen = computed(() => column.options?.find(([option]) => option === value)?.[1] ?? '');
const unit = computed(() => split(value ?? 1, column.dimension).unit);
const label = computed(() => `${column.label}, reading ${row + 1}`);

function finish(): void {
  if (text.value === undefined) return;
  if (text.value.trim() === '') emit('put', null);
  else {
    const parsed = parse(text.value, column.dimension, unit.value);
    if (!parsed.ok) {
      refusal.value = refusalText(parsed);
      return;
    }
    emit('put', parsed.si);
  }
  text.value = undefined;
  refusal.value = '';
}
</script>

<template>
  <span v-if="fixed" class="figures">{{ column.options ? chosen : shown }}</span>
  <select
    v-else-if="column.options"
    class="min-h-6 border-b border-hair bg-sheet"
    :aria-label="label"
    :value="value ?? ''"
    @change="
      emit(
        'put',
        ($event.target as HTMLSelectElement).value === '' ? null : Number(($event.target as HTMLSelectElement).value),
      )
    "
  >
    <option value=""></option>
    <option v-for="[option, name] in column.options" :key="option" :value="option">{{ name }}</option>
  </select>
  <template v-else>
    <input
      class="figures min-h-6 w-full min-w-16 border-b bg-transparent text-right"
      :class="refusal ? 'border-gives' : 'border-transparent hover:border-line focus:border-ink'"
      :aria-label="label"
      :aria-invalid="refusal !== ''"
      :placeholder="unit"
      :value="text ?? shown"
      autocomplete="off"
      inputmode="text"
      @input="text = ($event.target as HTMLInputElement).value"
      @focus="($event.target as HTMLInputElement).select()"
      @keydown.enter.prevent="finish"
      @keydown.esc.stop="((text = undefined), (refusal = ''))"
      @blur="finish"
    />
    <span v-if="refusal" role="alert" class="block text-left text-xs text-gives">{{ refusal }}</span>
  </template>
</template>
