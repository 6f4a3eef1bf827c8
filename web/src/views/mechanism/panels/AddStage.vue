<script setup lang="ts">
import { STAGE_NAMES, type StageKind } from '@rough-gear/core';
import { useStageList } from './useStageList.js';

/** One more stage behind the last. */
const { add, addable } = useStageList();

function chosen(event: Event): void {
  const select = event.target as HTMLSelectElement;
  if (select.value) add(select.value as StageKind);
  select.value = '';
}
</script>

<template>
  <select v-if="addable.length > 0" class="act bg-transparent" aria-label="Add a stage" @change="chosen">
    <option value="">Add a stage</option>
    <option v-for="kind in addable" :key="kind" :value="kind" class="bg-sheet text-ink">
      {{ STAGE_NAMES[kind] }}
    </option>
  </select>
</template>
