<script setup lang="ts">
import { computed } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import LinkageSketch from '../../../../components/sketches/LinkageSketch.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';
import PanelHead from '../PanelHead.vue';

/** Horn, rod and lever with what they make of the horn's turn, and where they do nothing. */
const { path, drive, driveAt, link, commit } = useServoMechanism();
const { show } = useDisplay();

const kind = computed(() => path.value.linkage.kind);
const TURNS = [
  { value: 'with', text: 'anticlockwise' },
  { value: 'against', text: 'clockwise in the drawing' },
] as const;
const MADE = [
  { value: 'open', text: 'open' },
  { value: 'crossed', text: 'crossed' },
] as const;
const fourBar = computed(() => (drive.value.linkage?.kind === 'four-bar' ? drive.value.linkage : undefined));
const turns = computed(() =>
  drive.value.linkage && 'turns' in drive.value.linkage ? drive.value.linkage.turns : undefined,
);

function setDirect(): void {
  commit([{ at: [...driveAt.value, 'linkage'], to: { kind: 'direct' } }]);
  link.value = 'motor';
}

const WHY = {
  'no reach': 'the parts do not reach each other',
  locked: 'the rod pushes through the lever’s pivot',
  still: 'the horn is in line with the rod, and the output hardly moves',
} as const;
const said = computed(() => {
  const { linked } = path.value;
  if (!linked) return 'Not known: a length is missing.';
  const { dead, least, greatest } = linked.travel;
  const spots = dead.map(({ from, to, why }) => `from ${show(from, 'angle')} to ${show(to, 'angle')} ${WHY[why]}`);
  const lever =
    kind.value === 'four-bar'
      ? `The lever turns ${least.toFixed(2)} to ${greatest.toFixed(2)} times as far as the horn: where it turns far it has little torque.`
      : `The horn’s lever is ${show(least, 'length')} to ${show(greatest, 'length')}: where it is long it has little force.`;
  const short = linked.short ? 'The output does not get to the end of its way. ' : '';
  return `${short}${lever} ${spots.length > 0 ? `Dead ${spots.join('; ')}.` : 'No dead spot on the way.'}`;
});
</script>

<template>
  <PanelHead
    :title="kind === 'push-rod' ? 'Push rod' : 'Linkage'"
    :detail="kind === 'push-rod' ? 'the horn moves something along a line' : 'horn, rod and lever'"
  >
    <button type="button" class="act min-h-6" @click="setDirect">Straight on the horn instead</button>
  </PanelHead>
  <div class="flex gap-4 max-sm:flex-col">
    <svg
      viewBox="0 0 230 150"
      width="230"
      height="150"
      class="squared shrink-0 overflow-visible border border-hair"
      role="group"
      aria-label="Drawing of the linkage"
      data-testid="linkage"
    >
      <LinkageSketch />
    </svg>
    <div class="min-w-0 grow">
      <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
        <FigureField figure="linkage.horn" />
        <FigureField figure="linkage.rod" />
        <FigureField figure="linkage.lever" />
        <FigureField figure="linkage.ground" />
        <FigureField figure="linkage.offset" allow="any" />
        <FigureField figure="linkage.start" allow="any" />
        <ChoiceField
          :value="turns ?? 'with'"
          label="the horn turns"
          :options="TURNS"
          @change="commit([{ at: [...driveAt, 'linkage', 'turns'], to: $event }])"
        />
        <ChoiceField
          v-if="fourBar"
          :value="fourBar.crossed ? 'crossed' : 'open'"
          label="put together"
          :options="MADE"
          @change="commit([{ at: [...driveAt, 'linkage', 'crossed'], to: $event === 'crossed' }])"
        />
      </div>
      <p class="mt-1 text-xs text-second" data-testid="linkage-said">{{ said }}</p>
    </div>
  </div>
</template>
