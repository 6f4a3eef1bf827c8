<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { currentChoice, screwAt, type MachineKind } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { provideJob } from '../../../composables/useMechanism.js';
import CoilWirings from './CoilWirings.vue';
import MachineScores from './MachineScores.vue';
import MixedMotors from './MixedMotors.vue';
import MotorCounts from './MotorCounts.vue';
import ScrewLeads from './ScrewLeads.vue';
import ServoScores from './ServoScores.vue';
import ServoSisters from './ServoSisters.vue';
import StepMachines from './StepMachines.vue';
import VoltsAndSpeed from './VoltsAndSpeed.vue';
import WindingTable from './WindingTable.vue';

/** The questions about what turns it, each answered on this very mechanism. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
const { plan, path, mechanism, jobId } = provideJob();

const TABS: Record<MachineKind, readonly { name: string; sheet: Component }[]> = {
  dc: [
    { name: 'How many', sheet: MotorCounts },
    { name: 'Which winding', sheet: WindingTable },
    { name: 'Volts and speed', sheet: VoltsAndSpeed },
    { name: 'Brushed or brushless', sheet: MachineScores },
    { name: 'Two kinds mixed', sheet: MixedMotors },
  ],
  step: [{ name: 'Stepper or step servo', sheet: StepMachines }],
  servo: [
    { name: 'Which servo', sheet: ServoScores },
    { name: 'Same motor, other gears', sheet: ServoSisters },
  ],
};
/** Of a stepper whose half coils come out by themselves. */
const COILS = { name: 'Coils joined otherwise', sheet: CoilWirings };
const manyWires = computed(() => {
  const { drive } = currentChoice(mechanism.value);
  const part = drive.kind === 'step' ? plan.value.parts[drive.motor]?.part : undefined;
  return part?.kind === 'stepper' && (part.leads ?? 4) > 4;
});
/** Of a carriage on a screw. */
const LEADS = { name: 'Lead of the screw', sheet: ScrewLeads };
const tabs = computed(() => [
  ...TABS[path.value.machine],
  ...(manyWires.value ? [COILS] : []),
  ...(screwAt(path.value) >= 0 ? [LEADS] : []),
]);
</script>

<template>
  <BaseDialog :open="open" title="Compare on this mechanism" widest @close="$emit('close')">
    <div v-if="mechanism.jobs.length > 1" class="mb-2 flex flex-wrap items-baseline gap-x-4 text-sm">
      <span>Compared on</span>
      <ChoiceTabs
        v-model="jobId"
        :options="mechanism.jobs.map(({ id, name }) => ({ value: id, text: name }))"
        label="The job that is compared"
        class="flex-wrap gap-x-4"
      />
      <span class="text-xs text-second">What gives first is over all jobs; every other number is of this one.</span>
    </div>
    <TabGroup>
      <TabList class="mb-3 flex flex-wrap gap-x-5 border-b border-ink">
        <Tab v-for="tab in tabs" :key="tab.name" v-slot="{ selected }" as="template">
          <button
            type="button"
            class="-mb-px min-h-8"
            :class="selected ? 'border-b-3 border-ink font-semibold' : 'act'"
          >
            {{ tab.name }}
          </button>
        </Tab>
      </TabList>
      <TabPanels>
        <TabPanel v-for="tab in tabs" :key="tab.name"><component :is="tab.sheet" @done="$emit('close')" /></TabPanel>
      </TabPanels>
    </TabGroup>
  </BaseDialog>
</template>
