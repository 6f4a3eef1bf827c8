<script setup lang="ts">
import { namesFor, setupCards, typedState, type Plan } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import TypedIn from '../../components/diary/TypedIn.vue';
import SwitchDrawing from '../../components/sketches/SwitchDrawing.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useDiary } from '../../stores/diary.js';

/** Cards one under the other, each opened by a thumb. */
const { plan } = defineProps<{ plan: Plan }>();
const { say } = useDisplay();
const diary = useDiary();
const route = useRoute();
const asked = computed(() => (typeof route.query['card'] === 'string' ? route.query['card'] : ''));
const open = ref('');
watch(asked, (id) => (open.value = id), { immediate: true });
const made = computed(() => setupCards(plan));
const cards = computed(() =>
  made.value.map((card) => ({
    card,
    state: typedState(card, diary.entries),
    names: namesFor(diary.entries, card.part),
  })),
);
const standing = (state: (typeof cards.value)[number]['state']): string =>
  !state.entry ? 'not typed in' : state.retype.length > 0 ? 'retype' : 'typed in';
</script>

<template>
  <section class="mt-4" aria-label="Setup cards">
    <div v-for="{ card, state, names } in cards" :key="card.id" class="border-b border-hair" :data-card="card.id">
      <h2>
        <button
          type="button"
          class="flex min-h-11 w-full items-baseline justify-between gap-3 py-2 text-left font-normal"
          :aria-expanded="open === card.id"
          @click="open = open === card.id ? '' : card.id"
        >
          <span class="min-w-0 break-words"
            ><span class="font-semibold">{{ card.of }}</span
            ><span class="block text-sm text-second">{{ card.part }}</span></span
          >
          <span class="shrink-0 text-sm" :class="state.retype.length > 0 ? 'text-gives' : 'text-second'">{{
            standing(state)
          }}</span>
        </button>
      </h2>
      <div v-if="open === card.id" class="pb-3">
        <dl class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4">
          <template v-for="line in card.lines" :key="line.key">
            <dt class="border-t border-hair py-1">{{ names.get(line.key) ?? line.label }}</dt>
            <dd class="figures border-t border-hair py-1 text-right font-semibold">
              {{ typeof line.value === 'string' ? line.value : say(line.value) }}
            </dd>
          </template>
        </dl>
        <SwitchDrawing v-if="card.switches && card.switches.length > 0" :switches="card.switches" class="mt-2" />
        <p class="my-2 text-sm font-semibold">{{ card.cautions.join(' ') }}</p>
        <TypedIn :card="card" class="text-sm" />
      </div>
    </div>
    <p v-if="cards.length === 0" class="text-second">There is no mechanism to set up yet.</p>
  </section>
</template>
