<script setup lang="ts">
import type { WorkingRef } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import { useMechanism } from '../../composables/useMechanism.js';
import BranchPanel from './panels/BranchPanel.vue';
import ControllerPanel from './panels/ControllerPanel.vue';
import LoadPanel from './panels/LoadPanel.vue';
import MotorPanel from './panels/MotorPanel.vue';
import OutputPanel from './panels/OutputPanel.vue';
import PackPanel from './panels/PackPanel.vue';
import ReductionPanel from './panels/ReductionPanel.vue';

/** The fields of the open link. A stage's id opens the reduction. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { link } = useMechanism();

const PANELS: Record<string, Component> = {
  pack: PackPanel,
  branch: BranchPanel,
  controller: ControllerPanel,
  motor: MotorPanel,
  output: OutputPanel,
  load: LoadPanel,
};
const panel = computed(() => PANELS[link.value] ?? ReductionPanel);
</script>

<template>
  <component :is="panel" @working="(ref: WorkingRef, title: string) => emit('working', ref, title)" />
</template>
