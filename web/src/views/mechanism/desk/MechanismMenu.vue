<script setup lang="ts">
import { duplicateMechanism, MOST, removeMechanism } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import ActionMenu, { type MenuEntry } from '../../../components/widgets/ActionMenu.vue';
import NameDialog from '../../../components/widgets/NameDialog.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { usePlan } from '../../../stores/plan.js';

/** What is done with the open mechanism itself, under its name. */
const { plan, mechanism, at, commit } = useMechanism();
const store = usePlan();
const router = useRouter();
const renaming = ref(false);

const rename = (name: string): void => commit([{ at: [...at.value, 'name'], to: name }]);

function duplicate(): void {
  const { id, changes } = duplicateMechanism(plan.value, mechanism.value.id);
  commit(changes);
  void router.push({ name: 'mechanism', params: { planId: store.id, mechanismId: id } });
}

function remove(): void {
  const removed = mechanism.value;
  commit(removeMechanism(plan.value, removed.id));
  toast(`${removed.name} is removed. Undo brings it back.`);
  const next = plan.value.mechanisms[0]?.id ?? '';
  void router.replace({ name: 'mechanism', params: { planId: store.id, mechanismId: next } });
}

const entries = computed((): readonly MenuEntry[] => [
  { text: 'Rename', act: () => (renaming.value = true) },
  ...(plan.value.mechanisms.length < MOST.mechanisms ? [{ text: 'Duplicate', act: duplicate }] : []),
  {
    text: 'Measure it on the bench',
    to: { name: 'bench', query: { robot: plan.value.name, find: mechanism.value.name } },
  },
  { text: 'Remove mechanism', act: remove, apart: true },
]);
</script>

<template>
  <div>
    <ActionMenu :text="mechanism.name" :label="`${mechanism.name}: rename, duplicate, remove`" :entries="entries" />
    <NameDialog
      :open="renaming"
      title="Rename"
      label="name of the mechanism"
      :name="mechanism.name"
      done="Rename"
      @close="renaming = false"
      @named="rename"
    />
  </div>
</template>
