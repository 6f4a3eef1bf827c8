<script setup lang="ts">
import { counted, typedState, valuesOf, type SetupCard } from '@rough-gear/core';
import { computed } from 'vue';
import { useAccess } from '../../stores/access.js';
import { useDiary } from '../../stores/diary.js';
import RetypeList from './RetypeList.vue';
import { whenText } from './whenText.js';

/** Whether a card was typed in, by whom and when, and what has moved on since. */
const { card } = defineProps<{ card: SetupCard }>();
const diary = useDiary();
const access = useAccess();
const state = computed(() => typedState(card, diary.entries));
const by = computed(() => {
  const { entry } = state.value;
  return entry && [whenText(entry.at), entry.who].filter(Boolean).join(', ');
});
</script>

<template>
  <div>
    <div v-if="state.retype.length > 0" class="border-l-4 border-gives pl-2" data-testid="retype">
      <p class="font-semibold">Retype {{ counted(state.retype.length, 'setting') }}: the plan has moved on</p>
      <RetypeList :retype="state.retype" />
      <p class="text-xs text-second">typed in {{ by }}</p>
    </div>
    <p v-else-if="state.entry" class="flex items-baseline gap-2">
      <span aria-hidden="true">☑</span><span>typed in {{ by }}</span>
    </p>
    <p v-if="!state.entry || state.retype.length > 0" class="hidden pt-1 print:block">
      ☐ typed in &nbsp; by ______________ &nbsp; on __________
    </p>
    <button
      v-if="access.mayChange && (!state.entry || state.retype.length > 0)"
      type="button"
      class="button not-printed mt-1"
      @click="diary.write({ kind: 'typed in', card: card.id, values: valuesOf(card) })"
    >
      {{ state.entry ? 'Retyped, as it stands here' : 'Typed in, as it stands here' }}
    </button>
  </div>
</template>
