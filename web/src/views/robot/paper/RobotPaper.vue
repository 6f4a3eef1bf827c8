<script setup lang="ts">
import { useRobotAt } from '../../../composables/useRobotAt.js';
import NextRoom from '../../../rooms/NextRoom.vue';
import { ROOMS } from '@rough-gear/contract/find';
import { useOpenRobot } from '../../../rooms/useOpenRobot.js';
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
const { room } = useOpenRobot();
const { plan, store } = useRobotAt(
  () => planId,
  () => SHEETS.find(({ id }) => id === sheet)!.text,
);
</script>

<template>
  <PaperDesk>
    <template #links>
      <span v-if="room" class="text-second">{{ ROOMS.find(({ id }) => id === room)!.answers }}</span>
      <RouterLink
        v-if="sheet !== 'book'"
        class="act ml-auto"
        :to="{ name: 'robot-paper', params: { planId, sheet: 'book' } }"
        >whole book</RouterLink
      >
    </template>
    <p v-if="store.failure" role="alert" class="p-6">{{ store.failure }}</p>
    <p v-else-if="!plan" role="status" class="p-6 text-second">fetching the robot …</p>
    <OrderPaper v-else-if="sheet === 'order'" :plan="plan" />
    <BookPaper v-else-if="sheet === 'book'" :plan="plan" :plan-id="planId" />
    <WiringPaper v-else-if="sheet === 'wiring'" :plan="plan" />
    <SetupPaper v-else :plan="plan" :plan-id="planId" />
    <NextRoom v-if="plan && room" :of="room" class="px-4 py-4 text-center" />
  </PaperDesk>
</template>
