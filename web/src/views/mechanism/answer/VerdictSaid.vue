<script setup lang="ts">
import { capitalised, headlineSentence, ladderSentence, rungSentence, type Rung, type Verdict } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';

/** The one answer for the mechanism, in a sentence; then what else fails, and what the open situation says by itself. */
const { rung = undefined } = defineProps<{ rung?: Rung | undefined }>();

const { say } = useDisplay();
const { job, jobId, situation, result } = useMechanism();

const headline = computed(() => result.value.headline);
const whole = computed(() => headlineSentence(headline.value, result.value.jobs));
const ladder = computed(() => job.value.ladders[situation.value]);
const here = computed(() => (isHere.value ? whole.value : ladderSentence(ladder.value)));

/** The answer is that of the very gauge that is open: it is not said twice. */
const isHere = computed(() => headline.value.jobId === jobId.value && headline.value.situation === situation.value);
const alsoFailing = computed(() =>
  job.value.checks.filter(
    ({ id, verdict }) =>
      verdict === 'gives way' && !(headline.value.jobId === jobId.value && headline.value.check === id),
  ),
);

const EDGES: Readonly<Record<Verdict, string>> = {
  enough: 'border-enough',
  tight: 'border-tight',
  'gives way': 'border-gives',
  'not known': 'border-second',
};

/** Where the answer stands, when it is not what is open. */
function go(): void {
  jobId.value = headline.value.jobId;
  if (headline.value.situation !== undefined) situation.value = headline.value.situation;
}
</script>

<template>
  <div>
    <p
      v-if="!isHere"
      class="border-l-3 pl-2"
      :class="EDGES[headline.verdict]"
      :data-testid="headline.verdict === 'gives way' ? 'failing' : 'verdict'"
    >
      <b>{{ whole.lead }}</b> {{ say(whole.rest) }}
      <button v-if="headline.where && headline.jobId !== jobId" type="button" class="act" @click="go">
        {{ headline.where }}
      </button>
      <button v-else-if="headline.situation" type="button" class="act" @click="go">{{ headline.situation }}</button>
    </p>
    <p v-for="check in alsoFailing" :key="check.id" class="border-l-3 border-gives pl-2" data-testid="failing">
      <b>Gives way too.</b> {{ say(check.sentence) }}
    </p>
    <p v-if="rung" data-testid="rung-said">{{ say(rungSentence(rung, ladder, job.unit)) }}</p>
    <p v-else-if="isHere" data-testid="answer">
      <b>{{ here.lead }}</b> {{ say(here.rest) }}
    </p>
    <p v-else data-testid="answer" :class="headline.verdict === 'gives way' ? 'text-second' : ''">
      <b
        >{{ capitalised(situation) }} alone
        {{ ladder.verdict === 'gives way' ? 'it gives way' : `it is ${ladder.verdict}` }}.</b
      >
      {{ say(here.rest) }}
    </p>
  </div>
</template>
