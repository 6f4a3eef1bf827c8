<script setup lang="ts">
import { addJob, jobIsNeeded, jobsOf, MOST, removeJob, type JobKind } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import { JOB_FIELDS } from './loadFields.js';
import { useMechanism } from '../../../composables/useMechanism.js';

/** Another job for the same mechanism: empty and full, up and down. It starts as a copy of the open one. */
const { jobAt } = defineProps<{ jobAt: readonly (string | number)[] }>();
const { plan, mechanism, path, jobId, commit } = useMechanism();

const naming = ref<'new' | 'rename'>();
const name = ref('');
const kind = ref<JobKind>(path.value.job.kind);
/** What a mechanism of its kind can be asked. */
const kinds = computed(() => jobsOf(mechanism.value.kind).map((one) => ({ value: one, text: JOB_FIELDS[one].says })));

function ask(what: 'new' | 'rename'): void {
  naming.value = what;
  kind.value = path.value.job.kind;
  name.value = what === 'rename' ? path.value.job.name : `${path.value.job.name}, other`;
}

function keep(): void {
  const text = name.value.trim();
  if (!text) return;
  if (naming.value === 'rename') commit([{ at: [...jobAt, 'name'], to: text }]);
  else {
    const { id, changes } = addJob(plan.value, mechanism.value.id, path.value.job, text, kind.value);
    commit(changes);
    jobId.value = id;
  }
  naming.value = undefined;
}

function remove(): void {
  const gone = path.value.job;
  commit(removeJob(plan.value, mechanism.value.id, gone.id));
  toast(`${gone.name} is removed. Undo brings it back.`);
}
</script>

<template>
  <button v-if="mechanism.jobs.length < MOST.jobs" type="button" class="act min-h-6" @click="ask('new')">
    Add a job
  </button>
  <button type="button" class="act min-h-6" @click="ask('rename')">Name</button>
  <button v-if="!jobIsNeeded(mechanism, path.job.id)" type="button" class="act min-h-6" @click="remove">Remove</button>
  <BaseDialog
    :open="naming !== undefined"
    :title="naming === 'new' ? 'Another job' : 'Name this job'"
    @close="naming = undefined"
  >
    <form @submit.prevent="keep">
      <p v-if="naming === 'new'" class="mb-2 text-second">
        The same mechanism, asked something else:
        {{
          kind === path.job.kind
            ? `it starts as a copy of ${path.job.name}.`
            : 'what it asks is typed then; it is not known until it is.'
        }}
        The worst of all jobs leads.
      </p>
      <ChoiceField
        v-if="naming === 'new' && kinds.length > 1"
        class="mb-3"
        :value="kind"
        label="it is to"
        :options="kinds"
        @change="kind = $event"
      />
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
