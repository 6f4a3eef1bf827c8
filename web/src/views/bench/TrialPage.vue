<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed } from 'vue';
import type { OutboxState } from '../../outbox/outbox.js';
import { useBench } from '../../stores/bench.js';
import { dayText } from './bookWords.js';
import FitPart from './FitPart.vue';
import ReadingsPart from './ReadingsPart.vue';
import SetUp from './SetUp.vue';
import TrialApart from './TrialApart.vue';
import TrialClashes from './TrialClashes.vue';
import TrialEnd from './TrialEnd.vue';
import TrialWhole from './TrialWhole.vue';
import WhatChanges from './WhatChanges.vue';
import { provideTrial } from './useTrial.js';

/** One trial as a sheet for the bench: set it up, read, see the fit grow, conclude; beside it what that would change. */
const bench = useBench();
const { trial, sheet } = provideTrial();
const STATES: Readonly<Record<OutboxState, string>> = {
  home: 'saved',
  sending: 'saving …',
  away: 'kept in this browser, sent when the server is back',
  waiting: 'kept in this browser, sent again until it is saved',
  clash: 'kept in this browser: decide what becomes of it',
  refused: 'not saved',
};
/** Rows of other devices show here soon. */
const LOOK_EVERY_MS = 4000;
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void bench.look();
}, LOOK_EVERY_MS);
const under = computed(() => {
  const { subject, startedAt } = trial.value;
  return [subject.name, subject.specimen && `specimen ${subject.specimen}`, subject.robot, dayText(startedAt)]
    .filter(Boolean)
    .join(' · ');
});
</script>

<template>
  <div
    v-if="trial"
    class="grid min-h-0 min-w-0 lg:grid-cols-[minmax(0,1fr)_minmax(240px,296px)] lg:grid-rows-[minmax(0,1fr)]"
  >
    <div class="min-h-0 min-w-0 overflow-y-auto px-4 py-2">
      <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
        <h1 class="text-lg">{{ sheet.name }}</h1>
        <span class="text-second">{{ under }}</span>
        <span
          role="status"
          class="ml-auto text-sm"
          :class="bench.state === 'home' || bench.state === 'sending' ? 'text-second' : 'text-gives'"
          >{{ bench.closed && bench.state === 'home' ? 'closed: nothing in it changes' : STATES[bench.state] }}</span
        >
      </div>
      <p v-if="bench.refusal" role="alert" class="mb-2 text-sm text-gives">{{ bench.refusal }}</p>
      <TrialApart v-if="bench.apart" :apart="bench.apart" />
      <TrialClashes v-if="bench.clashes.length > 0 && !bench.closed" />
      <div class="grid items-start gap-x-6 gap-y-4 xl:grid-cols-2">
        <div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
          <SetUp />
          <ReadingsPart />
        </div>
        <div class="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
          <FitPart />
          <TrialEnd />
          <TrialWhole />
        </div>
      </div>
    </div>
    <WhatChanges class="border-ink max-lg:border-t lg:border-l" />
  </div>
</template>
