<script setup lang="ts">
import { harnessOf, setupCards, type Plan } from '@rough-gear/core';
import { computed, provide } from 'vue';
import { INK, INK_ON_PAPER } from '../../../../composables/useChartInk.js';
import PhoneAddressField from '../../../../components/paper/PhoneAddressField.vue';
import { placeOf } from '../cards/placeOf.js';
import SetupCardPaper from '../cards/SetupCardPaper.vue';
import OrderPaper from '../order/OrderPaper.vue';
import WiringPaper from '../wiring/WiringPaper.vue';
import BookCover from './BookCover.vue';
import BookMechanism from './BookMechanism.vue';
import BookReasons from './BookReasons.vue';

/** The whole robot for the folder: cover, a page a mechanism, cards, wiring, order, reasons. */
const { plan, planId } = defineProps<{ plan: Plan; planId: string }>();
provide(INK, INK_ON_PAPER);
const cards = computed(() => setupCards(plan));
const harness = computed(() => harnessOf(plan));
</script>

<template>
  <div class="mx-auto max-w-[200mm]">
    <div class="not-printed px-4 pt-4 sm:px-8"><PhoneAddressField /></div>
    <BookCover :plan="plan" :plan-id="planId" />
    <BookMechanism v-for="{ id } in plan.mechanisms" :key="id" :mechanism-id="id" />
    <SetupCardPaper
      v-for="card in cards"
      :key="card.id"
      :card="card"
      :place="placeOf(card, harness)"
      :robot="plan.name"
      :plan-id="planId"
      bound
    />
    <WiringPaper :plan="plan" bound />
    <OrderPaper :plan="plan" bound />
    <BookReasons :plan="plan" />
  </div>
</template>
