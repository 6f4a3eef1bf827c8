<script setup lang="ts">
import { refusalText } from '@rough-gear/contract/units';
import type { Dimension } from '@rough-gear/core';
import { computed, ref, useId } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import ReadChoices from './ReadChoices.vue';

/**
 * A measure that is asked and is no figure of the plan: a distance to try, an angle to send. Read as every figure is; what
 * is refused says why, asks where it is doubtful, and stays in the field as it was typed.
 */
const {
  value,
  dimension,
  label,
  least = 0,
  atLeast,
  most = Infinity,
  significant = 5,
} = defineProps<{
  /** Absent where nobody has said it yet. */
  value: number | undefined;
  dimension: Dimension;
  label: string;
  /** A bound that is itself not allowed: what is read must be greater, in SI. */
  least?: number;
  /** The least that is allowed, itself included, in SI; where it is given, `least` is not asked. */
  atLeast?: number;
  /** What is read may be this at most, in SI. */
  most?: number;
  significant?: number;
  /** The label is for a reader of screens only: a heading says it to the others. */
  labelHidden?: boolean;
  /** The label stands over the field, and that is as wide as there is room: in a form. */
  stacked?: boolean;
}>();
const emit = defineEmits<{ read: [si: number] }>();
defineOptions({ inheritAttrs: false });
const id = useId();
const { show, split, parse } = useDisplay();
const text = ref<string>();
const read = computed(() => {
  if (text.value === undefined || text.value.trim() === '') return undefined;
  const parsed = parse(text.value, dimension, value === undefined ? undefined : split(value, dimension).unit);
  if (!parsed.ok) return { said: refusalText(parsed), choices: parsed.choices ?? [] };
  const enough = atLeast === undefined ? parsed.si > least : parsed.si >= atLeast;
  if (enough && parsed.si <= most) return parsed;
  return { said: `${parsed.understood} is not allowed: ${allowed()} is`, choices: [] };
});
function allowed(): string {
  const low = atLeast === undefined ? `more than ${show(least, dimension)}` : show(atLeast, dimension);
  if (most === Infinity) return atLeast === undefined ? low : `${low} or more`;
  return `${low} to ${show(most, dimension)}`;
}

function finish(): void {
  if (!read.value) text.value = undefined;
  else if ('si' in read.value) {
    emit('read', read.value.si);
    text.value = undefined;
  }
}
function choose(choice: string): void {
  text.value = choice;
  finish();
}
</script>

<template>
  <span :class="stacked ? 'block min-w-0' : 'inline-flex flex-wrap items-baseline gap-x-1'">
    <label :for="id" :class="labelHidden ? 'sr-only' : stacked ? 'block text-[0.8125rem] text-second' : ''">{{
      label
    }}</label>
    <input
      v-bind="$attrs"
      :id="id"
      class="figures border-b bg-transparent"
      :class="[
        read && !('si' in read) ? 'border-gives' : 'border-ink',
        stacked ? 'min-h-7 w-full bg-sheet' : 'min-h-6 w-24',
      ]"
      :value="text ?? (value === undefined ? '' : show(value, dimension, significant))"
      :aria-invalid="read !== undefined && !('si' in read)"
      :aria-describedby="`${id}-said`"
      autocomplete="off"
      spellcheck="false"
      @focus="($event.target as HTMLInputElement).select()"
      @input="text = ($event.target as HTMLInputElement).value"
      @keydown.enter.prevent="finish"
      @keydown.esc.stop="text = undefined"
      @blur="finish"
    />
    <span v-if="read && !('si' in read)" :id="`${id}-said`" role="alert" class="text-xs text-gives"
      >{{ read.said }} <ReadChoices :choices="read.choices" @choose="choose"
    /></span>
    <span v-else-if="read" :id="`${id}-said`" class="text-xs text-second">understood: {{ read.understood }}</span>
  </span>
</template>
