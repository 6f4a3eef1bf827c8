<script setup lang="ts">
import { computed, onMounted, provide, watch } from 'vue';
import { INK, INK_ON_PAPER } from '../../../composables/useChartInk.js';
import { useBench } from '../../../stores/bench.js';
import { usePlan } from '../../../stores/plan.js';
import { useWholeShelf } from '../../../stores/shelf.js';
import PaperDesk from '../../../components/widgets/PaperDesk.vue';
import PaperSheet from './PaperSheet.vue';

/** A trial as it is printed: a blank sheet to fill in by pencil, or the report. */
const { trialId, form } = defineProps<{ trialId: string; form: string }>();
const bench = useBench();
const plan = usePlan();
const shelf = useWholeShelf();
onMounted(() => void shelf.load());
watch(
  () => trialId,
  (id) => void bench.open(id),
  { immediate: true },
);
const shown = computed(() => (bench.id === trialId ? bench.trial : undefined));
watch(
  shown,
  (trial) => {
    if (trial?.subject.planId !== undefined) void plan.open(trial.subject.planId);
  },
  { immediate: true },
);
provide(INK, INK_ON_PAPER);
</script>

<template>
  <PaperDesk :back="{ name: 'bench', params: { trialId } }" back-text="Back to the trial">
    <p v-if="bench.openFailure" role="alert" class="p-6">{{ bench.openFailure }}</p>
    <p v-else-if="!shown" role="status" class="p-6 text-second">fetching the trial …</p>
    <PaperSheet v-else :key="`${trialId} ${form}`" :blank="form === 'blank'" />
  </PaperDesk>
</template>
