<script setup lang="ts">
import { useDisplay } from '../../../../composables/useDisplay.js';
import { choiceWords, measureChoice, putInForce, type Choice } from '@rough-gear/core';
import { ref } from 'vue';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../../components/widgets/BaseDialog.vue';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { logged } from './logged.js';

/** Puts a choice in force, and its reason into the log: over which, by which figures, and a sentence of one's own. */
const { choice } = defineProps<{ choice: Choice }>();

const { say } = useDisplay();

const { plan, mechanism, choice: current, jobId, commit, link } = useMechanism();
const open = ref(false);
const why = ref('');

function take(): void {
  const over = {
    words: choiceWords(plan.value, mechanism.value, current.value),
    figures: measureChoice(plan.value, mechanism.value, current.value.id, jobId.value).figures,
  };
  const changes = putInForce(plan.value, mechanism.value.id, choice.id);
  commit(logged(plan.value, mechanism.value.id, jobId.value, changes, over, why.value, say));
  link.value = 'motor';
  open.value = false;
  why.value = '';
  toast(`${choice.name} is in force, and the reason is in the log.`);
}
</script>

<template>
  <button type="button" class="act mt-1 min-h-6 text-sm" @click="open = true">Put in force</button>
  <BaseDialog :open="open" :title="`Put “${choice.name}” in force`" @close="open = false">
    <form @submit.prevent="take">
      <p class="mb-2 text-second">
        What it is better and worse in goes into the log by itself. The rest is yours: what decided it?
      </p>
      <label class="block text-second"
        >why this one
        <input
          v-model="why"
          class="mb-4 block w-full border-b border-ink bg-transparent py-1 text-ink"
          maxlength="500"
          autocomplete="off"
        />
      </label>
      <div class="flex justify-end gap-3">
        <button type="button" class="button" @click="open = false">Leave it</button>
        <button type="submit" class="button main">Put in force</button>
      </div>
    </form>
  </BaseDialog>
</template>
