<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import type { Figure, Source } from '@rough-gear/core';
import { ref, useId } from 'vue';
import SourceTag from './SourceTag.vue';

/** The source of a figure as a small button: says where it came from, and lets that be set. */
const { figure } = defineProps<{ figure: Figure }>();
const emit = defineEmits<{ pick: [source: Source, from: string | undefined]; clear: [] }>();

const id = useId();
const CHOICES: { source: Source; means: string }[] = [
  { source: 'sheet', means: 'read off a data sheet' },
  { source: 'typed', means: 'a decision, or known' },
  { source: 'measured', means: 'measured on the bench' },
  { source: 'estimated', means: 'worked out roughly' },
];
/** Why a guess stands is no note of where a figure was read. */
const isGuess = () => figure.source === 'typical' || (figure.source === 'estimated' && figure.as === undefined);
const from = ref(isGuess() ? '' : (figure.from ?? ''));
</script>

<template>
  <Popover class="relative leading-none">
    <PopoverButton
      class="min-h-6 min-w-6"
      :aria-label="`${figure.label} is ${figure.source}${figure.from ? `: ${figure.from}` : ''}. Change the source`"
    >
      <SourceTag :source="figure.source" />
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="absolute right-0 z-30 mt-1 w-60 border border-ink bg-sheet p-3 leading-snug"
    >
      <p class="mb-2 text-xs text-second">
        {{
          isGuess()
            ? `${figure.source}: ${figure.from}. Typing a value replaces it.`
            : figure.from
              ? `from: ${figure.from}`
              : 'Where does this figure come from?'
        }}
      </p>
      <RouterLink
        v-if="figure.trial"
        class="act mb-2 block text-xs"
        :to="{ name: 'bench', params: { trialId: figure.trial } }"
        >The trial it was measured in</RouterLink
      >
      <label :for="id" class="text-xs text-second">page, run or note</label>
      <input :id="id" v-model="from" class="mb-2 w-full border-b border-ink bg-transparent" maxlength="200" />
      <button
        v-for="{ source, means } in CHOICES"
        :key="source"
        type="button"
        class="flex min-h-7 w-full items-baseline justify-between gap-2 text-left hover:bg-ground"
        :aria-pressed="figure.source === source"
        @click="
          emit('pick', source, from.trim() || undefined);
          close();
        "
      >
        <SourceTag :source="source" /><span class="text-xs text-second">{{ means }}</span>
      </button>
      <button
        v-if="!isGuess()"
        type="button"
        class="act mt-1 min-h-6 text-xs"
        @click="
          emit('clear');
          close();
        "
      >
        Forget this figure
      </button>
    </PopoverPanel>
  </Popover>
</template>
