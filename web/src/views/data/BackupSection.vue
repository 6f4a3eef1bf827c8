<script setup lang="ts">
import type { BackupKind, DataState } from '@rough-gear/contract/api';
import { format, formatDistanceToNow } from 'date-fns';
import { computed, ref } from 'vue';
import { toast } from 'vue-sonner';
import { api } from '../../api/client.js';
import { useAccess } from '../../stores/access.js';
import { bytesText } from './bytesText.js';

/** The backups: how old the newest is, all of them to be taken elsewhere, and how one is put back. */
const { state } = defineProps<{ state: DataState }>();
const emit = defineEmits<{ changed: [] }>();
const access = useAccess();
const busy = ref(false);

const KINDS: Readonly<Record<BackupKind, string>> = {
  daily: 'of the day',
  'before-update': 'before an update',
  'by-hand': 'made by hand',
};
const newest = computed(() => state.backups[0]);

async function make(): Promise<void> {
  busy.value = true;
  try {
    await api.makeBackup();
    emit('changed');
  } catch (problem) {
    toast.error((problem as Error).message);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section aria-labelledby="backups">
    <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
      <h2 id="backups" class="text-lg">Backups</h2>
      <p class="text-second">
        <template v-if="newest"
          >the newest is from {{ formatDistanceToNow(new Date(newest.madeAt), { addSuffix: true }) }}</template
        >
        <template v-else>none yet</template>
      </p>
      <button
        v-if="access.mayChange"
        type="button"
        class="button ml-auto disabled:opacity-50"
        :disabled="busy"
        @click="make"
      >
        Make one now
      </button>
    </div>
    <p v-if="state.backupFailure" role="alert" class="mb-2 border border-gives bg-sheet p-2 text-gives">
      The last backup could not be made: {{ state.backupFailure }}
    </p>
    <div
      class="max-h-80 overflow-y-auto border border-line bg-sheet"
      tabindex="0"
      role="region"
      aria-label="All backups"
    >
      <table class="w-full text-sm">
        <thead class="sr-only">
          <tr>
            <th scope="col">made</th>
            <th scope="col">why</th>
            <th scope="col">size</th>
            <th scope="col">file</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="backup in state.backups" :key="backup.name" class="border-b border-hair last:border-b-0">
            <th scope="row" class="figures px-3 py-1.5 text-left font-normal">
              {{ format(new Date(backup.madeAt), 'yyyy-MM-dd HH:mm') }}
            </th>
            <td class="px-3 py-1.5 text-second">{{ KINDS[backup.kind] }}</td>
            <td class="figures px-3 py-1.5 text-right">{{ bytesText(backup.bytes) }}</td>
            <td class="px-3 py-1.5 text-right">
              <a class="act" :href="api.backupAddress(backup.name)" download :aria-label="`Download ${backup.name}`"
                >Download</a
              >
            </td>
          </tr>
          <tr v-if="state.backups.length === 0">
            <td class="p-4 text-second">The first is made a moment after the server starts.</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 text-sm text-second">
      One is made each day and before every update of the tables; fourteen of each kind are kept, in
      <code class="figures break-all text-ink">{{ state.folder }}</code>. A disk can die as a whole: take one elsewhere
      now and then. To put one back, stop the server, then
      <code class="figures text-ink">npm run restore -- FILE</code>: it is checked first, and what it replaces is kept.
    </p>
  </section>
</template>
