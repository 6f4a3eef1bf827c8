<script setup lang="ts">
import { digits, isToothed, withoutLength, type Stage } from '@rough-gear/core';
import TeethText from './TeethText.vue';
import { useTrain } from './useTrain.js';

/** A stage's teeth, what they multiply and what they lose. */
const { stage, index } = defineProps<{ stage: Stage; index: number }>();
const { path, stageAt, commit } = useTrain();

/** Another number of teeth takes another length: the nearest to the same centre. */
function change(teeth: { driver: number; driven: number }): void {
  const freed = withoutLength(stage, path.value.stageParts[index]?.centre) ?? stage;
  commit([{ at: stageAt(index), to: { ...freed, ...teeth } }]);
}
</script>

<template>
  <div class="flex flex-wrap items-baseline justify-center gap-x-2 text-sm">
    <TeethText
      v-if="isToothed(stage)"
      :driver="stage.driver"
      :driven="stage.driven"
      :label="`Teeth of stage ${index + 1}`"
      @change="change"
    />
    <span class="figures text-second">{{ digits(path.train.stages[index]?.ratio ?? NaN, 4) }}:1</span>
    <span class="figures text-xs text-second"
      >loses {{ digits(100 * (1 - (path.train.stages[index]?.efficiency ?? NaN)), 1) }} %</span
    >
  </div>
</template>
