<script setup lang="ts">
import { digits, isToothed, type Stage } from '@rough-gear/core';
import { ref } from 'vue';
import { readTeeth } from '../panels/readTeeth.js';
import { useTrain } from './useTrain.js';

/**
 * A stage's teeth as they are written, "18 → 48". Arrow keys step the driven wheel, with Shift the driver;
 * what is typed is read when it is left.
 */
const { stage, index } = defineProps<{ stage: Stage; index: number }>();
const { path, set } = useTrain();

const said = ref('');
const FEWEST = 6;
const MOST = 400;
const within = (teeth: number) => Math.min(MOST, Math.max(FEWEST, teeth));

/** Another number of teeth takes another length: the nearest to the same centre. */
const freed = () =>
  stage.kind === 'chain' ? { links: undefined } : stage.kind === 'belt' ? { beltTeeth: undefined } : {};

function step(event: KeyboardEvent, by: number): void {
  if (!isToothed(stage)) return;
  event.preventDefault();
  const key = event.shiftKey ? 'driver' : 'driven';
  set({ [key]: within(stage[key] + by), ...freed() }, index);
}

function finish(event: Event): void {
  const input = event.target as HTMLInputElement;
  if (!isToothed(stage) || input.value === `${stage.driver} → ${stage.driven}`) return;
  const read = readTeeth(input.value);
  said.value = read.ok ? '' : read.reason;
  if (read.ok) set({ driver: read.driver, driven: read.driven, ...freed() }, index);
  else input.value = `${stage.driver} → ${stage.driven}`;
}
</script>

<template>
  <div class="flex items-baseline justify-center gap-2 text-sm whitespace-nowrap">
    <input
      v-if="isToothed(stage)"
      class="figures w-18 border-b border-ink bg-transparent text-center"
      :value="`${stage.driver} → ${stage.driven}`"
      :aria-label="`Teeth of stage ${index + 1}: arrow keys step the driven wheel, with Shift the driver`"
      :aria-invalid="said !== ''"
      autocomplete="off"
      @keydown.up="step($event, 1)"
      @keydown.down="step($event, -1)"
      @keydown.enter.prevent="finish"
      @blur="finish"
    />
    <span class="figures text-second">{{ digits(path.train.stages[index]?.ratio ?? NaN, 4) }}:1</span>
    <span class="figures text-xs text-second"
      >loses {{ digits(100 * (1 - (path.train.stages[index]?.efficiency ?? NaN)), 1) }} %</span
    >
    <span v-if="said" class="text-xs text-gives" role="alert">{{ said }}</span>
  </div>
</template>
