<script setup lang="ts">
import { MECHANISM_JOBS, type Job } from '@rough-gear/core';
import { ref } from 'vue';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { useMechanism } from '../../../composables/useMechanism.js';

/** Another job for the same mechanism: empty and full, up and down. It starts as a copy of the open one. */
const { jobAt } = defineProps<{ jobAt: readonly (string | number)[] }>();
const { mechanism, path, jobId, at, commit } = useMechanism();

const naming = ref<'new' | 'rename'>();
const name = ref('');

function ask(what: 'new' | 'rename'): void {
  naming.value = what;
  name.value = what === 'rename' ? path.value.job.name : `${path.value.job.name}, other`;
}

function keep(): void {
  const text = name.value.trim();
  if (!text) return;
  if (naming.value === 'rename') commit([{ at: [...jobAt, 'name'], to: text }]);
  else {
    const { jobs } = mechanism.value;
    let n = jobs.length + 1;
    while (jobs.some(({ id }) => id === `job-${n}`)) n++;
    const copy: Job = { ...path.value.job, id: `job-${n}`, name: text };
    commit([{ at: [...at.value, 'jobs', jobs.length], to: copy }]);
    jobId.value = copy.id;
  }
  naming.value = undefined;
}

function remove(): void {
  const gone = path.value.job;
  const rest = mechanism.value.jobs.filter(({ id }) => id !== gone.id);
  commit([{ at: [...at.value, 'jobs'], to: rest }]);
  toast(`${gone.name} is removed. Undo brings it back.`);
}

/** A drive base keeps one of each of its jobs. */
const needed = (): boolean => {
  const { jobs } = mechanism.value;
  return (
    jobs.length === 1 ||
    (MECHANISM_JOBS[mechanism.value.kind].jobs.length > 1 &&
      jobs.filter(({ kind }) => kind === path.value.job.kind).length === 1)
  );
};
</script>

<template>
  <button type="button" class="act min-h-6" @click="ask('new')">Add a job</button>
  <button type="button" class="act min-h-6" @click="ask('rename')">Name</button>
  <button v-if="!needed()" type="button" class="act min-h-6" @click="remove">Remove</button>
  <BaseDialog
    :open="naming !== undefined"
    :title="naming === 'new' ? 'Another job' : 'Name this job'"
    @close="naming = undefined"
  >
    <form @submit.prevent="keep">
      <p v-if="naming === 'new'" class="mb-2 text-second">
        The same mechanism, asked something else: it starts as a copy of {{ path.job.name }}. The worst of all jobs
        leads.
      </p>
      <label for="job-name" class="text-second">called</label>
      <input id="job-name" v-model="name" maxlength="80" class="mb-4 w-full border-b border-ink bg-transparent py-1" />
      <div class="flex justify-end gap-3">
        <button type="submit" class="button main" :disabled="!name.trim()">
          {{ naming === 'new' ? 'Add the job' : 'Name it' }}
        </button>
      </div>
    </form>
  </BaseDialog>
</template>
