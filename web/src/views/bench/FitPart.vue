<script setup lang="ts">
import { computed, ref } from 'vue';
import ChoiceTabs from '../../components/widgets/ChoiceTabs.vue';
import FitChart from './FitChart.vue';
import FoundTable from './FoundTable.vue';
import { useTrial } from './useTrial.js';

/** The fit as it grows: readings, the line through them, what is left over, and the figures with their errors. */
const { concluded } = useTrial();
const found = computed(() => (concluded.value.ok ? concluded.value.conclusion : undefined));
const plots = computed(() => found.value?.plots ?? []);
const chosen = ref('0');
const at = computed(() => Math.min(Number(chosen.value), plots.value.length - 1));
const tabs = computed(() => plots.value.map(({ y }, i) => ({ value: String(i), text: y.label })));
const wants = computed(() => (concluded.value.ok ? '' : concluded.value.wants));
</script>

<template>
  <section aria-label="Fit">
    <h2 class="mb-1">3 Fit</h2>
    <template v-if="found && plots.length > 0">
      <ChoiceTabs
        v-if="plots.length > 1"
        v-model="chosen"
        label="Which fit"
        :options="tabs"
        class="mb-1 flex-wrap text-sm"
      />
      <FitChart :plot="plots[at]!" :off="at === 0 ? found.off : undefined" />
      <FoundTable :figures="found.figures" />
    </template>
    <p v-else role="status" class="text-second">Wanted: {{ typeof wants === 'string' ? wants : '' }}</p>
  </section>
</template>
