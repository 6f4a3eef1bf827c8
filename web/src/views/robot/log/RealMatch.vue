<script setup lang="ts">
import { loggedShares, matchLogOf, type JudgedMatch, type MatchLog, type Plan, type Trial } from '@rough-gear/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { api } from '../../../api/client.js';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useEver } from '../../../composables/useEver.js';
import { useAccess } from '../../../stores/access.js';
import { useBench } from '../../../stores/bench.js';
import { usePlan } from '../../../stores/plan.js';
import { dayText } from '../../bench/bookWords.js';

/** A real match laid over the one that was gone through: its log is kept in the bench book. */
const { match } = defineProps<{ plan: Plan; match: JudgedMatch }>();
const emit = defineEmits<{ log: [log: MatchLog | undefined] }>();
const LogSheet = lazily(() => import('./LogSheet.vue'));
const bench = useBench();
const store = usePlan();
const access = useAccess();
const { show } = useDisplay();
const adding = ref(false);
const everAdding = useEver(() => adding.value);
const chosen = ref('');
const begins = ref(0);
const trial = shallowRef<Trial>();
const failure = ref('');

onMounted(() => void bench.loadBook());
const logs = computed(() =>
  bench.book.filter(({ kind, subject }) => kind === 'match-log' && subject.planId === store.id),
);
watch(chosen, async (id) => {
  trial.value = undefined;
  failure.value = '';
  if (id === '') return;
  try {
    const stored = await api.openTrial(id);
    if (chosen.value === id) trial.value = stored.trial;
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
});
const log = computed(() => (trial.value ? matchLogOf(trial.value, begins.value) : undefined));
watch(log, (now) => emit('log', now));
const shares = computed(() => (log.value ? loggedShares(match.result, log.value) : []));
/** Of all that has a measure. */
const share = (charge: number, of: 'predicted' | 'measured'): string => {
  const all = shares.value.at(-1)?.[of]?.charge;
  return all !== undefined && all > 0 ? show(charge / all, 'share', 2) : '';
};
</script>

<template>
  <section aria-label="A real match" class="text-sm">
    <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <h3>A real match</h3>
      <label v-if="logs.length > 0"
        ><span class="text-second">laid over it: </span
        ><select v-model="chosen" class="min-h-6 border-b border-ink bg-sheet">
          <option value="">none</option>
          <option v-for="one in logs" :key="one.id" :value="one.id">
            {{ [dayText(one.startedAt), one.note].filter(Boolean).join(', ') }}
          </option>
        </select></label
      >
      <MeasureField
        v-if="log"
        label="it begins in the log at"
        :value="begins"
        dimension="time"
        :at-least="0"
        @read="begins = $event"
      />
      <button v-if="access.mayChange" type="button" class="act min-h-6" @click="adding = true">Take in a log</button>
    </div>
    <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
    <div v-if="shares.length > 0" class="overflow-x-auto">
      <table class="w-full" data-testid="logged-shares">
        <thead>
          <tr class="text-second">
            <th
              v-for="(head, i) in ['who', 'predicted', 'of all', 'at most', 'logged', 'of all', 'at most']"
              :key="i"
              scope="col"
              class="border-b border-ink px-1 font-normal"
              :class="i === 0 ? 'text-left' : 'text-right'"
            >
              {{ head }}
            </th>
          </tr>
        </thead>
        <tbody class="figures">
          <tr v-for="one in shares" :key="one.name">
            <th scope="row" class="border-b border-hair px-1 text-left font-sans font-normal">{{ one.name }}</th>
            <td class="border-b border-hair px-1 text-right">{{ show(one.predicted.charge, 'charge') }}</td>
            <td class="border-b border-hair px-1 text-right">{{ share(one.predicted.charge, 'predicted') }}</td>
            <td class="border-b border-hair px-1 text-right">{{ show(one.predicted.peak, 'current') }}</td>
            <template v-if="one.measured">
              <td class="border-b border-hair px-1 text-right">{{ show(one.measured.charge, 'charge') }}</td>
              <td class="border-b border-hair px-1 text-right">{{ share(one.measured.charge, 'measured') }}</td>
              <td class="border-b border-hair px-1 text-right">{{ show(one.measured.peak, 'current') }}</td>
            </template>
            <td v-else colspan="3" class="border-b border-hair px-1 text-right text-second">no channel</td>
          </tr>
        </tbody>
      </table>
    </div>
    <LogSheet v-if="everAdding" :open="adding" :plan="plan" @close="adding = false" @taken="chosen = $event" />
  </section>
</template>
