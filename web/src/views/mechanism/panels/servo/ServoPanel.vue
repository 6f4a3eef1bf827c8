<script setup lang="ts">
import { hornForce, type LinkagePlan, type ServoPart } from '@rough-gear/core';
import { computed, ref } from 'vue';
import ChoiceTabs from '../../../../components/widgets/ChoiceTabs.vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import CountField from '../../../../components/fields/CountField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import MeasureField from '../../../../components/fields/MeasureField.vue';
import { usePanelPage } from '../../../../composables/usePanelPage.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';
import PanelHead from '../PanelHead.vue';
import PartPicker from '../PartPicker.vue';
import CalibrationTable from './CalibrationTable.vue';
import ServoFit from './ServoFit.vue';
import ServoHolding from './ServoHolding.vue';
import ServoInside from './ServoInside.vue';
import TipPrecision from './TipPrecision.vue';

/** A servo's ratings and currents; how exactly it stands; what is inside; its pulses measured. */
const { plan, path, drive, driveAt, link, commit } = useServoMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.servo]!.part as ServoPart);
const linear = computed(() => part.value.motion === 'linear');
const PAGES = computed(() => [
  { value: 'sheet' as const, text: 'Sheet' },
  { value: 'precision' as const, text: 'Precision' },
  { value: 'holding' as const, text: 'Holding' },
  { value: 'inside' as const, text: 'Inside' },
  { value: 'fit' as const, text: 'Fit' },
  ...(part.value.motion === 'joint' ? [{ value: 'calibration' as const, text: 'Calibration' }] : []),
]);
const page = usePanelPage(PAGES);
const shownPage = computed(() => (PAGES.value.some(({ value }) => value === page.value) ? page.value : 'sheet'));

const LINKAGES = computed(() => [
  { value: 'direct' as const, text: 'straight on its horn' },
  ...(path.value.load.unit === 'm'
    ? [{ value: 'push-rod' as const, text: 'a push rod' }]
    : [{ value: 'four-bar' as const, text: 'horn, rod and lever' }]),
]);

/** A linkage is drawn and measured in its own panel: it opens at once. */
function setLinkage(kind: LinkagePlan['kind']): void {
  commit([{ at: [...driveAt.value, 'linkage'], to: { kind } }]);
  if (kind !== 'direct') link.value = 'linkage';
}

/** The horn of its linkage, or one to try. */
const tried = ref<number>();
/** A usual horn, where none is known. */
const USUAL_HORN = 0.024;
const horn = computed(() => {
  const own = drive.value.linkage?.kind === 'four-bar' ? drive.value.linkage.horn?.si : undefined;
  return tried.value ?? own ?? USUAL_HORN;
});
const push = computed(() => {
  const { servo, lacks } = path.value;
  if (linear.value || lacks.motor || lacks.rail) return undefined;
  return show(hornForce(servo.rating.stallTorque, horn.value), 'force', 3);
});

const said = computed(() => {
  const { servo, lacks, rail } = path.value;
  if (lacks.motor || lacks.rail) return '';
  const { rating } = servo;
  const force = linear.value ? ('force' as const) : ('torque' as const);
  const speed = linear.value ? ('velocity' as const) : ('turning' as const);
  const above = rating.above ? ' Above its highest rating it is not rated up.' : '';
  const below = rating.below ? ' Below its lowest rating both go down with the volts.' : '';
  return `At ${show(servo.voltage, 'voltage')}, with everything on ${rail.name} moving: stalls at ${show(rating.stallTorque, force)}, ${show(rating.freeSpeed, speed)} without load, ${show(rating.stallCurrent, 'current')} stalled${rating.estimatedCurrent ? ', estimated: measure it idle, moving and stalled' : ''}.${above}${below}`;
});
</script>

<template>
  <PanelHead
    :title="path.motors === 1 ? 'Servo' : `${path.motors} servos`"
    :detail="`${part.name}${(drive.joints ?? 1) > 1 ? `, ${drive.joints} joints alike` : ''}`"
  >
    <ChoiceTabs v-model="page" :options="PAGES" label="Servo" />
    <PartPicker kind="servo" :at="[...driveAt, 'servo']" title="A servo off the shelf" />
    <button type="button" class="act min-h-6" @click="link = 'reduction'">Reduction</button>
  </PanelHead>
  <template v-if="shownPage === 'sheet'">
    <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
      <template v-for="(_, i) in part.points" :key="i">
        <FigureField :figure="`servo.point.${i}.voltage`" />
        <FigureField :figure="`servo.point.${i}.${linear ? 'stallForce' : 'stallTorque'}`" />
        <FigureField :figure="`servo.point.${i}.${linear ? 'velocity' : 'speed'}`" />
        <FigureField :figure="`servo.point.${i}.stallCurrent`" />
      </template>
      <FigureField figure="servo.runningCurrent" />
      <FigureField figure="servo.idleCurrent" allow="not negative" />
      <FigureField figure="servo.highestVoltage" />
      <FigureField :figure="linear ? 'servo.stroke' : 'servo.travel'" />
      <ChoiceField
        :value="drive.linkage?.kind ?? 'direct'"
        label="moves its output by"
        :options="LINKAGES"
        @change="setLinkage"
      />
      <CountField
        :value="path.motors"
        label="servos on one output"
        :most="4"
        @change="commit([{ at: [...driveAt, 'servos'], to: $event }])"
      />
      <CountField
        :value="drive.joints ?? 1"
        label="joints alike on this rail"
        :most="24"
        @change="commit([{ at: [...driveAt, 'joints'], to: $event }])"
      />
      <FigureField figure="motor.mass" label="servo mass" />
    </div>
    <p class="mt-1 text-xs text-second">{{ said }}</p>
    <div v-if="push" class="flex flex-wrap items-end gap-x-2 text-xs text-second" data-testid="horn-force">
      <MeasureField :value="horn" dimension="length" label="horn of" :most="0.3" class="w-24" @read="tried = $event" />
      <span class="pb-1"
        >pushes <b class="figures text-ink">{{ push }}</b> at its end, stalled.</span
      >
    </div>
    <p
      v-for="finding in path.servo.audit.findings"
      :key="finding"
      class="text-xs"
      :class="path.servo.audit.verdict === 'impossible' ? 'text-gives' : 'text-second'"
    >
      {{ finding }}
    </p>
  </template>
  <TipPrecision v-else-if="shownPage === 'precision'" />
  <ServoHolding v-else-if="shownPage === 'holding'" />
  <ServoInside v-else-if="shownPage === 'inside'" />
  <ServoFit v-else-if="shownPage === 'fit'" />
  <CalibrationTable v-else />
</template>
