<script setup lang="ts">
import type { Component } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import StageLengths from './StageLengths.vue';
import StageWays from './StageWays.vue';
import TrainFinder from './TrainFinder.vue';
import TrainLayout from './TrainLayout.vue';
import TrainStages from './TrainStages.vue';
import { useTrainTab, type TrainTab } from './useTrain.js';

/** The train in real teeth: its stages to scale, what the shelf offers, whole lengths, other ways, and the drawing. */
const tab = useTrainTab();

const PAGES: Record<TrainTab, { text: string; page: Component }> = {
  stages: { text: 'Stages', page: TrainStages },
  lengths: { text: 'Chain and belt', page: StageLengths },
  ways: { text: 'Gears, chain or belt', page: StageWays },
  find: { text: 'Find on the shelf', page: TrainFinder },
  layout: { text: 'Layout', page: TrainLayout },
};
const options = Object.entries(PAGES).map(([value, { text }]) => ({ value: value as TrainTab, text }));
</script>

<template>
  <div class="flex min-h-0 grow flex-col gap-2">
    <ChoiceTabs v-model="tab" :options="options" label="Page of the train" class="not-printed flex-wrap gap-x-5" />
    <component :is="PAGES[tab].page" />
  </div>
</template>
