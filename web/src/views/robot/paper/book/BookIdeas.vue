<script setup lang="ts">
import { headlineText, measureChoice, verdictText, WANTS, type WantId } from '@rough-gear/core';
import { computed } from 'vue';
import { outputUnits } from '../../../../components/charts/forceChart.js';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { topSpeedFor } from '../../../mechanism/choosing/side/useColumns.js';
import { wantShown } from '../../../mechanism/choosing/shortlist/wantDisplay.js';

/** The ideas that are kept for a mechanism beside each other, the one in force among them. */
const { plan, mechanism, jobId, job, path } = useMechanism();
const { show } = useDisplay();

const SHOWN: readonly WantId[] = ['time', 'mass', 'price', 'current'];
const ideas = computed(() =>
  mechanism.value.choices.map((choice) => ({
    choice,
    ...measureChoice(plan.value, mechanism.value, choice.id, jobId.value),
    top: topSpeedFor(plan.value, mechanism.value, choice, jobId.value),
  })),
);
</script>

<template>
  <section aria-label="Ideas side by side" class="break-inside-avoid" data-testid="ideas">
    <h3 class="text-sm">Ideas side by side, {{ job.name }}</h3>
    <table class="w-full text-xs">
      <thead>
        <tr class="border-b border-ink text-left">
          <th scope="col" class="pr-3">idea</th>
          <th scope="col" class="pr-3">what gives first</th>
          <th scope="col" class="pr-3 text-right">top speed</th>
          <th v-for="want in SHOWN" :key="want" scope="col" class="pr-3 text-right">{{ WANTS[want].name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in ideas" :key="one.choice.id" class="border-b border-hair align-top">
          <th scope="row" class="py-0.5 pr-3 text-left font-normal">
            {{ one.choice.name }}<b v-if="one.choice.id === mechanism.current">, in force</b>
          </th>
          <td class="pr-3">
            <VerdictRing :verdict="one.headline.verdict" :size="12" class="mr-1 inline-block align-[-2px]" />
            {{ verdictText(one.headline) }}, {{ headlineText(one.headline) }}
          </td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ one.top === undefined ? '–' : show(one.top, outputUnits(path).speed, 3) }}
          </td>
          <td v-for="want in SHOWN" :key="want" class="figures pr-3 text-right whitespace-nowrap">
            {{ wantShown(want, one.figures, path, show) }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
