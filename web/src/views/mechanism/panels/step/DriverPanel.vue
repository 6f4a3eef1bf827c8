<script setup lang="ts">
import {
  counted,
  currentOfPower,
  currentRowFor,
  quantityOf,
  rmsOf,
  stepPower,
  stepsOf,
  type BoardPart,
  type DriverPart,
} from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceTabs from '../../../../components/widgets/ChoiceTabs.vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import CountField from '../../../../components/fields/CountField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { usePanelPage } from '../../../../composables/usePanelPage.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';
import PanelHead from '../PanelHead.vue';
import PartPicker from '../PartPicker.vue';
import PulseSums from './PulseSums.vue';
import SignalStage from './SignalStage.vue';
import SwitchBank from './SwitchBank.vue';

/** The driver: steps, current and their switches; pulses; and whether the board's pin can drive its input. */
const { plan, path, drive, driveAt, commit } = useStepMechanism();
const { show } = useDisplay();

const driver = computed(() => plan.value.parts[drive.value.driver]!.part as DriverPart);
const board = computed(() => plan.value.parts[drive.value.board]!.part as BoardPart);
const PAGES = [
  { value: 'set', text: 'Settings' },
  { value: 'pulses', text: 'Pulses' },
  { value: 'signal', text: 'Signal' },
  { value: 'limits', text: 'Limits' },
] as const;
const page = usePanelPage(PAGES);
const open = computed(() => path.value.step.kind === 'stepper');
const steps = computed(() => stepsOf(drive.value, driver.value));
const stepOptions = computed(() =>
  driver.value.stepSwitches.map(({ value }) => ({
    value: String(value),
    text: open.value ? (value === 1 ? 'full steps' : `${value} micro-steps`) : `${counted(value, 'pulse')} a turn`,
  })),
);
const currentOptions = computed(() =>
  (driver.value.currentSwitches ?? []).map((row) => ({
    value: String(row.value),
    text: `${row.value} A ${driver.value.counts === 'rms' ? 'r.m.s.' : 'peak'}, ${show(rmsOf(row.value, driver.value), 'current', 2)} r.m.s.`,
  })),
);
const currentRow = computed(() => currentRowFor(driver.value, path.value.step.setCurrent));

function setCurrent(value: string): void {
  const rms = Number(rmsOf(Number(value), driver.value).toPrecision(3));
  commit([{ at: [...driveAt.value, 'setCurrent'], to: quantityOf(rms, `${rms} A`) }]);
}

const DECAYS = [
  { value: 'unsaid', text: 'not said' },
  { value: 'slow', text: 'slowly, quiet' },
  { value: 'mixed', text: 'quickly, then slowly' },
  { value: 'fast', text: 'quickly, more ripple' },
] as const;
const ENABLES = [
  { value: 'open', text: 'left open' },
  { value: 'wired', text: 'wired to the board' },
] as const;
const RAMPS = [
  { value: 'ramp', text: 'along a ramp' },
  { value: 'at once', text: 'at once, at its full rate' },
] as const;

/** What the driver takes while it stands, beside what flows in the motor. */
const trade = computed(() => {
  const { step, restVoltage, supplyResistance, lacks } = path.value;
  if (!open.value || lacks.motor || lacks.driver || lacks.pack || lacks.wiring) return '';
  const taken = currentOfPower(stepPower(step, 0, 0), restVoltage, supplyResistance);
  return taken === undefined
    ? ''
    : `Standing at its full current it takes ${show(taken, 'current')} from the supply while ${show(step.setCurrent, 'current')} flow in each phase.`;
});
</script>

<template>
  <PanelHead title="Driver" :detail="driver.name">
    <ChoiceTabs v-model="page" :options="PAGES" label="Driver" />
    <PartPicker kind="driver" :at="[...driveAt, 'driver']" title="A driver off the shelf" />
    <PartPicker kind="board" :at="[...driveAt, 'board']" title="A board off the shelf" label="Change the board" />
  </PanelHead>
  <template v-if="page === 'set'">
    <div class="flex gap-5 max-sm:flex-col">
      <div class="grid min-w-0 grow grid-cols-2 gap-x-4 gap-y-1 lg:grid-cols-3">
        <CountField
          v-if="driver.freeSteps"
          :value="steps"
          :label="open ? 'micro-steps of a step' : 'commanded steps of a turn'"
          :most="100000"
          @change="commit([{ at: [...driveAt, 'steps'], to: $event }])"
        />
        <ChoiceField
          v-else
          :value="String(steps)"
          :label="open ? 'steps' : 'commanded steps of a turn'"
          :options="stepOptions"
          @change="commit([{ at: [...driveAt, 'steps'], to: Number($event) }])"
        />
        <ChoiceField
          v-if="open && currentRow"
          data-figure="drive.setCurrent"
          :value="String(currentRow.value)"
          label="current by its switches"
          :options="currentOptions"
          @change="setCurrent"
        />
        <FigureField v-if="open && !currentRow" figure="drive.setCurrent" />
        <FigureField v-if="open" figure="drive.idleShare" allow="share" />
        <FigureField v-if="!open" figure="driver.followingError" />
        <ChoiceField
          :value="drive.ramp ?? 'ramp'"
          label="starts and stops"
          :options="RAMPS"
          @change="commit([{ at: [...driveAt, 'ramp'], to: $event }])"
        />
        <ChoiceField
          v-if="open"
          :value="path.decay ?? 'unsaid'"
          label="takes current down"
          :options="DECAYS"
          @change="commit([{ at: [...driveAt, 'decay'], to: $event === 'unsaid' ? undefined : $event }])"
        />
        <ChoiceField
          v-if="driver.enable"
          :value="path.enable.wired ? 'wired' : 'open'"
          label="enable input"
          :options="ENABLES"
          @change="commit([{ at: [...driveAt, 'enableWired'], to: $event === 'wired' || undefined }])"
        />
      </div>
      <SwitchBank />
    </div>
    <p class="mt-1 text-xs text-second">
      {{ trade }} Pulses come from the {{ board.name }}.
      <template v-if="open">
        Find the coil pairs with an ohmmeter: two wires of little resistance are one coil; the two coils know nothing of
        each other. Never unplug a motor from a driver that is on.
      </template>
    </p>
  </template>
  <template v-else-if="page === 'pulses'">
    <PulseSums />
    <div class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
      <FigureField figure="driver.pulseLimit" />
      <FigureField figure="driver.leastPulse" />
      <FigureField figure="board.pulseLimit" />
      <template v-if="board.timerCapacitor">
        <FigureField figure="board.timerUpper" />
        <FigureField figure="board.timerLower" />
        <FigureField figure="board.timerLowerMost" />
        <FigureField figure="board.timerCapacitor" />
      </template>
    </div>
  </template>
  <SignalStage v-else-if="page === 'signal'" />
  <div v-else class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
    <FigureField figure="driver.lowestVoltage" />
    <FigureField figure="driver.highestVoltage" />
    <FigureField v-if="open" figure="driver.mostCurrent" />
    <FigureField v-if="open" figure="driver.trimmerVolts" />
  </div>
</template>
