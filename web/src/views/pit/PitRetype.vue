<script setup lang="ts">
import { setupCards, typedState, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import RetypeList from '../../components/diary/RetypeList.vue';
import { useDiary } from '../../stores/diary.js';

/** Cards that were typed in and are not what the plan says any more. */
const { plan, planId } = defineProps<{ plan: Plan; planId: string }>();
const diary = useDiary();
const cards = computed(() => setupCards(plan));
const moved = computed(() =>
  cards.value.flatMap((card) => {
    const { retype } = typedState(card, diary.entries);
    return retype.length > 0 ? [{ card, retype }] : [];
  }),
);
</script>

<template>
  <div v-for="{ card, retype } in moved" :key="card.id" class="mt-3 border-l-4 border-gives pl-2" data-testid="moved">
    <RouterLink
      class="block min-h-11 py-1"
      :to="{ name: 'pit', params: { planId, page: 'cards' }, query: { card: card.id } }"
    >
      <span class="font-semibold underline">{{ card.of }}: retype</span>
      <RetypeList :retype="retype" class="text-sm" />
    </RouterLink>
  </div>
</template>
