<script setup lang="ts">
import type { TrialSummary } from '@rough-gear/contract/api';
import { exportBookCsv } from '@rough-gear/contract/bench';
import { counted, FOUND, TRIALS, trialSheet, type TrialKind } from '@rough-gear/core';
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import TextField from '../../components/fields/TextField.vue';
import { save } from '../../components/widgets/save.js';
import { api } from '../../api/client.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useAccess } from '../../stores/access.js';
import NextRoom from '../../rooms/NextRoom.vue';
import { ROOMS } from '@rough-gear/contract/find';
import { useBench } from '../../stores/bench.js';
import { dayText } from './bookWords.js';
import FaultsToMeasure from './FaultsToMeasure.vue';

/** All trials, newest in front: by kind, by robot, by any word of them. */
const { robot: of = '' } = defineProps<{ robot?: string | undefined }>();
defineEmits<{ begin: [] }>();
const bench = useBench();
const access = useAccess();
const { show } = useDisplay();
const route = useRoute();
/** A mechanism leads here with its robot and its name. */
const asked = (key: string): string => (typeof route.query[key] === 'string' ? route.query[key] : '');
const sought = ref(asked('find'));
const kind = ref<TrialKind | ''>('');
const robot = ref(of || asked('robot'));
const order = ref<'date' | 'part' | 'kind'>('date');
const said = ref('');
// What was gone on with has other rows by now.
onMounted(() => void bench.loadBook());

const robots = computed(() =>
  [
    ...new Set([...bench.book.flatMap(({ subject }) => subject.robot ?? []), ...(robot.value ? [robot.value] : [])]),
  ].sort(),
);
const kinds = computed(() => TRIALS.filter((sheet) => bench.book.some((trial) => trial.kind === sheet.kind)));
const wordsOf = ({ kind: of, subject, who, used, note }: TrialSummary): string =>
  [trialSheet(of).name, subject.name, subject.specimen, subject.robot, who, used, note].join(' ').toLowerCase();
const trials = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean);
  const found = bench.book.filter(
    (trial) =>
      (kind.value === '' || trial.kind === kind.value) &&
      (robot.value === '' || trial.subject.robot === robot.value) &&
      words.every((word) => wordsOf(trial).includes(word)),
  );
  const by = { date: () => '', part: (one: TrialSummary) => one.subject.name, kind: (one: TrialSummary) => one.kind };
  return [...found].sort((a, b) => by[order.value](a).localeCompare(by[order.value](b)));
});
const foundText = ({ found }: TrialSummary): string =>
  found
    // What is lost in its own error says nothing.
    .filter(({ value, error = 0 }) => Math.abs(value) > 2 * error)
    .slice(0, 3)
    .map(({ key, value }) => `${FOUND[key].name} ${show(value, FOUND[key].dimension, 4)}`)
    .join('; ');

async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    const { added, there, refused } = await api.bringBook(JSON.parse(await file.text()));
    said.value = `${added} came in; ${there} were here already${refused.length > 0 ? `; refused: ${refused.join('; ')}` : ''}.`;
    await bench.loadBook();
  } catch (problem) {
    said.value =
      problem instanceof SyntaxError ? `${file.name} is not JSON: it is no bench book.` : (problem as Error).message;
  }
}
</script>

<template>
  <div class="flex min-h-0 min-w-0 flex-col">
    <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-ink px-4 py-2">
      <h1 class="text-lg">{{ of ? `Bench of ${of}` : 'Bench book' }}</h1>
      <button v-if="access.mayChange" type="button" class="act min-h-6" @click="$emit('begin')">New trial</button>
      <a class="act min-h-6" :href="api.bookAddress" download>Export as JSON</a>
      <button type="button" class="act min-h-6" @click="save('bench-book.csv', 'text/csv', exportBookCsv(trials))">
        Export as CSV
      </button>
      <label v-if="access.mayChange" class="act min-h-6 cursor-pointer has-focus-visible:outline-2"
        >Import<input type="file" accept=".json,application/json" class="sr-only" @change="bring"
      /></label>
      <span v-if="said" role="status" class="text-sm text-second">{{ said }}</span>
      <span class="ml-auto text-xs text-second"
        >What is measured is never overwritten: a part says which trial it has its figures from.</span
      >
    </div>
    <p v-if="of" class="px-4 pt-2 text-second">{{ ROOMS.find(({ id }) => id === 'bench')!.answers }}</p>
    <FaultsToMeasure />
    <p v-if="bench.bookState === 'away'" role="alert" class="p-6">
      {{ bench.failure }} <button type="button" class="act underline" @click="bench.loadBook()">Try again</button>
    </p>
    <p v-else-if="bench.bookState !== 'there'" role="status" class="p-6 text-second">fetching the book …</p>
    <div v-else-if="bench.book.length === 0" class="max-w-xl p-6">
      <p>No trial yet. Sheets lie, packs age, gears bind: a free run and a pull on a scale take ten minutes each.</p>
      <button v-if="access.mayChange" type="button" class="button main mt-3" @click="$emit('begin')">
        Begin a trial
      </button>
    </div>
    <template v-else>
      <div class="flex flex-wrap items-end gap-x-5 gap-y-2 px-4 py-2">
        <TextField v-model="sought" label="search" sought class="w-56" hint="part, tape, name, instrument" />
        <ChoiceField
          label="kind"
          :value="kind"
          :options="[{ value: '', text: 'all kinds' }, ...kinds.map((one) => ({ value: one.kind, text: one.name }))]"
          @change="kind = $event as TrialKind | ''"
        />
        <ChoiceField
          label="robot"
          :value="robot"
          :options="[
            { value: '', text: 'all robots, and the shelf' },
            ...robots.map((one) => ({ value: one, text: one })),
          ]"
          @change="robot = $event"
        />
        <ChoiceField
          label="in the order of"
          :value="order"
          :options="[
            { value: 'date', text: 'their dates' },
            { value: 'part', text: 'their parts' },
            { value: 'kind', text: 'their kinds' },
          ]"
          @change="order = $event"
        />
        <span role="status" class="text-sm text-second">{{ trials.length }} of {{ bench.book.length }}</span>
      </div>
      <div class="min-h-0 grow overflow-auto px-4 pb-4" tabindex="0" role="region" aria-label="Trials">
        <p v-if="trials.length === 0" class="py-3">
          Nothing here is like that yet.
          <button v-if="access.mayChange" type="button" class="act min-h-6 underline" @click="$emit('begin')">
            Begin a trial
          </button>
        </p>
        <table v-else class="w-full text-sm">
          <thead class="sticky top-0 bg-ground">
            <tr class="text-left">
              <th
                v-for="head in ['day', 'trial', 'of', 'robot', 'by', 'found', 'used in']"
                :key="head"
                scope="col"
                class="border-b border-ink px-2 py-1 font-semibold whitespace-nowrap"
              >
                {{ head }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="trial in trials" :key="trial.id" class="align-baseline hover:bg-sheet">
              <td class="border-b border-hair px-2 py-1 whitespace-nowrap">{{ dayText(trial.startedAt) }}</td>
              <th scope="row" class="border-b border-hair px-2 py-1 text-left font-semibold whitespace-nowrap">
                <RouterLink class="act" :to="{ name: 'bench', params: { trialId: trial.id } }">{{
                  trialSheet(trial.kind).name
                }}</RouterLink>
              </th>
              <td class="border-b border-hair px-2 py-1">
                {{ [trial.subject.name, trial.subject.specimen].filter(Boolean).join(', ') }}
              </td>
              <td class="border-b border-hair px-2 py-1">{{ trial.subject.robot ?? '—' }}</td>
              <td class="border-b border-hair px-2 py-1">{{ trial.who || '—' }}</td>
              <td class="border-b border-hair px-2 py-1">
                <span v-if="!trial.closedAt" class="text-tight">unfinished, {{ counted(trial.rows, 'row') }}. </span>
                <span class="figures text-xs">{{ foundText(trial) }}</span>
              </td>
              <td class="border-b border-hair px-2 py-1 text-xs">
                {{
                  trial.takings.length === 0
                    ? '—'
                    : trial.takings.map(({ part, robot: on }) => [part, on].filter(Boolean).join(', ')).join('; ')
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <NextRoom v-if="of" of="bench" class="px-4 py-3" />
  </div>
</template>
