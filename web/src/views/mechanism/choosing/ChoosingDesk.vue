<script setup lang="ts">
import { X } from '@lucide/vue';
import { computed, type Component } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import IconButton from '../../../components/widgets/IconButton.vue';
import GearForSpeed from './GearForSpeed.vue';
import RatioSweep from './RatioSweep.vue';
import ReasonsLog from './reasons/ReasonsLog.vue';
import ShortlistPage from './shortlist/ShortlistPage.vue';
import SideBySide from './side/SideBySide.vue';
import { useChoosingTab, type ChoosingTab } from './useChoosing.js';

/** Choosing: what the shelf offers, at which ratio, beside what, and why. */
const tab = useChoosingTab();

const PAGES: Record<ChoosingTab, { text: string; page: Component }> = {
  shortlist: { text: 'Shortlist', page: ShortlistPage },
  ratio: { text: 'Ratio', page: RatioSweep },
  speed: { text: 'For a speed', page: GearForSpeed },
  side: { text: 'Side by side', page: SideBySide },
  reasons: { text: 'Reasons', page: ReasonsLog },
};
const options = Object.entries(PAGES).map(([value, { text }]) => ({ value: value as ChoosingTab, text }));
const open = computed<ChoosingTab>({ get: () => tab.value ?? 'shortlist', set: (next) => (tab.value = next) });
</script>

<template>
  <section aria-label="Choosing" class="flex shrink-0 grow flex-col gap-2">
    <div class="flex items-center gap-4 border-b border-hair pb-1 not-printed">
      <ChoiceTabs v-model="open" :options="options" label="Page of choosing" class="flex-wrap gap-x-5" />
      <IconButton class="ml-auto" label="Back to the charts" @click="tab = undefined"><X :size="16" /></IconButton>
    </div>
    <component :is="PAGES[open].page" />
  </section>
</template>
