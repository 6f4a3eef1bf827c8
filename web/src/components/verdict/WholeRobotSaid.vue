<script setup lang="ts">
import { robotSentence } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useRobotVerdict } from '../../composables/useRobotVerdict.js';
import { usePlan } from '../../stores/plan.js';
import VerdictRing from './VerdictRing.vue';

/** The one answer for the open robot, in a sentence that is the same on each of its pages. */
const { say } = useDisplay();
const plan = usePlan();
const { whole } = useRobotVerdict();
const said = computed(() => whole.value && robotSentence(whole.value));
const mechanism = computed(() => whole.value?.findings[0]?.mechanism);
</script>

<template>
  <p class="flex gap-2" data-testid="whole-robot" aria-live="polite">
    <template v-if="said && whole">
      <VerdictRing :verdict="whole.verdict" :size="18" class="mt-0.5 shrink-0" />
      <span class="min-w-0"
        ><b>{{ said.lead }}</b> {{ say(said.rest) }}
        <RouterLink
          v-if="mechanism"
          class="act not-printed underline"
          :to="{ name: 'mechanism', params: { planId: plan.id, mechanismId: mechanism } }"
          >Open it</RouterLink
        ></span
      >
    </template>
    <span v-else class="text-second">Looking at the whole robot: its mechanisms, matches, event sheet and wires …</span>
  </p>
</template>
