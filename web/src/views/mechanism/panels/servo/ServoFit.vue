<script setup lang="ts">
import { servoSize, SERVO_SIZES, type HornShape, type ServoPart } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** Whether it goes where it is to go: its case in the room there is, a horn on its spline. */
const { plan, drive, driveAt, commit } = useServoMechanism();
const { show } = useDisplay();
const part = computed(() => plan.value.parts[drive.value.servo]!.part as ServoPart);
const partAt = computed(() => ['parts', drive.value.servo, 'part']);

const TEETH = [15, 20, 21, 23, 24, 25];
const options = (own: number | undefined, none: string) => [
  { value: '', text: none },
  ...[...new Set([...TEETH, ...(own === undefined ? [] : [own])])]
    .sort((a, b) => a - b)
    .map((teeth) => ({ value: String(teeth), text: `${teeth} teeth` })),
];
/** What each shape is for. */
const SHAPES = {
  unsaid: 'not chosen',
  'one arm': 'one arm: a rod',
  'two arms': 'two arms: a rod to each side',
  cross: 'a cross: trimmed to what is wanted',
  disc: 'a disc: bolted flat to the part',
} as const;
const SHAPE_SAYS: Readonly<Record<HornShape, string>> = {
  'one arm': 'One arm bends and pulls its screw sideways: short, and of metal where it is struck.',
  'two arms': 'Two arms pull evenly: with a rod on each side the shaft bears no side pull.',
  cross: 'A cross is cut to one arm: file it smooth, a notch breaks there.',
  disc: 'A disc carries a part on four screws, and spreads a blow; the shaft bears its weight.',
};
const shapes = Object.entries(SHAPES).map(([value, text]) => ({ value: value as HornShape | 'unsaid', text }));
const shapeSays = computed(() => (drive.value.hornShape ? SHAPE_SAYS[drive.value.hornShape] : ''));
const count = (text: string) => (text === '' ? undefined : Number(text));

const sizes = computed(() => {
  const mass = part.value.mass?.si;
  const own = mass === undefined ? undefined : servoSize(mass).name;
  return SERVO_SIZES.map(({ name, most, length, width, height }) => ({
    name,
    own: name === own,
    text: `${[length, width, height].map((side) => show(side, 'length')).join(' × ')}${Number.isFinite(most) ? `, up to ${show(most, 'mass')}` : ', heavier'}`,
  }));
});
</script>

<template>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
    <FigureField figure="servo.caseLength" />
    <FigureField figure="servo.caseWidth" />
    <FigureField figure="servo.caseHeight" />
    <ChoiceField
      :value="String(part.splineTeeth ?? '')"
      label="its spline has"
      :options="options(part.splineTeeth, 'not known')"
      @change="commit([{ at: [...partAt, 'splineTeeth'], to: count($event) }])"
    />
    <FigureField figure="drive.roomLength" />
    <FigureField figure="drive.roomWidth" />
    <FigureField figure="drive.roomHeight" />
    <ChoiceField
      :value="String(drive.hornTeeth ?? '')"
      label="the horn has"
      :options="options(drive.hornTeeth, 'none chosen')"
      @change="commit([{ at: [...driveAt, 'hornTeeth'], to: count($event) }])"
    />
    <ChoiceField
      class="col-span-2"
      :value="drive.hornShape ?? 'unsaid'"
      label="shape of the horn"
      :options="shapes"
      @change="commit([{ at: [...driveAt, 'hornShape'], to: $event === 'unsaid' ? undefined : $event }])"
    />
  </div>
  <p class="mt-1 text-xs text-second" data-testid="servo-sizes">
    Usual sizes, without ears and shaft:
    <template v-for="(size, i) in sizes" :key="size.name"
      ><template v-if="i > 0">; </template><b v-if="size.own">{{ size.name }} {{ size.text }}</b
      ><template v-else>{{ size.name }} {{ size.text }}</template></template
    >. Spline and horn must have as many teeth: a horn that is forced on strips. {{ shapeSays }}
  </p>
</template>
