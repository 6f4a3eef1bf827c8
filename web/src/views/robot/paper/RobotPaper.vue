<script setup lang="ts">
import { useRobotAt } from '../../../composables/useRobotAt.js';
import PaperDesk from '../../../components/widgets/PaperDesk.vue';
import OrderPaper from './order/OrderPaper.vue';
import BookPaper from './book/BookPaper.vue';
import SetupPaper from './cards/SetupPaper.vue';
import WiringPaper from './wiring/WiringPaper.vue';

/** What leaves the screen for the workshop: shown as it is printed. */
const { planId, sheet } = defineProps<{ planId: string; sheet: string }>();
const SHEETS = [
  { id: 'order', text: 'order sheet' },
  { id: 'cards', text: 'setup cards' },
  { id: 'wiring', text: 'wiring' },
  { id: 'book', text: 'whole book' },
] as const;
const { plan, store } = useRobotAt(
  () => planId,
  () => SHEETS.find(({ id }) => id === sheet)!.text,
);
</script>

<template>
  <PaperDesk :back="{ name: 'mechanism', params: { planId } }" back-text="Back to the robot">
    <template #links>
      <RouterLink
        v-for="other in SHEETS.filter(({ id }) => id !== sheet)"
        :key="other.id"
        class="act"
        :to="{ name: 'robot-paper', params: { planId, sheet: other.id } }"
        >{{ other.text }}</RouterLink
      >
      <RouterLink class="act" :to="{ name: 'pit', params: { planId } }">pit</RouterLink>
    </template>
    <p v-if="store.failure" role="alert" class="p-6">{{ store.failure }}</p>
    <p v-else-if="!plan" role="status" class="p-6 text-second">fetching the robot …</p>
    <OrderPaper v-else-if="sheet === 'order'" :plan="plan" />
    <BookPaper v-else-if="sheet === 'book'" :plan="plan" :plan-id="planId" />
    <WiringPaper v-else-if="sheet === 'wiring'" :plan="plan" />
    <SetupPaper v-else :plan="plan" :plan-id="planId" />
  </PaperDesk>
</template>
