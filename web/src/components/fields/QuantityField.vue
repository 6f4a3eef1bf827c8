<script setup lang="ts">
import type { Figure, Quantity } from '@rough-gear/core';
import { refusalText, withUnit } from '@rough-gear/contract/units';
import { computed, nextTick, ref, useId } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { refusalOf, type Allowance } from './allowance.js';
import ReadChoices from './ReadChoices.vue';
import SourceTag from './SourceTag.vue';
import SourcePicker from './SourcePicker.vue';

/**
 * A figure with unit and source. Takes what people type, says what was understood, refuses what is
 * not with an example. Typing previews at once; Enter or leaving keeps it, Escape gives it up,
 * emptying it goes back to the typical value.
 */
const {
  figure,
  label = undefined,
  allow = 'positive',
  refused = undefined,
} = defineProps<{
  figure: Figure;
  label?: string;
  allow?: Allowance;
  /** Why what holds the figure would not take it, in a sentence. */
  refused?: (quantity: Quantity) => string | undefined;
}>();
const emit = defineEmits<{ preview: [quantity: Quantity]; commit: [quantity: Quantity | undefined]; cancel: [] }>();

const id = useId();
const { show, split, parse } = useDisplay();
const input = ref<HTMLInputElement>();
const editing = ref(false);
const text = ref('');
const kept = ref(true);
/** The unit and the value that stood there before anything was typed: what is typed moves the figure with it. */
const standing = ref<{ unit: string | undefined; value: number | undefined }>();

const guessed = computed(() => figure.source === 'typical' || figure.source === 'estimated');
const shown = computed(() =>
  figure.value === undefined ? undefined : split(figure.value, figure.dimension, guessed.value ? 3 : 4),
);
/** A guess says so always; where a decision or a sheet's figure comes from is told to who points at it. */
const quiet = computed(() => figure.source === 'typed' || figure.source === 'sheet');
const name = computed(() => label ?? figure.label);

const read = computed(() => {
  if (text.value.trim() === '') return undefined;
  const parsed = parse(text.value, figure.dimension, standing.value?.unit, standing.value?.value);
  if (!parsed.ok) return { ok: false as const, said: refusalText(parsed), choices: parsed.choices ?? [] };
  const refusal = refusalOf(parsed.si, allow);
  const against = refusal ? undefined : refused?.(quantity(parsed));
  if (against) return { ok: false as const, said: against, choices: [] };
  if (!refusal) return parsed;
  const said = `${show(parsed.si, figure.dimension)} is not allowed: ${refusal}`;
  return { ok: false as const, said, choices: [] };
});

function stand(): void {
  standing.value = { unit: shown.value?.unit, value: figure.value };
}

function start(): void {
  editing.value = true;
  kept.value = true;
  stand();
  text.value = figure.as && !guessed.value ? figure.as : '';
  void nextTick(() => input.value?.select());
}

function typed(): void {
  // Enter keeps the field in hand: the next figure is typed over what then stands there.
  if (!editing.value) stand();
  editing.value = true;
  kept.value = false;
  if (read.value?.ok) emit('preview', quantity(read.value));
}

const quantity = ({ si, as }: { si: number; as: string }): Quantity => ({ si, as, source: 'typed' });

function finish(): void {
  if (!editing.value) return;
  if (kept.value) {
    editing.value = false;
    return;
  }
  if (text.value.trim() === '') emit('commit', undefined);
  else if (read.value?.ok) emit('commit', quantity(read.value));
  // What cannot be understood stays in the field with its reason: nothing typed is lost.
  else return;
  editing.value = false;
  kept.value = true;
}

function giveUp(): void {
  editing.value = false;
  kept.value = true;
  text.value = '';
  emit('cancel');
  input.value?.blur();
}

function choose(choice: string): void {
  text.value = choice;
  typed();
  finish();
}

/** Arrow keys step the second digit, with Shift the first. */
function step(event: KeyboardEvent): void {
  if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
  if (figure.value === undefined) return;
  event.preventDefault();
  const current = read.value?.ok ? read.value.si : figure.value;
  const displayed = split(current, figure.dimension, 6);
  const number = Number(displayed.number);
  const size = 10 ** (Math.floor(Math.log10(Math.abs(number) || 1)) - (event.shiftKey ? 0 : 1));
  const next = Number((number + (event.key === 'ArrowUp' ? size : -size)).toPrecision(6));
  text.value = withUnit(String(next), displayed.unit);
  typed();
}

function setSource(source: Quantity['source'], from: string | undefined): void {
  if (figure.value === undefined) return;
  const as = figure.as ?? show(figure.value, figure.dimension, 6);
  emit('commit', { si: figure.value, as, source, from: from || undefined });
}
</script>

<template>
  <div class="group min-w-0">
    <label :for="id" class="block truncate text-[0.8125rem] text-second" :title="name">{{ name }}</label>
    <div class="flex items-baseline gap-1 border-b" :class="read && !read.ok ? 'border-gives' : 'border-ink'">
      <input
        :id="id"
        ref="input"
        class="figures w-full min-w-0 bg-transparent py-0.5 text-[0.8125rem]"
        :class="guessed && !editing ? 'text-guess italic' : ''"
        :value="editing ? text : shown ? withUnit(shown.number, shown.unit) : ''"
        :placeholder="shown ? withUnit(shown.number, shown.unit) : figure.optional ? 'left open' : '?'"
        :aria-invalid="read !== undefined && !read.ok"
        :aria-describedby="`${id}-said`"
        autocomplete="off"
        spellcheck="false"
        @focus="start"
        @input="
          text = ($event.target as HTMLInputElement).value;
          typed();
        "
        @keydown="step"
        @keydown.enter.prevent="finish"
        @keydown.esc.stop="giveUp"
        @blur="finish"
      />
      <SourcePicker
        v-if="figure.value !== undefined && !editing"
        :figure="figure"
        :class="quiet ? 'quiet' : ''"
        @pick="setSource"
        @clear="emit('commit', undefined)"
      />
      <SourceTag v-else-if="figure.value === undefined && !figure.optional" source="missing" />
    </div>
    <p
      :id="`${id}-said`"
      class="text-xs"
      :class="[read && !read.ok ? 'text-gives' : 'text-second', editing && !kept ? '' : 'sr-only']"
    >
      <template v-if="editing && read?.ok">understood: {{ read.understood }}</template>
      <template v-else-if="editing && read && !read.ok">
        {{ name }}: {{ read.said }}
        <ReadChoices :choices="read.choices" @choose="choose" />
      </template>
      <template v-else-if="figure.from">{{ figure.source }}: {{ figure.from }}</template>
    </p>
  </div>
</template>
