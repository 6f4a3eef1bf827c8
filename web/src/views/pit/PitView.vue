<script setup lang="ts">
import { matchesPlayed, nextMatch } from '@rough-gear/core';
import { computed, onUnmounted } from 'vue';
import { useIntervalFn } from '@vueuse/core';
import DiaryState from '../../components/diary/DiaryState.vue';
import NextRoom from '../../rooms/NextRoom.vue';
import { useRobotAt } from '../../composables/useRobotAt.js';
import { useDiary } from '../../stores/diary.js';
import { usePreferences } from '../../stores/preferences.js';
import PitCards from './PitCards.vue';
import PitChecks from './PitChecks.vue';
import PitRetype from './PitRetype.vue';
import PitVerdicts from './PitVerdicts.vue';
import PitWires from './PitWires.vue';

/** Beside the robot, on a phone: what to look at, what is typed in, where wires go, what gives first. Works without a network. */
const { planId, page: asked } = defineProps<{ planId: string; page?: string }>();
const page = computed(() => asked || 'checks');
const preferences = usePreferences();
preferences.inPit = true;
const diary = useDiary();
const { plan, store } = useRobotAt(
  () => planId,
  () => 'pit',
);

/** What the others tick shows here soon. */
const LOOK_EVERY_MS = 20_000;
const { pause } = useIntervalFn(() => {
  if (document.visibilityState === 'visible') void diary.fetch();
}, LOOK_EVERY_MS);
onUnmounted(() => {
  pause();
  preferences.inPit = false;
});

const PAGES = [
  { page: 'checks', text: 'Checks' },
  { page: 'cards', text: 'Cards' },
  { page: 'wires', text: 'Wires' },
  { page: 'verdicts', text: 'Gives first' },
] as const;
const next = computed(() => nextMatch(diary.entries));
const played = computed(() => matchesPlayed(diary.entries).length);
/** A browser keeps the page itself only where it came over a line nobody can listen to. */
const keeps = window.isSecureContext;
</script>

<template>
  <div class="pit min-h-screen grow">
    <div class="mx-auto max-w-xl px-4 pt-3 pb-8">
      <header class="flex flex-wrap items-baseline justify-between gap-x-4">
        <h1 class="min-w-0 text-xl break-words">{{ plan?.name ?? 'The robot' }}, pit</h1>
        <p class="text-second">
          match {{ next }} is next<template v-if="played > 0">, {{ played }} played</template>
        </p>
      </header>
      <nav aria-label="Pit" class="mt-3 grid grid-cols-4 gap-2 text-sm sm:text-base">
        <RouterLink
          v-for="one in PAGES"
          :key="one.page"
          :to="{ name: 'pit', params: { planId, page: one.page } }"
          class="grid min-h-11 place-items-center border text-center leading-tight"
          :class="page === one.page ? 'border-ink bg-ink font-semibold text-ground' : 'border-line'"
          :aria-current="page === one.page ? 'page' : undefined"
          >{{ one.text }}</RouterLink
        >
      </nav>
      <p v-if="store.failure" role="alert" class="mt-4">{{ store.failure }}</p>
      <p v-else-if="!plan" role="status" class="mt-4 text-second">fetching the robot …</p>
      <template v-else>
        <PitRetype v-if="page === 'checks' || page === 'cards'" :plan="plan" :plan-id="planId" />
        <PitChecks v-if="page === 'checks'" :plan="plan" />
        <PitCards v-else-if="page === 'cards'" :plan="plan" />
        <PitWires v-else-if="page === 'wires'" :plan="plan" />
        <PitVerdicts v-else :plan="plan" :plan-id="planId" />
      </template>
      <footer class="mt-6 border-t border-hair pt-2 text-sm text-second">
        <DiaryState class="text-center" />
        <p v-if="!keeps" class="mt-1">
          What you tick is kept here without a network; the page itself is kept only where it came by https or on this
          very machine. Leave it open.
        </p>
        <NextRoom of="pit" class="text-center" />
      </footer>
    </div>
  </div>
</template>
