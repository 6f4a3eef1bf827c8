<script setup lang="ts">
import { TRIAL_KINDS, trialSheet, type TrialKind } from '@rough-gear/core';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useEver } from '../../composables/useEver.js';
import { lazily } from '../../components/widgets/lazily.js';
import { useAccess } from '../../stores/access.js';
import { useBench } from '../../stores/bench.js';
import { usePlan } from '../../stores/plan.js';
import { useWholeShelf } from '../../stores/shelf.js';
import BookList from './BookList.vue';
import BookTable from './BookTable.vue';
import TrialPage from './TrialPage.vue';

/** The bench book: all trials as a table, or those of one robot; or one of them, with the others at the left. */
const { trialId = '', planId = '' } = defineProps<{ trialId?: string; planId?: string }>();
const BeginTrial = lazily(() => import('./BeginTrial.vue'));

const bench = useBench();
const plan = usePlan();
const shelf = useWholeShelf();
const access = useAccess();
const router = useRouter();
const beginning = ref(false);
const everBeginning = useEver(() => beginning.value);
const route = useRoute();
/** The trial that is worth doing next leads here by its kind. */
const asked = computed((): TrialKind | undefined => TRIAL_KINDS.find((kind) => kind === route.query['begin']));
watch(
  asked,
  (kind) => {
    if (kind) beginning.value = true;
  },
  { immediate: true },
);
function stopBeginning(): void {
  beginning.value = false;
  if (asked.value) void router.replace({ query: {} });
}

onMounted(() => {
  if (trialId) void bench.loadBook();
  void shelf.load();
});
watch(
  () => trialId,
  (id) => {
    if (id) void bench.open(id);
    else document.title = 'Bench book · Rough Gear';
  },
  { immediate: true },
);
watch(
  () => planId,
  (id) => {
    if (id) void plan.open(id);
  },
  { immediate: true },
);
const robot = computed(() => (planId && plan.id === planId ? plan.document : undefined));
const shown = computed(() => (trialId !== '' && bench.id === trialId ? bench.trial : undefined));
// What is expected, and what it would change, is asked of the robot it was done on.
watch(
  shown,
  (trial, before) => {
    if (!trial) return;
    document.title = `${trialSheet(trial.kind).name}, ${trial.subject.name} · Rough Gear`;
    const { planId } = trial.subject;
    if (planId !== undefined && planId !== before?.subject.planId) void plan.open(planId);
  },
  { immediate: true },
);
</script>

<template>
  <div
    class="grid min-h-0 grow lg:grid-rows-[minmax(0,1fr)]"
    :class="trialId ? 'lg:grid-cols-[188px_minmax(0,1fr)]' : ''"
  >
    <BookList v-if="trialId" :open="trialId" class="border-ink max-lg:border-b lg:border-r" @begin="beginning = true" />
    <p v-if="planId && !robot" role="status" class="p-6 text-second">fetching the robot …</p>
    <BookTable v-else-if="!trialId" :key="planId" :robot="robot?.name" @begin="beginning = true" />
    <p v-else-if="bench.openFailure" role="alert" class="p-6">
      {{ bench.openFailure }} <RouterLink class="act underline" :to="{ name: 'bench' }">To the book</RouterLink>
    </p>
    <p v-else-if="!shown" role="status" class="p-6 text-second">fetching the trial …</p>
    <TrialPage v-else :key="trialId" />
    <BeginTrial
      v-if="everBeginning && access.mayChange"
      :open="beginning"
      :asked="asked"
      @close="stopBeginning"
      @begun="router.push({ name: 'bench', params: { trialId: $event } })"
    />
  </div>
</template>
