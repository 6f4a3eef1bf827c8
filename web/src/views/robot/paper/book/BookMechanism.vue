<script setup lang="ts">
import { verdictText } from '@rough-gear/core';
import { computed, toRef } from 'vue';
import RunChart from '../../../../components/charts/RunChart.vue';
import LimitGauge from '../../../../components/gauge/LimitGauge.vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { provideMechanism } from '../../../../composables/useMechanism.js';
import { provideSpread } from '../../../../composables/useSpread.js';
import VerdictSaid from '../../../mechanism/answer/VerdictSaid.vue';
import BookIdeas from './BookIdeas.vue';
import BookPath from './BookPath.vue';

/** One mechanism on its page: the answer, its path, its gauge, one go, and what else is not enough. */
const { mechanismId } = defineProps<{ mechanismId: string }>();
const { mechanism, choice, job, jobId, situation, result } = provideMechanism(() => mechanismId);
provideSpread(
  toRef(() => mechanismId),
  jobId,
);
const { say } = useDisplay();
const ladder = computed(() => job.value.ladders[situation.value]);
const lacking = computed(() => job.value.checks.filter(({ verdict }) => verdict !== 'enough'));
</script>

<template>
  <article class="paper mt-4 break-before-page p-4 sm:p-8 print:mt-0" :data-page="mechanismId">
    <header class="flex items-baseline justify-between gap-4 border-b-2 border-ink pb-1">
      <div class="min-w-0">
        <h2 class="text-xl break-words">{{ mechanism.name }}</h2>
        <p class="text-sm">{{ choice.name }} · {{ job.name }}, {{ situation }}</p>
      </div>
      <p class="flex shrink-0 items-center gap-2 text-lg">
        <VerdictRing :verdict="result.headline.verdict" :size="22" />{{ verdictText(result.headline) }}
      </p>
    </header>
    <VerdictSaid class="mt-2 text-sm" />
    <BookPath class="mt-3" />
    <div class="mt-4 grid gap-6 break-inside-avoid sm:grid-cols-2 print:grid-cols-2">
      <section aria-label="Gauge">
        <h3 class="text-sm">{{ situation }}</h3>
        <LimitGauge :ladder="ladder" :turning="job.unit === 'rad'" :height="260" />
      </section>
      <RunChart v-if="job.run" class="h-80" />
      <p v-else class="text-sm text-second">No run: a figure that it needs is missing.</p>
    </div>
    <BookIdeas v-if="mechanism.choices.length > 1" class="mt-4" />
    <template v-if="lacking.length > 0">
      <h3 class="mt-4 text-sm">Checks that are not enough</h3>
      <ul class="text-sm">
        <li v-for="check in lacking" :key="check.id" class="flex gap-2 break-inside-avoid py-0.5">
          <VerdictRing :verdict="check.verdict" :size="14" class="mt-0.5 shrink-0" />
          <span
            ><b class="font-semibold">{{ check.name }}, {{ check.verdict }}.</b> {{ say(check.sentence) }}</span
          >
        </li>
      </ul>
    </template>
  </article>
</template>
