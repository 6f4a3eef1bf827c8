<script setup lang="ts">
import {
  counted,
  isDone,
  matchesPlayed,
  nextMatch,
  openFaults,
  pitChecks,
  THE_ROBOT,
  ticksFor,
  type PitCheck,
  type Plan,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import WhoField from '../../components/diary/WhoField.vue';
import CountField from '../../components/fields/CountField.vue';
import { useAccess } from '../../stores/access.js';
import { useDiary } from '../../stores/diary.js';
import FaultDialog from './FaultDialog.vue';
import PitCheckRow from './PitCheckRow.vue';

/** The list of one match: before it, after it. A tick is a line of the diary, so that two phones may tick the same list. */
const { plan } = defineProps<{ plan: Plan }>();
const diary = useDiary();
const access = useAccess();
const checks = computed(() => pitChecks(plan));
const next = computed(() => nextMatch(diary.entries));
const chosen = ref<number>();
const match = computed(() => chosen.value ?? next.value);
const isPlayed = computed(() => matchesPlayed(diary.entries).includes(match.value));
const ticks = computed(() => ticksFor(diary.entries, match.value));
const faults = computed(() => new Map(openFaults(diary.entries).map((fault) => [fault.check, fault])));
const PARTS = [
  { when: 'before', text: 'Before the match' },
  { when: 'after', text: 'After it' },
] as const;
const groups = computed(() =>
  PARTS.map(({ when, text }) => {
    const own = checks.value.filter((check) => check.when === when);
    const done = own.filter(({ id }) => isDone(ticks.value.get(id))).length;
    return { when, text, checks: own, left: own.length - done };
  }),
);
/** What is looked at on one mechanism stands together, in the order of the list. */
function byThing(list: readonly PitCheck[]): readonly { readonly thing: string; readonly list: readonly PitCheck[] }[] {
  const things = [...new Set(list.map(({ of }) => of))];
  return things.map((thing) => ({ thing, list: list.filter(({ of }) => of === thing) }));
}
const asked = ref<PitCheck | 'any'>();

function played(): void {
  diary.write({ kind: 'played', match: match.value });
  chosen.value = undefined;
}
</script>

<template>
  <section class="mt-4" :aria-label="`Checks of match ${match}`">
    <div class="grid grid-cols-2 items-end gap-4">
      <CountField label="match" :value="match" :most="9999" @change="chosen = $event" />
      <WhoField v-if="access.mayChange" />
    </div>
    <section v-for="{ when, text, checks: own, left } in groups" :key="when" class="mt-4" :aria-label="text">
      <h2 class="flex items-baseline justify-between border-b border-line pb-1">
        {{ text }} <span class="text-sm font-normal text-second">{{ left === 0 ? 'all done' : `${left} left` }}</span>
      </h2>
      <template v-for="{ thing, list } in byThing(own)" :key="thing">
        <h3 v-if="thing !== THE_ROBOT" class="mt-3 text-sm text-second">{{ thing }}</h3>
        <ul :aria-label="thing">
          <PitCheckRow
            v-for="check in list"
            :key="check.id"
            :check="check"
            :plan="plan"
            :match="match"
            :tick="ticks.get(check.id)"
            :fault="faults.get(check.id)"
            @fault="asked = check"
          />
        </ul>
      </template>
    </section>
    <button v-if="access.mayChange && !isPlayed" type="button" class="button mt-5 w-full" @click="played">
      Match {{ match }} is played
    </button>
    <p v-else-if="isPlayed" class="mt-5 text-center text-second">Match {{ match }} is played.</p>
    <div v-if="access.mayChange" class="sticky bottom-0 mt-3 bg-ground py-2">
      <button
        type="button"
        class="button min-h-12 w-full border-act! bg-act! font-semibold text-ground!"
        @click="asked = 'any'"
      >
        A fault found
      </button>
    </div>
    <p class="mt-3 text-sm text-second">
      {{ counted(matchesPlayed(diary.entries).length, 'match', 'matches') }} played: turns and hours are counted from
      them. Event rules, and whoever answers for safety here, come first.
    </p>
    <FaultDialog :asked="asked" :checks="checks" :match="match" @close="asked = undefined" />
  </section>
</template>
