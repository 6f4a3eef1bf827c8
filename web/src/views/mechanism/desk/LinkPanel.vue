<script setup lang="ts">
import type { MachineKind, WorkingRef } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import BranchPanel from '../panels/BranchPanel.vue';
import ControllerPanel from '../panels/ControllerPanel.vue';
import LoadPanel from '../panels/LoadPanel.vue';
import MotorPanel from '../panels/MotorPanel.vue';
import OutputPanel from '../panels/OutputPanel.vue';
import PackPanel from '../panels/PackPanel.vue';
import ReductionPanel from '../panels/ReductionPanel.vue';
import LinkagePanel from '../panels/servo/LinkagePanel.vue';
import RailPanel from '../panels/servo/RailPanel.vue';
import ServoPanel from '../panels/servo/ServoPanel.vue';
import DriverPanel from '../panels/step/DriverPanel.vue';
import StepMotorPanel from '../panels/step/StepMotorPanel.vue';

/** The fields of the open link. A stage's id opens the reduction. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { link, path } = useMechanism();

const SHARED: Record<string, Component> = {
  pack: PackPanel,
  branch: BranchPanel,
  output: OutputPanel,
  load: LoadPanel,
};
const OWN: Record<MachineKind, Record<string, Component>> = {
  dc: { controller: ControllerPanel, motor: MotorPanel },
  step: { controller: DriverPanel, motor: StepMotorPanel },
  servo: { rail: RailPanel, controller: RailPanel, motor: ServoPanel, linkage: LinkagePanel },
};
const panel = computed(() => SHARED[link.value] ?? OWN[path.value.machine][link.value] ?? ReductionPanel);
</script>

<template>
  <component :is="panel" @working="(ref: WorkingRef, title: string) => emit('working', ref, title)" />
</template>
