<script setup lang="ts">
import { MOST, verdictText } from '@rough-gear/core';
import { watch } from 'vue';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { MACHINES } from '../adding/machines.js';
import FirstToGive from '../compare/FirstToGive.vue';
import { useAnotherMachine } from './useAnotherMachine.js';

/** Another kind of machine for the same jobs: the best of it that is found, which stands beside the one in force if it is wanted. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { mechanism, commit } = useMechanism();
const { proposed, asking, share, failure, propose, stop } = useAnotherMachine();
watch(
  () => open,
  () => stop(),
);

function put(): void {
  if (!proposed.value) return;
  commit(proposed.value.changes);
  toast(`${proposed.value.name} stands beside the choice in force, which stays in force.`);
  emit('close');
}
</script>

<template>
  <BaseDialog :open="open" title="Try another machine" @close="$emit('close')">
    <p class="mb-3 text-second">
      Its jobs and its output stay. A drive and a reduction that do all jobs are looked for on the shelf, and may stand
      beside what is there: up to {{ MOST.choices }} choices are kept, and the one in force stays in force.
    </p>
    <ul class="grid gap-2">
      <li v-for="machine in MACHINES" :key="machine.id">
        <button
          type="button"
          class="squared w-full border border-line px-3 py-1.5 text-left hover:border-ink aria-pressed:border-2 aria-pressed:border-ink"
          :aria-pressed="asking === machine.id"
          @click="propose(machine.id)"
        >
          <b class="block">{{ machine.title }}</b><span class="block text-xs text-second">{{ machine.says }}</span>
        </button>
      </li>
    </ul>
    <p v-if="failure" role="alert" class="mt-3 text-gives">{{ failure }}</p>
    <p v-else-if="asking && !proposed" role="status" class="mt-3">
      looking through the shelf, {{ Math.round(100 * share) }} %
      <button type="button" class="act ml-2 min-h-6" @click="stop">Stop</button>
    </p>
    <section v-else-if="proposed" class="mt-3 border-t border-ink pt-2" role="status" data-testid="proposed">
      <p v-if="proposed.none !== undefined" class="text-sm">
        None of this kind does all jobs of {{ mechanism.name }}: {{ proposed.none }} designs of the shelf were tried.
        This one comes with what fails:
      </p>
      <p>
        <b>{{ proposed.name }}</b>: {{ verdictText(proposed.headline) }}
      </p>
      <p class="text-sm"><FirstToGive :headline="proposed.headline" /></p>
      <button type="button" class="button main mt-2" @click="put">Put it beside</button>
    </section>
  </BaseDialog>
</template>
