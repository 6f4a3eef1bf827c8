<script setup lang="ts">
import { MOST_ENTRIES } from '@rough-gear/contract/diary';
import type { DiaryLength } from '@rough-gear/contract/api';
import { shallowRef } from 'vue';
import { toast } from 'vue-sonner';
import { api } from '../../api/client.js';
import { useAccess } from '../../stores/access.js';

/** How long the diaries are, and the way to put old lines away before one is full. */
const access = useAccess();
const diaries = shallowRef<readonly DiaryLength[]>([]);
const failure = shallowRef('');
const busyWith = shallowRef('');

async function load(): Promise<void> {
  try {
    diaries.value = await api.diaries();
    failure.value = '';
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}
void load();

async function putAway({ planId, robot }: DiaryLength): Promise<void> {
  busyWith.value = planId;
  try {
    const { putAway: count } = await api.putLinesAway(planId);
    toast.success(
      count === 0
        ? `All lines of ${robot} still count: none was put away.`
        : `${count} ${count === 1 ? 'line' : 'lines'} of ${robot} put away.`,
    );
    await load();
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busyWith.value = '';
  }
}
</script>

<template>
  <section v-if="diaries.length > 0 || failure" aria-labelledby="diaries">
    <h2 id="diaries" class="mb-2 text-lg">Diaries</h2>
    <p class="mb-2 text-sm text-second">
      What was ordered, typed in, ticked and played. A diary holds {{ MOST_ENTRIES.toLocaleString('en') }} lines. Lines
      that later ones have overtaken can be put away: every page stays as it is, but for the ticks before matches more
      than ten ago.
    </p>
    <p v-if="failure" role="alert" class="text-gives">{{ failure }}</p>
    <ul class="border border-line bg-sheet">
      <li v-for="diary in diaries" :key="diary.planId" class="border-hair px-3 py-2 not-last:border-b">
        <p class="flex flex-wrap justify-between gap-x-4">
          <span class="min-w-0 break-words">{{ diary.robot }}</span>
          <span class="figures">{{ diary.lines.toLocaleString('en') }} {{ diary.lines === 1 ? 'line' : 'lines' }}</span>
        </p>
        <p class="flex flex-wrap gap-x-4 text-sm">
          <button
            v-if="access.mayChange"
            type="button"
            class="act min-h-6"
            :disabled="busyWith !== ''"
            @click="putAway(diary)"
          >
            {{ busyWith === diary.planId ? 'Looking which …' : 'Put old lines away' }}
            <span class="sr-only">of {{ diary.robot }}</span>
          </button>
          <a v-if="diary.putAway > 0" class="act min-h-6" :href="api.putAwayAddress(diary.planId)" download
            >Take along {{ diary.putAway.toLocaleString('en') }} {{ diary.putAway === 1 ? 'line' : 'lines' }} put
            away</a
          >
        </p>
      </li>
    </ul>
  </section>
</template>
