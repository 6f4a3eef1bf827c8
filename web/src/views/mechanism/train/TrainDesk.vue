<script setup lang="ts">
import { X } from '@lucide/vue';
import { computed, type Component } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import IconButton from '../../../components/widgets/IconButton.vue';
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
const open = computed<TrainTab>({ get: () => tab.value ?? 'stages', set: (next) => (tab.value = next) });
</script>

<template>
  <section aria-label="The train" class="flex min-h-0 grow flex-col gap-2">
    <div class="flex items-center gap-4 border-b border-hair pb-1">
      <ChoiceTabs v-model="open" :options="options" label="Page of the train" class="flex-wrap gap-x-5" />
      <IconButton class="ml-auto" label="Back to the charts" @click="tab = undefined"><X :size="16" /></IconButton>
    </div>
    <component :is="PAGES[open].page" />
  </section>
</template>
