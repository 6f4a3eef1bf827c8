<script setup lang="ts">
import type { Link, Verdict } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import type { Drawing } from './drawings.js';
import { keyText } from './keyText.js';
import LinkDrawing from './LinkDrawing.vue';
import VerdictRing from '../verdict/VerdictRing.vue';
import VerdictWord from '../verdict/VerdictWord.vue';

/** What is written over a link, and in which verdict's colour. */
export interface LinkMark {
  readonly text: string;
  readonly verdict: Verdict;
}

/** One link of the power path: its drawing, what it is, its key number, its verdict and how much is used. */
const {
  link,
  drawing,
  open = false,
  mark = undefined,
} = defineProps<{
  link: Link;
  drawing: Drawing;
  open?: boolean;
  mark?: LinkMark | undefined;
  last: boolean;
}>();
defineEmits<{ choose: [] }>();

const { show, say } = useDisplay();
const key = computed(() => keyText(link, show));
const passes = computed(() => link.passes && show(link.passes.value, link.passes.dimension));
const turning = computed(() => !['pack', 'branch', 'controller'].includes(link.kind));
const share = computed(() => Math.min(1, link.used ?? 0));
const FILL = { enough: 'bg-enough', tight: 'bg-tight', 'gives way': 'bg-gives', 'not known': 'bg-second' } as const;
</script>

<template>
  <li class="relative min-w-0 max-lg:w-full sm:max-lg:w-1/3">
    <button
      type="button"
      class="group flex h-full w-full flex-col items-stretch pt-1.5 text-left max-lg:flex-row max-lg:items-center max-lg:gap-3 max-lg:pl-3"
      :aria-current="open ? 'true' : undefined"
      @click="$emit('choose')"
    >
      <span
        class="h-4 text-center text-xs max-lg:hidden"
        :class="mark?.verdict === 'gives way' ? 'text-gives' : mark?.verdict === 'tight' ? 'text-tight' : 'text-enough'"
      >
        <b v-if="mark">{{ mark.text }}</b>
      </span>
      <span class="flex h-10 justify-center"><LinkDrawing :drawing="drawing" /></span>
      <span
        class="mt-1 flex min-w-0 grow flex-col px-2 pt-1 pb-2"
        :class="open ? 'bg-sheet outline-3 -outline-offset-3 outline-ink' : 'group-hover:bg-sheet/70'"
      >
        <span class="flex items-center gap-1.5">
          <VerdictRing v-if="link.verdict" :verdict="link.verdict" />
          <b class="truncate">{{ link.title }}</b>
          <span v-if="mark" class="text-xs font-semibold lg:hidden">{{ mark.text }}</span>
        </span>
        <span class="truncate text-second" :title="say(link.detail)">{{ say(link.detail) }}</span>
        <span class="figures truncate text-xs" :title="key">{{
          key ?? (link.verdict === 'not known' ? 'figure missing' : ' ')
        }}</span>
        <span class="flex h-4 items-center gap-2 text-xs">
          <span v-if="link.used !== undefined && link.verdict" class="h-1.5 grow border border-line"
            ><span class="block h-full" :class="FILL[link.verdict]" :style="{ width: `${share * 100}%` }"
          /></span>
          <VerdictWord
            v-if="link.verdict"
            :verdict="link.verdict"
            :class="link.verdict === 'enough' ? 'sr-only' : 'whitespace-nowrap'"
          />
        </span>
      </span>
    </button>
    <span
      v-if="!last"
      class="pointer-events-none absolute top-[46px] left-[calc(50%+28px)] w-[calc(100%-56px)] max-lg:hidden"
      aria-hidden="true"
    >
      <span class="block border-ink" :class="turning ? 'border-t-4' : 'border-t-2'" />
      <span v-if="passes" class="figures absolute -top-5 w-full text-center text-2xs text-second">{{ passes }}</span>
    </span>
  </li>
</template>
