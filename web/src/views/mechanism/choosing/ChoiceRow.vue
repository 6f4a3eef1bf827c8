<script setup lang="ts">
import { MOST, proposeChoice, putInForce, removeChoice, type WishMachine } from '@rough-gear/core';
import { ref } from 'vue';
import { toast } from 'vue-sonner';
import { api } from '../../../api/client.js';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { MACHINES, shelfFor } from '../adding/machines.js';

/** The ways to do this mechanism's jobs: the one in force, the others one click away, and another machine proposed. */
const { plan, mechanism, choice, link, commit } = useMechanism();
const adding = ref(false);
const busy = ref(false);

function choose(id: string): void {
  commit(putInForce(plan.value, mechanism.value.id, id));
  link.value = 'motor';
}

async function add(machine: WishMachine): Promise<void> {
  busy.value = true;
  try {
    const shelf = await shelfFor(machine, (kind) => api.shelf(kind));
    commit(proposeChoice(plan.value, mechanism.value.id, machine, shelf));
    link.value = 'motor';
    adding.value = false;
  } catch (problem) {
    toast.error((problem as Error).message);
  } finally {
    busy.value = false;
  }
}

function remove(): void {
  const gone = choice.value;
  commit(removeChoice(plan.value, mechanism.value.id, gone.id));
  link.value = 'motor';
  toast(`The choice ${gone.name} is removed. Undo brings it back.`);
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 text-sm" role="group" aria-label="Choices" data-testid="choices">
    <template v-if="mechanism.choices.length > 1">
      <span class="text-second">turned by</span>
      <ChoiceTabs
        :model-value="choice.id"
        :options="mechanism.choices.map(({ id, name }) => ({ value: id, text: name }))"
        label="The choice in force"
        class="flex-wrap gap-x-4"
        @update:model-value="choose"
      />
      <button
        type="button"
        class="act min-h-6 text-xs"
        :aria-label="`Remove the choice ${choice.name}`"
        @click="remove"
      >
        remove this one
      </button>
    </template>
    <button
      v-if="mechanism.choices.length < MOST.choices"
      type="button"
      class="act min-h-6 text-xs"
      @click="adding = true"
    >
      {{ mechanism.choices.length > 1 ? 'another' : 'Try another machine' }}
    </button>
    <BaseDialog :open="adding" title="Try another machine" @close="adding = false">
      <p class="mb-3 text-second">
        Its jobs and its output stay; drive and reduction are proposed beside what is there. Nothing is lost: up to
        {{ MOST.choices }} choices are kept.
      </p>
      <ul class="grid gap-2">
        <li v-for="machine in MACHINES" :key="machine.id">
          <button
            type="button"
            class="squared w-full border border-line px-3 py-1.5 text-left hover:border-ink"
            :disabled="busy"
            @click="add(machine.id)"
          >
            <b class="block">{{ machine.title }}</b><span class="block text-xs text-second">{{ machine.says }}</span>
          </button>
        </li>
      </ul>
    </BaseDialog>
  </div>
</template>
