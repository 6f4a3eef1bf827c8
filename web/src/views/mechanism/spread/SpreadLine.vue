<script setup lang="ts">
import { SPREAD_WORDS } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useSpread } from '../../../composables/useSpread.js';
import { lazily } from '../../../components/widgets/lazily.js';
import { useEver } from '../../../composables/useEver.js';

/** How much real builds vary, in one line: asked for, because it takes seconds. */
const { spread, progress, start, stop } = useSpread();
const { show } = useDisplay();
const open = ref(false);
const everOpen = useEver(() => open.value);
const SpreadSheet = lazily(() => import('./SpreadSheet.vue'));

const first = computed(() => spread.value?.matters[0]);
const thousands = (value: number): string => value.toLocaleString('en').replace(/,/g, ' ');
</script>

<template>
  <p class="flex min-h-6 flex-wrap items-baseline gap-x-3 text-sm" data-testid="spread-line">
    <b>Spread</b>
    <template v-if="progress !== undefined">
      <progress class="h-2 w-32 self-center" :value="progress" max="1" aria-label="Builds tried" />
      <span class="figures text-xs" role="status">{{ Math.round(progress * 100) }} %</span>
      <button type="button" class="act min-h-6" @click="stop">stop</button>
    </template>
    <template v-else-if="spread">
      <span
        >In <b class="figures">{{ thousands(spread.allPass) }}</b> of {{ thousands(spread.count) }} builds nothing gives
        way<template v-if="spread.time"
          >; time
          <span class="figures">{{ show(spread.time.low, 'time') }} to {{ show(spread.time.high, 'time') }}</span> in 90
          %</template
        ><template v-if="first">. Measure first: {{ SPREAD_WORDS[first.factor].name }}.</template></span
      >
      <button type="button" class="act min-h-6" @click="open = true">All of it</button>
    </template>
    <template v-else>
      <button type="button" class="act min-h-6" @click="start">Try 2 000 builds</button>
      <button type="button" class="act min-h-6" @click="open = true">How far they vary</button>
    </template>
  </p>
  <SpreadSheet v-if="everOpen" :open="open" @close="open = false" />
</template>
