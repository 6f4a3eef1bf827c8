<script setup lang="ts">
import { figuresIn, stepsIn, typeset, texNumber, valueOf, type Dimension, type Expression } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import BaseDialog from '../widgets/BaseDialog.vue';
import SourceTag from '../fields/SourceTag.vue';
import TexFormula from './TexFormula.vue';

/** A number's working: its formula, the same with the numbers in it, each step, and where every input came from. */
const { working, title } = defineProps<{
  working: Expression | undefined;
  title: string;
  note?: string;
  /** Of the page of models. */
  section?: string | undefined;
}>();
defineEmits<{ close: [] }>();

const { show, say } = useDisplay();

interface Line {
  readonly symbol: string;
  readonly label: string;
  readonly formula: string;
  readonly numbers: string;
  readonly value: string;
  readonly how?: string;
}

const lines = computed<readonly Line[]>(() =>
  working
    ? stepsIn(working).map((step): Line => {
        const common = { symbol: step.symbol, label: step.label, value: result(valueOf(step), step.dimension) };
        if (step.op === 'found') return { ...common, formula: '', numbers: texNumber(step.value), how: say(step.how) };
        return { ...common, formula: typeset(step.of, 'symbols'), numbers: typeset(step.of, 'numbers') };
      })
    : [],
);
const figures = computed(() => (working ? figuresIn(working) : []));

function result(value: number, dimension: Dimension): string {
  return show(value, dimension, 4);
}
</script>

<template>
  <BaseDialog :open="working !== undefined" :title="title" wide @close="$emit('close')">
    <p v-if="note" class="mb-3 text-second">{{ note }}</p>
    <ol class="max-h-[52vh] overflow-auto border-y border-line" tabindex="0" aria-label="Steps of the working">
      <li v-for="line in lines" :key="line.symbol" class="border-b border-hair py-2 last:border-0">
        <p class="flex justify-between gap-4 text-second">
          <span>{{ line.label }}</span><b class="figures text-ink">{{ line.value }}</b>
        </p>
        <p class="overflow-x-auto overflow-y-hidden py-0.5" tabindex="0">
          <TexFormula
            :tex="
              line.formula && line.formula !== line.numbers
                ? `${line.symbol} = ${line.formula} = ${line.numbers}`
                : `${line.symbol} = ${line.numbers}`
            "
          />
        </p>
        <p v-if="line.how" class="text-xs text-second">{{ line.how }}</p>
      </li>
    </ol>
    <h3 class="mt-3 mb-1">From these figures</h3>
    <ul class="grid grid-cols-1 gap-x-6 sm:grid-cols-2" data-testid="working-inputs">
      <li v-for="figure in figures" :key="figure.key" class="flex items-baseline gap-2 border-b border-hair py-0.5">
        <TexFormula :tex="figure.symbol" class="min-w-14 shrink-0 pr-2" />
        <span class="min-w-0 grow truncate text-second" :title="figure.from ?? figure.label">{{ figure.label }}</span>
        <span class="figures">{{ figure.value === undefined ? '' : show(figure.value, figure.dimension, 4) }}</span>
        <SourceTag :source="figure.source" />
      </li>
    </ul>
    <p v-if="section" class="mt-3 text-sm">
      <RouterLink class="act underline" :to="{ name: 'models', hash: `#${section}` }" target="_blank"
        >The model behind it, with its assumptions</RouterLink
      >
    </p>
  </BaseDialog>
</template>
