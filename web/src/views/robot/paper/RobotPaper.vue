<script setup lang="ts">
import { computed, watch } from 'vue';
import { usePlan } from '../../../stores/plan.js';
import PaperDesk from '../../../components/widgets/PaperDesk.vue';
import OrderPaper from './OrderPaper.vue';
import SetupPaper from './SetupPaper.vue';

/** What leaves the screen for the workshop: shown as it is printed. */
const { planId, sheet } = defineProps<{ planId: string; sheet: string }>();
const store = usePlan();
watch(
  () => planId,
  (id) => void store.open(id),
  { immediate: true },
);
const plan = computed(() => (store.id === planId ? store.document : undefined));
watch(
  [plan, () => sheet],
  ([now]) => {
    if (now) document.title = `${now.name}, ${sheet === 'order' ? 'order sheet' : 'setup cards'} · Rough Gear`;
  },
  { immediate: true },
);
</script>

<template>
  <PaperDesk :back="{ name: 'mechanism', params: { planId } }" back-text="Back to the robot">
    <template #links>
      <RouterLink
        class="act"
        :to="{ name: 'robot-paper', params: { planId, sheet: sheet === 'order' ? 'cards' : 'order' } }"
        >{{ sheet === 'order' ? 'Setup cards' : 'Order sheet' }}</RouterLink
      >
    </template>
    <p v-if="store.failure" role="alert" class="p-6">{{ store.failure }}</p>
    <p v-else-if="!plan" role="status" class="p-6 text-second">fetching the robot …</p>
    <OrderPaper v-else-if="sheet === 'order'" :plan="plan" />
    <SetupPaper v-else :plan="plan" />
  </PaperDesk>
</template>
