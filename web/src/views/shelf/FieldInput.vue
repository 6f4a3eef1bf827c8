<script setup lang="ts">
import { cellOf, readCell, valueAt, type PartField } from '@rough-gear/contract/shelf';
import type { Figure, Part, Quantity } from '@rough-gear/core';
import { computed, ref, useId, watch } from 'vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import QuantityField from '../../components/fields/QuantityField.vue';

/** One field of a part on the shelf, in whatever form it is typed. */
const { field, part } = defineProps<{ field: PartField; part: Part }>();
const emit = defineEmits<{ change: [value: unknown] }>();
const id = useId();

const value = computed(() => valueAt(part, field.key));
const figure = computed((): Figure => {
  const quantity = value.value as Quantity | undefined;
  return {
    key: field.key,
    label: field.label,
    symbol: '',
    dimension: field.type.is === 'figure' ? field.type.dimension : 'number',
    need: 'output',
    value: quantity?.si,
    source: quantity?.source ?? 'missing',
    from: quantity?.from,
    as: quantity?.as,
    at: field.key.split('.'),
    optional: !field.needed,
  };
});

const text = ref('');
const said = ref('');
watch(
  value,
  (now) => {
    text.value = field.type.is === 'figure' ? '' : cellOf(field, now);
    said.value = '';
  },
  { immediate: true },
);

/** Lists, counts and words are typed as they stand in a file; what is not understood stays, with its reason. */
function finish(): void {
  const read = readCell(field, text.value, '');
  said.value = read.ok ? '' : read.reason;
  if (read.ok) emit('change', read.value);
}

const options = computed(() =>
  field.type.is === 'choice'
    ? [
        ...(field.needed ? [] : [{ value: '', text: 'not said' }]),
        ...field.type.options.map((option) => ({ value: String(option), text: String(option) })),
      ]
    : [],
);
function choose(picked: string): void {
  const read = readCell(field, picked, '');
  if (read.ok) emit('change', read.value);
}
</script>

<template>
  <QuantityField v-if="field.type.is === 'figure'" :figure="figure" allow="any" @commit="emit('change', $event)" />
  <ChoiceField
    v-else-if="field.type.is === 'choice'"
    :label="field.label"
    :value="value === undefined ? '' : String(value)"
    :options="options"
    @change="choose"
  />
  <label v-else-if="field.type.is === 'yes'" class="flex min-h-7 items-center gap-1.5 self-end text-sm">
    <input
      type="checkbox"
      :checked="value === true"
      @change="emit('change', ($event.target as HTMLInputElement).checked || undefined)"
    />{{ field.label }}
  </label>
  <div v-else class="min-w-0">
    <label :for="id" class="block truncate text-[0.8125rem] text-second">{{ field.label }}</label>
    <input
      :id="id"
      v-model="text"
      class="min-h-7 w-full border-b border-ink bg-transparent"
      :aria-invalid="said !== ''"
      :aria-describedby="said ? `${id}-said` : undefined"
      autocomplete="off"
      @change="finish"
    />
    <p v-if="said" :id="`${id}-said`" role="alert" class="text-xs text-gives">{{ said }}</p>
  </div>
</template>
