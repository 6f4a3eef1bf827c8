<script setup lang="ts">
import { MOST, putInForce, removeChoice } from '@rough-gear/core';
import { ref } from 'vue';
import { toast } from 'vue-sonner';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import AnotherMachineDialog from './AnotherMachineDialog.vue';

/** The ways to do this mechanism's jobs: the one in force, the others one click away, and another machine proposed. */
const { plan, mechanism, choice, link, commit } = useMechanism();
const adding = ref(false);

function choose(id: string): void {
  commit(putInForce(plan.value, mechanism.value.id, id));
  link.value = 'motor';
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
      <span class="text-second">ideas</span>
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
    <AnotherMachineDialog :open="adding" @close="adding = false" />
  </div>
</template>
