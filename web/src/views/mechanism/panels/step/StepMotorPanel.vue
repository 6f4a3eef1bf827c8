<script setup lang="ts">
import {
  cornerSpeed,
  inertiaAtMotor,
  resonanceBand,
  speedAtRate,
  startRateOf,
  STEP_RUN_NEEDS,
  wireCoils,
  wiringsOf,
  type CoilWiring,
  type StepperPart,
  type StepServoPart,
} from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import CountField from '../../../../components/fields/CountField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';
import PanelHead from '../PanelHead.vue';
import PartPicker from '../PartPicker.vue';

/** A stepping motor's phases, or a step-driven servo's sheet, and what they come to on this axis. */
const { plan, path, drive, driveAt, link, commit } = useStepMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.motor]!.part as StepperPart | StepServoPart);
const open = computed(() => part.value.kind === 'stepper');
const known = computed(() => STEP_RUN_NEEDS.every((need) => !path.value.lacks[need]));

const says = computed(() => {
  if (!known.value) return '';
  const { step } = path.value;
  const against = inertiaAtMotor(path.value) / step.rotorInertia - 1;
  const load = `The load is ${against < 10 ? against.toFixed(1) : Math.round(against)} times the rotor’s inertia.`;
  if (step.motor.loop === 'closed')
    return `${load} It knows where it stands: what it cannot follow ends in an alarm, not in lost steps.`;
  const band = resonanceBand(path.value);
  const at = (rate: number) => show(speedAtRate(rate, step.polePairs), 'speed', 2);
  return `${load} Its torque is flat up to ${show(cornerSpeed(step.motor.figures), 'speed', 2)}; it swings by itself at ${at(band.from)} to ${at(band.to)}; from rest it follows ${show(startRateOf(path.value), 'rate', 2)} of full steps without a ramp. It falls out of step silently: nothing feeds back.`;
});

const WIRING: Readonly<Record<CoilWiring, string>> = {
  series: 'in series',
  parallel: 'in parallel',
  'half coil': 'half of each coil',
};
const wirings = computed(() =>
  part.value.kind === 'stepper' && (part.value.leads ?? 4) > 4
    ? wiringsOf(part.value.leads ?? 4).map((value) => ({ value, text: WIRING[value] }))
    : [],
);
</script>

<template>
  <PanelHead
    :title="open ? 'Stepper' : 'Step servo'"
    :detail="`${part.name}${path.motors > 1 ? `, ${path.motors} on one gearbox` : ''}`"
  >
    <PartPicker
      kind="stepper"
      :at="[...driveAt, 'motor']"
      title="A stepper off the shelf"
      :label="open ? 'Change' : 'A stepper'"
    />
    <PartPicker
      kind="step-servo"
      :at="[...driveAt, 'motor']"
      title="A step servo off the shelf"
      :label="open ? 'A step servo' : 'Change'"
    />
    <button type="button" class="act min-h-6" @click="link = 'reduction'">Reduction</button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
    <template v-if="part.kind === 'stepper'">
      <FigureField figure="stepper.holdingTorque" />
      <FigureField figure="stepper.ratedCurrent" />
      <FigureField figure="stepper.phaseResistance" />
      <FigureField figure="stepper.phaseInductance" />
      <FigureField figure="stepper.detentTorque" allow="not negative" />
      <FigureField figure="stepper.rotorInertia" />
    </template>
    <template v-else>
      <FigureField figure="stepServo.ratedTorque" />
      <FigureField figure="stepServo.ratedSpeed" />
      <FigureField figure="stepServo.peakTorque" />
      <FigureField figure="stepServo.topSpeed" />
      <FigureField figure="stepServo.ratedVoltage" />
      <FigureField figure="stepServo.rotorInertia" />
      <FigureField figure="stepServo.efficiency" allow="efficiency" />
    </template>
    <FigureField figure="motor.mass" />
    <CountField
      :value="path.motors"
      label="motors in all"
      :least="1"
      :most="6"
      @change="commit([{ at: [...driveAt, 'motors'], to: $event }])"
    />
    <ChoiceField
      v-if="part.kind === 'stepper' && wirings.length > 0"
      :value="part.wiring ?? 'series'"
      label="coils wired"
      :options="wirings"
      @change="commit(wireCoils(plan, drive.motor, $event))"
    />
    <FigureField
      :figure="path.load.unit === 'rad' ? 'drive.engagedInertia' : 'drive.engagedMass'"
      allow="not negative"
    />
  </div>
  <p class="mt-1 text-xs text-second">{{ says }}</p>
  <p v-if="wirings.length > 0" class="text-xs text-second">
    Its figures are those of this wiring, and follow when it is changed: in parallel a quarter of the ohms and henries
    of the series, and twice the current. Set the driver's current anew. All ways side by side: <i>Compare</i>.
  </p>
</template>
