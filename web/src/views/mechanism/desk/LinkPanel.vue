<script setup lang="ts">
import type { LinkKind, MachineKind, WorkingRef } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import MotorPanel from '../panels/MotorPanel.vue';
import AskHere from './AskHere.vue';
import { NO_STAGE } from '../../../components/strip/noStage.js';

/** The fields of the open link. A stage is open by its id. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { choice, link, path } = useMechanism();

const SHARED = {
  pack: lazily(() => import('../panels/PackPanel.vue')),
  branch: lazily(() => import('../panels/BranchPanel.vue')),
  stage: lazily(() => import('../panels/ReductionPanel.vue')),
  output: lazily(() => import('../panels/OutputPanel.vue')),
  load: lazily(() => import('../panels/LoadPanel.vue')),
} as const satisfies Partial<Record<LinkKind, Component>>;

const RailPanel = lazily(() => import('../panels/servo/RailPanel.vue'));

/** The panel of each link a machine has. The plain motor's is what opens first. */
const PANELS: Readonly<
  Record<MachineKind, Readonly<Partial<Record<LinkKind, Component>> & Record<'motor' | 'stage', Component>>>
> = {
  dc: { ...SHARED, controller: lazily(() => import('../panels/ControllerPanel.vue')), motor: MotorPanel },
  step: {
    ...SHARED,
    controller: lazily(() => import('../panels/step/DriverPanel.vue')),
    motor: lazily(() => import('../panels/step/StepMotorPanel.vue')),
  },
  servo: {
    ...SHARED,
    rail: RailPanel,
    controller: RailPanel,
    motor: lazily(() => import('../panels/servo/ServoPanel.vue')),
    linkage: lazily(() => import('../panels/servo/LinkagePanel.vue')),
  },
};

/** An address may name what this machine does not have: its motor is shown. */
const kind = computed<LinkKind>(() => {
  if (link.value === NO_STAGE || choice.value.stages.some(({ id }) => id === link.value)) return 'stage';
  return PANELS[path.value.machine][link.value as LinkKind] ? (link.value as LinkKind) : 'motor';
});
const panel = computed(() => PANELS[path.value.machine][kind.value]);
</script>

<template>
  <component :is="panel" @working="(ref: WorkingRef, title: string) => emit('working', ref, title)" />
  <AskHere :at="kind" :stage="kind === 'stage' ? link : undefined" />
</template>
