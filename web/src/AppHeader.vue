<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import PlanHistory from './PlanHistory.vue';
import { usePlan } from './stores/plan.js';
import type { SaveState } from './stores/plan/saving.js';
import { usePreferences } from './stores/preferences.js';

/** Where one is, whether it is saved, undo, and the person's own settings. */
defineEmits<{ shortcuts: [] }>();
const plan = usePlan();
const route = useRoute();
const preferences = usePreferences();
/** A trial that is open has the plan of its robot in hand: what is taken into it is undone here. */
const inPlan = computed(
  () =>
    (route.name === 'mechanism' || (route.name === 'bench' && (plan.canUndo || plan.canRedo))) &&
    plan.document !== undefined,
);
const STATES: Readonly<Record<SaveState, string>> = {
  home: 'saved',
  sending: 'saving …',
  away: 'offline: kept in this browser, sent when the server is back',
  waiting: 'kept in this browser, sent again until it is saved',
  clash: 'not saved: changed elsewhere',
  refused: 'not saved',
  looking: 'looking only: what you change here is not saved',
};
</script>

<template>
  <header class="not-printed flex min-h-11 shrink-0 flex-wrap items-center gap-x-6 gap-y-1 border-b border-ink px-4">
    <RouterLink to="/robots" class="text-base font-bold">Rough Gear</RouterLink>
    <nav aria-label="Main" class="flex flex-wrap items-center gap-x-5 gap-y-1">
      <RouterLink to="/robots" :class="route.name === 'robots' ? 'font-semibold' : 'act'">Robots</RouterLink>
      <RouterLink to="/shelf" :class="route.name === 'shelf' ? 'font-semibold' : 'act'">Shelf</RouterLink>
      <RouterLink to="/bench" :class="route.name === 'bench' ? 'font-semibold' : 'act'">Bench</RouterLink>
      <RouterLink to="/data" :class="route.name === 'data' ? 'font-semibold' : 'act'">Data</RouterLink>
      <RouterLink to="/models" :class="route.name === 'models' ? 'font-semibold' : 'act'">Models</RouterLink>
      <b v-if="inPlan" class="max-w-48 truncate">{{ plan.document?.name }}</b>
    </nav>
    <div class="ml-auto flex flex-wrap items-center gap-x-3 sm:gap-x-4">
      <template v-if="inPlan">
        <span
          role="status"
          class="text-sm"
          :class="plan.state === 'home' || plan.state === 'sending' ? 'text-second' : 'text-gives'"
          data-testid="save-state"
          >{{ STATES[plan.state] }}</span
        >
        <PlanHistory />
        <button type="button" class="act min-h-6" :disabled="!plan.canUndo" @click="plan.undo()">Undo</button>
        <button type="button" class="act min-h-6" :disabled="!plan.canRedo" @click="plan.redo()">Redo</button>
      </template>
      <button
        type="button"
        class="act min-h-6"
        :aria-label="`Units: ${preferences.units}. Change to ${preferences.units === 'metric' ? 'inch' : 'metric'}`"
        @click="preferences.units = preferences.units === 'metric' ? 'inch' : 'metric'"
      >
        {{ preferences.units }}
      </button>
      <button
        type="button"
        class="act grid size-7 place-items-center"
        :aria-label="preferences.theme === 'dark' ? 'Change to light' : 'Change to dark'"
        @click="preferences.theme = preferences.theme === 'dark' ? 'light' : 'dark'"
      >
        <Sun v-if="preferences.theme === 'dark'" :size="16" /><Moon v-else :size="16" />
      </button>
      <button type="button" class="act size-7 font-semibold" aria-label="Shortcuts" @click="$emit('shortcuts')">
        ?
      </button>
    </div>
    <p v-if="plan.unsentElsewhere.length > 0" role="status" class="basis-full pb-1 text-right text-sm text-gives">
      {{ plan.unsentElsewhere.join(', ') }} {{ plan.unsentElsewhere.length === 1 ? 'is' : 'are' }} not saved yet: kept
      in this browser, sent as soon as the server takes it.
    </p>
    <p v-if="inPlan && plan.refusal" role="alert" class="basis-full pb-1 text-right text-sm text-gives">
      {{ plan.refusal }}
    </p>
  </header>
</template>
