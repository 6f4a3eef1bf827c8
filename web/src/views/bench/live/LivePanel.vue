<script setup lang="ts">
import { counted, expectedOfPart } from '@rough-gear/core';
import { computed, reactive, ref } from 'vue';
import CountField from '../../../components/fields/CountField.vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useWholeShelf } from '../../../stores/shelf.js';
import { useReadings } from '../useReadings.js';
import { useTrial } from '../useTrial.js';
import LiveChart from './LiveChart.vue';
import { fileSource, hasSerial, localSource, serialSource, simulatedSource, type RigSource } from './rigSources.js';
import { useLive } from './useLive.js';

/** A line of readings: from a rig on a port, from this machine, from a file, or from the simulated rig that ships. */
const { trial, sheet, expected } = useTrial();
const shelf = useWholeShelf();
/** What the simulated one really is stands about its sheet, not about what was measured on it since. */
const sheetSays = computed(() => {
  const item = shelf.byId.get(trial.value.subject.shelfId ?? '');
  return item ? expectedOfPart(item.part) : expected.value;
});
const { add } = useReadings();
const { show } = useDisplay();

type Where = 'simulated' | 'local' | 'serial' | 'file';
const where = ref<Where>('simulated');
const file = ref<File>();
const seed = ref(1);
const speed = ref('1');
const sources = computed((): readonly { value: Where; text: string }[] => [
  { value: 'simulated', text: 'simulated rig' },
  { value: 'local', text: 'a rig on this machine' },
  ...(hasSerial() ? [{ value: 'serial' as const, text: 'a serial port' }] : []),
  { value: 'file', text: 'a file of lines' },
]);
/** Where hands are: a stalled motor burns in seconds. */
const LONGEST = { stall: 30, pull: 60 } as Readonly<Record<string, number>>;
const limits = reactive({ current: 150, seconds: LONGEST[trial.value.kind] ?? 600, temperature: 80 });
const has = (key: string) => sheet.value.columns.some((column) => column.key === key);

const live = useLive(
  () => trial.value.kind,
  () => limits,
  (rows) => add(rows),
);
const { samples, problems, running, silent, ended, latest, rate, marks } = live;
const eachLine = computed(() => sheet.value.live === 'each line');
const clock = computed(() => (latest.value ? `${latest.value.time.toFixed(1)} s   ` : ''));
const nowText = computed(() =>
  sheet.value.columns
    .filter(({ key }) => key !== 'time')
    .flatMap(({ key, dimension, options }) => {
      const value = latest.value?.at[key];
      return value === undefined
        ? []
        : [options ? (options.find(([one]) => one === value)?.[1] ?? '') : show(value, dimension, 4)];
    })
    .join('   '),
);

function begin(): void {
  const source: RigSource | undefined =
    where.value === 'local'
      ? localSource
      : where.value === 'serial'
        ? serialSource
        : where.value === 'file'
          ? file.value && fileSource(file.value)
          : simulatedSource(
              trial.value.kind,
              sheetSays.value,
              seed.value,
              Number(speed.value),
              trial.value.given['inertia']?.si,
            );
  if (source) void live.start(source);
}
function takeReading(): void {
  const now = live.standing();
  if (now) add([now]);
}
</script>

<template>
  <section aria-label="Live line" class="border border-line bg-sheet p-3" data-testid="live">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <ChoiceField label="lines from" :value="where" :options="sources" @change="where = $event" />
      <template v-if="where === 'simulated'">
        <CountField label="specimen" :value="seed" :most="999" @change="seed = $event" />
        <ChoiceField
          label="plays"
          :value="speed"
          :options="[
            { value: '1', text: 'by the clock' },
            { value: '4', text: '4 times as fast' },
            { value: '10', text: '10 times as fast' },
          ]"
          @change="speed = $event"
        />
      </template>
      <input
        v-if="where === 'file'"
        type="file"
        aria-label="File of lines"
        accept=".csv,.txt,text/*"
        @change="file = ($event.target as HTMLInputElement).files?.[0]"
      />
      <span class="ml-auto text-sm" :class="silent ? 'text-gives' : 'text-enough'" role="status">
        {{ silent ? 'the line is silent' : running && rate > 0 ? `${rate.toFixed(0)} readings a second` : '' }}
      </span>
    </div>
    <p class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm">
      <span class="text-second">stops by itself over</span>
      <MeasureField
        v-if="has('current')"
        label="current"
        :value="limits.current"
        dimension="current"
        @read="limits.current = $event"
      />
      <MeasureField label="time" :value="limits.seconds" dimension="time" @read="limits.seconds = $event" />
      <MeasureField
        v-if="has('temperature')"
        label="warmth"
        :value="limits.temperature"
        dimension="temperature"
        @read="limits.temperature = $event"
      />
    </p>
    <LiveChart v-if="samples.length > 1" :samples="samples" :columns="sheet.columns" :marks="marks" />
    <p class="figures mt-1 min-h-5 whitespace-pre-wrap" data-testid="live-now">{{ clock }}{{ nowText }}</p>
    <div class="mt-2 flex flex-wrap gap-3">
      <button v-if="!eachLine && samples.length > 0" type="button" class="button main" @click="takeReading">
        Take this reading
      </button>
      <button
        v-if="!running"
        type="button"
        class="button"
        :class="eachLine || samples.length === 0 ? 'main' : ''"
        :disabled="where === 'file' && !file"
        @click="begin"
      >
        Start
      </button>
      <template v-else>
        <button type="button" class="button" @click="live.stop">Stop</button>
        <button type="button" class="act min-h-6" @click="live.mark">Mark</button>
        <button type="button" class="act min-h-6" @click="live.setZero">Zero here</button>
      </template>
      <span class="self-center text-sm text-second">{{
        eachLine ? 'each line is a reading' : 'a reading is the mean of the last lines, once they stand'
      }}</span>
    </div>
    <p v-if="ended" role="status" class="mt-2 text-sm">{{ ended }}</p>
    <details v-if="problems.length > 0" class="mt-1 text-sm text-tight">
      <summary>{{ counted(problems.length, 'line') }} could not be read</summary>
      <ul class="figures text-xs">
        <li v-for="(problem, i) in problems.slice(0, 20)" :key="i">{{ problem }}</li>
      </ul>
    </details>
  </section>
</template>
