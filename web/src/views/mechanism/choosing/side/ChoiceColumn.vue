<script setup lang="ts">
import { headlineText, measureChoice, WANTS, type Choice, type WantId, verdictText } from '@rough-gear/core';
import { computed } from 'vue';
import LimitGauge from '../../../../components/gauge/LimitGauge.vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { lastsText } from '../../compare/lastsText.js';
import { wantShown } from '../shortlist/wantDisplay.js';
import WhyDialog from '../reasons/WhyDialog.vue';
import { outputUnits } from '../../../../components/charts/forceChart.js';
import { jobOf, LETTERS, runTimeFor, topSpeedFor } from './useColumns.js';

/** One choice: its verdict, its gauge in the situation that is open, what it measures; one click puts it in force. */
const { choice, index } = defineProps<{ choice: Choice; index: number }>();
const { plan, mechanism, jobId, situation, path } = useMechanism();
const { show } = useDisplay();

const SHOWN: readonly WantId[] = ['time', 'mass', 'price', 'current', 'margin', 'slow'];
const inForce = computed(() => mechanism.value.current === choice.id);
const job = computed(() => jobOf(plan.value, mechanism.value, choice, jobId.value));
const ladder = computed(() => job.value.ladders[situation.value]);
const measured = computed(() => measureChoice(plan.value, mechanism.value, choice.id, jobId.value));
/** How long this pack keeps the job going: today's and the rival's beside each other. */
const runTime = computed(() => runTimeFor(plan.value, mechanism.value, choice, jobId.value));
const top = computed(() => topSpeedFor(plan.value, mechanism.value, choice, jobId.value));
const turning = computed(() => path.value.load.unit === 'rad');
</script>

<template>
  <section
    :aria-label="`Choice ${LETTERS[index]}, ${choice.name}`"
    class="min-w-0 bg-sheet p-2"
    :class="inForce ? 'border-2 border-ink' : 'border border-line'"
  >
    <h3 class="flex items-baseline gap-2 leading-tight">
      <span class="figures">{{ LETTERS[index] }}</span><span class="min-w-0 grow hyphens-auto">{{ choice.name }}</span>
    </h3>
    <p class="mt-1 flex items-center gap-1.5 text-sm">
      <VerdictRing :verdict="measured.headline.verdict" :size="15" />
      <span
        ><b>{{ verdictText(measured.headline) }}</b
        >, {{ headlineText(measured.headline) }}</span
      >
    </p>
    <p class="text-xs text-second">{{ job.name }}, {{ situation }}</p>
    <LimitGauge :ladder="ladder" :height="130" :turning="turning" />
    <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-2 text-xs">
      <template v-for="want in SHOWN" :key="want">
        <dt class="text-second">{{ WANTS[want].name }}</dt>
        <dd class="figures text-right">{{ wantShown(want, measured.figures, path, show) }}</dd>
      </template>
      <template v-if="top !== undefined">
        <dt class="text-second">top speed</dt>
        <dd class="figures text-right" title="at full effort, under the load of this job">
          {{ show(top, outputUnits(path).speed, 3) }}
        </dd>
      </template>
      <template v-if="runTime !== undefined">
        <dt class="text-second">pack lasts</dt>
        <dd class="figures text-right" title="this job over and over, alone on the pack">
          {{ lastsText(runTime) }}
        </dd>
      </template>
    </dl>
    <p v-if="inForce" class="mt-1 min-h-6 text-sm font-semibold">in force</p>
    <WhyDialog v-else :choice="choice" class="not-printed" />
  </section>
</template>
