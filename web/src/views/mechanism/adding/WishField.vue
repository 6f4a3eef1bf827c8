<script setup lang="ts">
import type { Amount, Dimension, Quantity, Words } from '@rough-gear/core';
import { refusalText } from '@rough-gear/contract/units';
import { computed, ref, useId, watch } from 'vue';
import { refusalOf } from '../../../components/fields/allowance.js';
import ReadChoices from '../../../components/fields/ReadChoices.vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** A figure that is not in the plan yet: the same reading as everywhere, without a source. */
const {
  dimension,
  label,
  hint,
  orNone = false,
  needed = undefined,
} = defineProps<{ dimension: Dimension; label: string; hint: Words; orNone?: boolean; needed?: boolean | undefined }>();
/** Something stands in it that is not understood: what is typed is never dropped without a word. */
const unread = defineModel<boolean>('unread', { default: false });
const model = defineModel<Quantity | undefined>({ required: true });

const id = useId();
const { parse, say, split } = useDisplay();
const text = ref('');
/** What the hint shows: "40 mm" there, and a bare 44 is in millimetres. */
const like = computed(() => {
  const shown = typeof hint === 'string' ? [] : hint;
  return shown.find((piece) => typeof piece !== 'string' && piece.dimension === dimension) as Amount | undefined;
});
const standing = computed(() => like.value && split(like.value.value, dimension).unit);
const read = computed(() =>
  text.value.trim() === '' ? undefined : parse(text.value, dimension, standing.value, like.value?.value),
);
const allow = computed(() => (orNone ? 'not negative' : 'positive'));
const refusal = computed(() => {
  const result = read.value;
  if (!result) return '';
  if (!result.ok) return refusalText(result);
  const refused = refusalOf(result.si, allow.value);
  return refused ? `${refused} allowed` : '';
});
const choices = computed(() => (read.value && !read.value.ok ? (read.value.choices ?? []) : []));
watch(refusal, (now) => (unread.value = now !== ''));
watch(read, (result) => {
  model.value =
    result?.ok && refusalOf(result.si, allow.value) === undefined
      ? { si: result.si, as: result.as, source: 'typed' }
      : undefined;
});
watch(model, (value) => {
  if (value === undefined && read.value?.ok && refusal.value === '') text.value = '';
});
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="block text-second">{{ label }}<span v-if="needed === false"> (may stay empty)</span></label>
    <input
      :id="id"
      v-model="text"
      class="figures w-full border-b bg-transparent py-0.5"
      :class="refusal ? 'border-gives' : 'border-ink'"
      :placeholder="say(hint)"
      :aria-invalid="refusal !== ''"
      :aria-required="needed"
      :aria-describedby="`${id}-said`"
      autocomplete="off"
    />
    <p :id="`${id}-said`" class="min-h-4 text-xs" :class="refusal ? 'text-gives' : 'text-second'">
      <template v-if="refusal">
        {{ label }}: {{ refusal }}
        <ReadChoices :choices="choices" @choose="text = $event" />
      </template>
      <template v-else-if="read?.ok">understood: {{ read.understood }}</template>
    </p>
  </div>
</template>
