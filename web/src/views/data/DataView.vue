<script setup lang="ts">
import type { DataState } from '@rough-gear/contract/api';
import { computed, onMounted, shallowRef } from 'vue';
import { api } from '../../api/client.js';
import { useAccess } from '../../stores/access.js';
import AccessSection from './AccessSection.vue';
import ArchiveSection from './ArchiveSection.vue';
import BackupSection from './BackupSection.vue';
import DamagedSection from './DamagedSection.vue';
import DiarySection from './DiarySection.vue';
import { bytesText } from './bytesText.js';

/** What this server holds, where copies of it are, and who may come in. */
const access = useAccess();
const state = shallowRef<DataState>();
const failure = shallowRef('');

async function load(): Promise<void> {
  failure.value = '';
  try {
    state.value = await api.data();
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}
onMounted(() => {
  document.title = 'Data · Rough Gear';
  void load();
});

const held = computed(() => {
  const now = state.value;
  if (!now) return [];
  return [
    ['robots', String(now.plans)],
    ['in the bin', String(now.binned)],
    ['saves kept', String(now.revisions)],
    ['parts on the shelf', String(now.parts)],
    ['size', bytesText(now.bytes)],
    ['room on the disk', now.freeBytes === undefined ? 'not known' : bytesText(now.freeBytes)],
  ] as const;
});
</script>

<template>
  <div class="mx-auto w-full max-w-5xl px-4 py-6">
    <div class="mb-4 flex flex-wrap items-baseline gap-x-6">
      <h1 class="text-2xl">Data</h1>
      <p class="text-second">Everything lies in one folder of the machine that serves it.</p>
    </div>
    <DamagedSection />
    <p v-if="failure" role="alert" class="border border-gives bg-sheet p-3">
      {{ failure }}<button type="button" class="act ml-3 underline" @click="load">Try again</button>
    </p>
    <p v-else-if="!state" role="status" class="text-second">Looking what is there …</p>
    <template v-else>
      <dl class="mb-6 grid grid-cols-2 border border-line bg-sheet sm:grid-cols-3 lg:grid-cols-6" data-testid="held">
        <div
          v-for="[name, value] in held"
          :key="name"
          class="border-hair px-4 py-2 not-last:border-r max-sm:even:border-r-0 sm:max-lg:nth-[3n]:border-r-0"
        >
          <dt class="text-xs text-second">{{ name }}</dt>
          <dd class="figures text-lg">{{ value }}</dd>
        </div>
      </dl>
      <div class="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <BackupSection :state="state" @changed="load" />
        <div class="grid content-start gap-6">
          <ArchiveSection @changed="load" />
          <DiarySection />
          <AccessSection v-if="access.guarded" />
        </div>
      </div>
    </template>
  </div>
</template>
