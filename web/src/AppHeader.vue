<script setup lang="ts">
import { Moon, Redo2, Search, Sun, Undo2 } from '@lucide/vue';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import IconButton from './components/widgets/IconButton.vue';
import RobotBar from './rooms/RobotBar.vue';
import { useOpenRobot } from './rooms/useOpenRobot.js';
import { usePlan } from './stores/plan.js';
import type { SaveState } from './stores/plan/saving.js';
import { usePreferences } from './stores/preferences.js';

/** Where one is, whether it is saved, undo, what stands for all robots, and the person's own settings. */
defineEmits<{ help: []; find: [] }>();
const plan = usePlan();
const route = useRoute();
const preferences = usePreferences();
const { robot, room } = useOpenRobot();
const inPit = computed(() => room.value === 'pit');
/** A trial has the plan of its robot in hand: what is taken into it is undone there. Paper changes nothing before it was changed. */
const mayBeChanged = computed(() => route.name === 'mechanism' || plan.canUndo || plan.canRedo);
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
  <header
    class="not-printed flex min-h-11 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink px-4 lg:gap-x-5"
  >
    <RouterLink to="/robots" class="text-base font-bold" :class="inPit ? 'max-sm:hidden' : ''">Rough Gear</RouterLink>
    <RobotBar />
    <div class="ml-auto flex flex-wrap items-center gap-x-3 lg:gap-x-4" :class="inPit ? 'max-lg:hidden' : ''">
      <template v-if="robot && mayBeChanged">
        <span
          role="status"
          class="text-sm"
          :class="plan.state === 'home' || plan.state === 'sending' ? 'text-second' : 'text-gives'"
          data-testid="save-state"
          >{{ STATES[plan.state] }}</span
        >
        <span class="flex">
          <IconButton label="Undo" :disabled="!plan.canUndo" @click="plan.undo()"><Undo2 :size="16" /></IconButton>
          <IconButton label="Redo" :disabled="!plan.canRedo" @click="plan.redo()"><Redo2 :size="16" /></IconButton>
        </span>
      </template>
      <button
        type="button"
        class="act flex min-h-7 items-center gap-1.5 border border-hair px-2"
        aria-keyshortcuts="Control+K"
        @click="$emit('find')"
      >
        <Search :size="14" />Find <kbd class="key max-xl:hidden" aria-hidden="true">Ctrl K</kbd>
      </button>
      <nav aria-label="For all robots" class="flex flex-wrap items-center gap-x-4">
        <RouterLink v-if="!robot" to="/robots" :class="route.name === 'robots' ? 'font-semibold' : 'act'"
          >Robots</RouterLink
        >
        <RouterLink to="/shelf" :class="route.name === 'shelf' ? 'font-semibold' : 'act'">Shelf</RouterLink>
        <RouterLink to="/models" :class="route.name === 'models' ? 'font-semibold' : 'act'">Learn</RouterLink>
        <button type="button" class="act min-h-6" @click="$emit('help')">Help</button>
      </nav>
      <span class="flex items-center gap-x-2">
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
      </span>
    </div>
    <p v-if="plan.unsentElsewhere.length > 0" role="status" class="basis-full pb-1 text-right text-sm text-gives">
      {{ plan.unsentElsewhere.join(', ') }} {{ plan.unsentElsewhere.length === 1 ? 'is' : 'are' }} not saved yet: kept
      in this browser, sent as soon as the server takes it.
    </p>
    <p v-if="robot && plan.refusal" role="alert" class="basis-full pb-1 text-right text-sm text-gives">
      {{ plan.refusal }}
    </p>
  </header>
</template>
