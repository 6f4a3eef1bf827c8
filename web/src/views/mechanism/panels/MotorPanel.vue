<script setup lang="ts">
import {
  currentAtPeakEfficiency,
  freeSpeedAt,
  motorConstant,
  peakEfficiency,
  peakPower,
  withDrivenShare,
  type MotorPart,
  type WorkingRef,
} from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useFold } from '../../../composables/useFold.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';
import GearedQuestion from './GearedQuestion.vue';
import MotorMake from './MotorMake.vue';
import { motorForm } from './motorForm.js';
import PartPicker from './PartPicker.vue';

const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();

const { plan, mechanism, path, drive, choiceAt, commit } = useDcMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.motor]!.part as MotorPart);
const form = computed(() => part.value.data.form);
const partAt = computed(() => ['parts', drive.value.motor, 'part']);
const more = useFold();
const motors = computed(() => drive.value.motors);
const known = computed(() => !path.value.lacks.motor);

/** How many motors there are, and whether each turns a wheel of its own, decides how much of the weight drives. */
const commitDrive = (key: 'motors' | 'apart', to: number | true | undefined) =>
  commit(withDrivenShare(plan.value, mechanism.value.id, [{ at: [...choiceAt.value, 'drive', key], to }]));

/** What the figures come to, at the pack's rest voltage. */
const peaks = computed(() => {
  if (!known.value) return '';
  const { motor, restVoltage } = path.value.drive;
  if (Number.isNaN(restVoltage) || freeSpeedAt(motor, restVoltage) <= 0) return '';
  return `On this pack: ${show(freeSpeedAt(motor, restVoltage), 'speed')} free, ${show(peakPower(motor, restVoltage), 'power')} at most, best ${show(peakEfficiency(motor, restVoltage), 'share', 2)} at ${show(currentAtPeakEfficiency(motor, restVoltage), 'current')}.`;
});
/** The constants, whatever the sheet gives. */
const constants = computed(() => {
  if (!known.value) return '';
  const { motor } = path.value.drive;
  return `Kv ${show(1 / motor.backEmfConstant, 'kv', 4).replace(/ Kv$/, '')} · Kt ${show(motor.torqueConstant, 'torque constant', 3)} · R ${show(motor.resistance, 'resistance', 3)} · Km ${show(motorConstant(motor), 'torque', 3)}/√W`;
});
const FIGURES_AT = [
  { value: 'shaft', text: 'its own shaft' },
  { value: 'output', text: 'its gearbox’s output' },
] as const;
const FORMS = [
  { value: 'sheet', text: 'a sheet’s four' },
  { value: 'kv', text: 'Kv and resistance' },
  { value: 'turns', text: 'turns' },
] as const;

/** The other way in starts from what is known: nothing typed is turned into something else silently. */
function setForm(to: MotorPart['data']['form']): void {
  const { motor, restVoltage } = path.value.drive;
  commit([
    { at: [...partAt.value, 'data'], to: motorForm(to, part.value, known.value ? motor : undefined, restVoltage) },
  ]);
}
const audit = computed(() => (known.value ? path.value.motor.audit : undefined));
</script>

<template>
  <PanelHead title="Motor" :detail="`${part.name} · ${motors === 1 ? 'one' : motors} in all`">
    <PartPicker kind="motor" :at="[...choiceAt, 'drive', 'motor']" title="A motor off the shelf" />
    <button type="button" class="act min-h-6" :aria-expanded="more" @click="more = !more">
      {{ more ? 'Less' : 'Volts, mass, shaft' }}
    </button>
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'torqueConstant' }, 'Torque constant')"
    >
      Working
    </button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
    <template v-if="form === 'sheet'">
      <FigureField figure="motor.freeSpeed" />
      <FigureField figure="motor.stallTorque" />
      <FigureField figure="motor.stallCurrent" />
    </template>
    <template v-else-if="form === 'kv'">
      <FigureField figure="motor.kv" />
      <FigureField figure="motor.resistance" />
    </template>
    <template v-else>
      <FigureField figure="motor.turns" />
      <FigureField figure="motor.canLength" />
      <FigureField figure="motor.referenceTurns" />
      <FigureField figure="motor.referenceKv" />
      <FigureField figure="motor.referenceResistance" />
      <FigureField figure="motor.referenceLength" />
      <FigureField figure="motor.referenceFreeCurrent" allow="not negative" />
    </template>
    <FigureField v-if="form !== 'turns'" figure="motor.freeCurrent" allow="not negative" />
    <FigureField figure="motor.continuousCurrent" />
    <CountField :value="motors" label="how many, in all" :most="12" @change="commitDrive('motors', $event)" />
  </div>
  <label v-if="motors > 1" class="mt-1 flex items-center gap-1.5 text-xs">
    <input
      type="checkbox"
      class="size-4"
      :checked="path.apart !== undefined"
      @change="commitDrive('apart', ($event.target as HTMLInputElement).checked || undefined)"
    />
    each turns a train{{ path.load.traction === undefined ? '' : ' and a wheel' }} of its own: teeth, chain or belt
    carry that motor alone
  </label>
  <GearedQuestion :part="part" :part-at="partAt" />
  <p class="mt-1 text-xs" :class="audit?.verdict === 'impossible' ? 'text-gives' : 'text-second'">
    <template v-if="audit && audit.findings.length > 0">{{ audit.findings.join(' ') }}</template>
    <template v-else-if="audit"
      >Torque and speed constants agree ({{ audit.torqueToBackEmfRatio.toFixed(2) }}). {{ peaks }}</template
    >
    <template v-else>Fill in what is missing, off the sheet or measured.</template>
  </p>
  <div v-if="more" class="mt-1">
    <p v-if="constants" class="figures mt-0.5 text-xs text-second" data-testid="motor-constants">{{ constants }}</p>
    <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
      <ChoiceField :value="form" label="figures given as" :options="FORMS" @change="setForm" />
      <FigureField v-if="form === 'sheet'" figure="motor.ratedVoltage" />
      <FigureField figure="motor.mass" />
      <FigureField figure="motor.canDiameter" />
      <FigureField figure="motor.rotorInertia" />
      <FigureField figure="motor.windingLimit" />
      <FigureField figure="motor.highestVoltage" />
      <FigureField figure="motor.highestSpeed" />
      <FigureField v-if="part.type === 'brushless'" figure="motor.detentTorque" allow="not negative" />
      <FigureField figure="motor.freeCurrentPerSpeed" allow="not negative" />
      <ChoiceField
        :value="part.figuresAt ?? 'shaft'"
        label="The sheet speaks of"
        :options="FIGURES_AT"
        @change="commit([{ at: [...partAt, 'figuresAt'], to: $event }])"
      />
    </div>
    <MotorMake :part="part" :part-at="partAt" />
    <p v-if="part.figuresAt === 'output'" class="text-xs text-second">
      The gearbox and its losses are in these figures: leave that gearbox out of the reduction.
    </p>
  </div>
</template>
