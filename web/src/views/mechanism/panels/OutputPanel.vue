<script setup lang="ts">
import type { Holder } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../components/ChoiceField.vue';
import FigureField from '../../../components/FigureField.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';

const { choice, choiceAt, commit } = useMechanism();
const output = computed(() => choice.value.output);
const at = (key: string) => [...choiceAt.value, 'output', key];

const HOLDERS: readonly { value: Holder; text: string }[] = [
  { value: 'nothing', text: 'nothing' },
  { value: 'brake', text: 'a brake that closes without power' },
  { value: 'ratchet', text: 'a ratchet' },
  { value: 'stage', text: 'a stage that stays by itself' },
];
</script>

<template>
  <template v-if="output.kind === 'drum'">
    <PanelHead title="Drum" detail="rope on a drum; the load hangs on it" />
    <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-5">
      <FigureField figure="output.drumRadius" />
      <FigureField figure="output.loadPerRope" />
      <FigureField figure="output.efficiency" allow="efficiency" />
      <FigureField figure="output.ropeStrength" />
      <ChoiceField
        :value="output.holder ?? 'nothing'"
        label="power off, held up by"
        :options="HOLDERS"
        @change="commit([{ at: at('holder'), to: $event }])"
      />
    </div>
    <p class="mt-1 flex flex-wrap items-center gap-x-4 text-xs text-second">
      <label class="flex items-center gap-1.5">
        <input
          type="checkbox"
          class="size-4"
          :checked="output.knotted ?? false"
          @change="commit([{ at: at('knotted'), to: ($event.target as HTMLInputElement).checked }])"
        />
        there is a knot in the rope (halves it)
      </label>
      <span>What is lifted falls when the power goes: a brake or ratchet, and nobody under it.</span>
    </p>
  </template>
  <template v-else>
    <PanelHead title="Wheels" detail="what touches the floor" />
    <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-5">
      <FigureField figure="output.wheelRadius" />
      <FigureField figure="output.mass" />
      <FigureField figure="output.grip" />
      <FigureField figure="output.drivenShare" allow="share" />
      <FigureField figure="output.rollingResistance" allow="not negative" />
    </div>
    <p class="mt-1 text-xs text-second">
      Grip is the pull that makes the wheels slip over the weight on them. Measure it: a scale, and the robot pulled
      with its wheels locked.
    </p>
  </template>
</template>
