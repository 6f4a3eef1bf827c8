<script setup lang="ts">
import { currentChoice, screwAt, type MachineKind } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { provideJob } from '../../../composables/useMechanism.js';
import { useDesk } from '../../../composables/useDesk.js';
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

/** The questions about what turns it, each answered on this very mechanism; the address says which is open. */
const { plan, path, mechanism, jobId } = provideJob();
const { page, deskAt } = useDesk();

interface Question {
  readonly id: string;
  readonly asks: string;
  readonly sheet: Component;
}
const QUESTIONS: Record<MachineKind, readonly Question[]> = {
  dc: [
    { id: 'counts', asks: 'How many', sheet: MotorCounts },
    { id: 'windings', asks: 'Which winding', sheet: WindingTable },
    { id: 'volts', asks: 'Volts and speed', sheet: VoltsAndSpeed },
    { id: 'brushes', asks: 'Brushed or brushless', sheet: MachineScores },
    { id: 'mixed', asks: 'Two kinds mixed', sheet: MixedMotors },
  ],
  step: [{ id: 'steppers', asks: 'Stepper or step servo', sheet: StepMachines }],
  servo: [
    { id: 'servos', asks: 'Which servo', sheet: ServoScores },
    { id: 'sisters', asks: 'Same motor, other gears', sheet: ServoSisters },
  ],
};
/** Of a stepper whose half coils come out by themselves. */
const COILS: Question = { id: 'coils', asks: 'Coils joined otherwise', sheet: CoilWirings };
const manyWires = computed(() => {
  const { drive } = currentChoice(mechanism.value);
  const part = drive.kind === 'step' ? plan.value.parts[drive.motor]?.part : undefined;
  return part?.kind === 'stepper' && (part.leads ?? 4) > 4;
});
/** Of a carriage on a screw. */
const LEADS: Question = { id: 'leads', asks: 'Lead of the screw', sheet: ScrewLeads };
const questions = computed(() => [
  ...QUESTIONS[path.value.machine],
  ...(manyWires.value ? [COILS] : []),
  ...(screwAt(path.value) >= 0 ? [LEADS] : []),
]);
const open = computed(() => questions.value.find(({ id }) => id === page.value) ?? questions.value[0]!);
</script>

<template>
  <div class="grid min-w-0 gap-x-4 gap-y-2 sm:grid-cols-[8rem_minmax(0,1fr)]">
    <nav aria-label="Questions" class="not-printed flex flex-wrap gap-x-4 self-start text-sm sm:flex-col">
      <RouterLink
        v-for="one in questions"
        :key="one.id"
        :to="deskAt('compare', one.id)"
        replace
        class="min-h-7 py-1"
        :class="open.id === one.id ? 'border-l-4 border-ink pl-2 font-semibold' : 'act pl-3'"
        :aria-current="open.id === one.id ? 'page' : undefined"
        >{{ one.asks }}</RouterLink
      >
    </nav>
    <div class="min-w-0">
      <h2 class="hidden text-xl print:block">{{ mechanism.name }}: {{ open.asks }}</h2>
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
      <component :is="open.sheet" :key="open.id" />
    </div>
  </div>
</template>
