<script setup lang="ts">
import type { RevisionSummary } from '@rough-gear/contract/api';
import { counted } from '@rough-gear/core';
import { format } from 'date-fns';
import { ref, watch } from 'vue';
import { api } from '../api/client.js';
import BaseDialog from '../components/widgets/BaseDialog.vue';
import { usePlan } from '../stores/plan.js';

/** Every save is a revision; an older one can be brought back, which is itself one step that undo takes back. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const plan = usePlan();
const revisions = ref<readonly RevisionSummary[]>([]);
const failure = ref('');
/** So many lines tell what a revision is about. */
const MOST = 4;

async function show(): Promise<void> {
  failure.value = '';
  try {
    await plan.flush();
    revisions.value = await api.revisions(plan.id!);
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}

watch(
  () => open,
  (now) => {
    if (now) void show();
  },
);

async function bringBack(revision: number): Promise<void> {
  try {
    plan.replace((await api.revision(plan.id!, revision)).document);
    emit('close');
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}
</script>

<template>
  <BaseDialog :open="open" title="Revisions of this plan" @close="$emit('close')">
    <p v-if="failure" role="alert" class="text-gives">They could not be fetched: {{ failure }}.</p>
    <ul class="max-h-[55vh] overflow-auto">
      <li
        v-for="{ revision, savedAt, changed } in revisions"
        :key="revision"
        class="grid grid-cols-[2.5rem_1fr_auto] items-baseline gap-x-3 border-b border-hair py-1"
      >
        <span class="figures">{{ revision }}</span><span>
          <span class="text-second">{{ format(new Date(savedAt), 'd MMM yyyy, HH:mm:ss') }}</span>
          <span v-for="line in changed?.slice(0, MOST)" :key="line" class="block text-sm">{{ line }}</span>
          <span v-if="changed && changed.length > MOST" class="block text-xs text-second"
            >and {{ counted(changed.length - MOST, 'more change') }}</span
          >
          <span v-if="changed?.length === 0" class="block text-xs text-second">saved again, with nothing changed</span>
        </span>
        <span v-if="revision === plan.revision" class="text-second">open now</span>
        <button v-else type="button" class="act min-h-6" @click="bringBack(revision)">Bring back</button>
      </li>
    </ul>
  </BaseDialog>
</template>
