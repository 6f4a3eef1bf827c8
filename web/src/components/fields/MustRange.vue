<script setup lang="ts">
import { refusalText } from '@rough-gear/contract/units';
import type { Dimension, Must } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** From so much to so much, either open; read as every figure is. */
const { must, dimension, name } = defineProps<{ must: Must; dimension: Dimension | 'count'; name: string }>();
const emit = defineEmits<{ change: [must: Must] }>();
const { parse } = useDisplay();

const texts = ref({ least: '', most: '' });
const read = (text: string): { readonly si?: number; readonly said?: string } => {
  if (text.trim() === '') return {};
  const parsed = parse(text, dimension === 'count' ? 'number' : dimension);
  return parsed.ok ? { si: parsed.si } : { said: refusalText(parsed) };
};
const ends = computed(() => ({ least: read(texts.value.least), most: read(texts.value.most) }));
const said = computed(() => ends.value.least.said ?? ends.value.most.said);
watch(ends, ({ least, most }) => emit('change', { ...must, least: least.si, most: most.si }));
const ENDS = [
  { id: 'least', text: 'from' },
  { id: 'most', text: 'to' },
] as const;
</script>

<template>
  <span class="flex flex-wrap items-end gap-1">
    <input
      v-for="end in ENDS"
      :key="end.id"
      v-model="texts[end.id]"
      class="figures min-h-7 w-20 border-b bg-transparent"
      :class="ends[end.id].said ? 'border-gives' : 'border-ink'"
      :aria-label="`${name} ${end.text}`"
      :aria-invalid="ends[end.id].said !== undefined"
      :placeholder="end.text"
      autocomplete="off"
    />
    <span v-if="said" role="alert" class="basis-full text-xs text-gives">{{ name }}: {{ said }}</span>
  </span>
</template>
