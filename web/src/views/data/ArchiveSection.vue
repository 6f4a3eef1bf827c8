<script setup lang="ts">
import type { ArchiveReport } from '@rough-gear/contract/api';
import { shallowRef } from 'vue';
import { api } from '../../api/client.js';
import { useAccess } from '../../stores/access.js';
import { useWholeShelf } from '../../stores/shelf.js';

/** Everything as one file to another machine, and back: nothing that is here is changed by it. */
const emit = defineEmits<{ changed: [] }>();
const access = useAccess();
const shelf = useWholeShelf();
const busy = shallowRef(false);
const failure = shallowRef('');
const report = shallowRef<ArchiveReport>();

async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  input.value = '';
  if (!chosen) return;
  busy.value = true;
  failure.value = '';
  report.value = undefined;
  try {
    report.value = await api.bringArchive(chosen);
    await shelf.reload();
    emit('changed');
  } catch (problem) {
    failure.value = `${chosen.name} was not taken. ${(problem as Error).message}`;
  } finally {
    busy.value = false;
  }
}
const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
</script>

<template>
  <section aria-labelledby="archive">
    <h2 id="archive" class="mb-2 text-lg">One archive of everything</h2>
    <p class="mb-2 text-sm text-second">
      All robots with their saves, the bin, the shelf and the bench book, as JSON in a zip file: for another machine, or
      for the year. Brought back, it adds what is missing and changes nothing that is here.
    </p>
    <div class="flex flex-wrap gap-3">
      <a class="button inline-block" :href="api.archiveAddress" download>Export everything</a>
      <label
        v-if="access.mayChange"
        class="button inline-block cursor-pointer has-focus-visible:outline-2"
        :class="busy ? 'opacity-50' : ''"
        >{{ busy ? 'Bringing it back …' : 'Bring an archive back'
        }}<input type="file" accept=".zip,application/zip" class="sr-only" :disabled="busy" @change="bring"
      /></label>
    </div>
    <p v-if="failure" role="alert" class="mt-2 text-gives">{{ failure }}</p>
    <div v-if="report" role="status" class="mt-2 text-sm" data-testid="archive-report">
      <p>
        {{ counted(report.plansAdded, 'robot', 'robots') }}, {{ counted(report.partsAdded, 'part', 'parts') }},
        {{ counted(report.trialsAdded, 'trial', 'trials') }} and
        {{ counted(report.entriesAdded, 'line of a diary', 'lines of diaries') }} came back; {{ report.plansThere }},
        {{ report.partsThere }} and {{ report.trialsThere }} were here already.
      </p>
      <p v-if="report.plansBeside.length > 0">
        Here in another state, so put beside: {{ report.plansBeside.join(', ') }}.
      </p>
      <ul v-if="report.refused.length > 0" class="list-disc pl-5 text-gives">
        <li v-for="why in report.refused" :key="why">{{ why }}</li>
      </ul>
    </div>
  </section>
</template>
