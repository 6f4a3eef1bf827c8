<script setup lang="ts">
import { digits, quantityOf, secondRatios, type SecondRatio } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { shaftMoves } from './shaftMoves.js';
import { useTrain } from './useTrain.js';

/** The second ratio to buy along and try: one other wheel for the next useful total. */
const { path, stages, stock, shelf, stageAt, commit } = useTrain();
const { show } = useDisplay();

const options = computed(() => secondRatios(path.value, stock.value));

/** The chain or belt is the same one: it lies taut at another distance. */
function take({ index, driver, driven, moves }: SecondRatio): void {
  const stage = stages.value[index]!;
  const parts = path.value.stageParts[index]!;
  const centre = 'tautCentre' in parts && moves !== undefined ? parts.tautCentre + moves : undefined;
  const moved = centre === undefined ? {} : { centre: quantityOf(centre, `${digits(1000 * centre, 6)} mm`) };
  commit([{ at: stageAt(index), to: { ...stage, driver, driven, ...moved } }]);
}
</script>

<template>
  <section
    v-if="shelf.state !== 'loading'"
    aria-label="The second ratio to buy"
    class="border-t border-hair pt-1 text-sm"
  >
    <h3 class="text-xs text-second">Buy one wheel along and try the next total on the day</h3>
    <p v-if="options.length === 0" class="text-second">Nothing on the shelf of these pitches makes one.</p>
    <ul v-else class="flex flex-wrap gap-x-5 gap-y-1" data-testid="second-ratios">
      <li
        v-for="option in options"
        :key="`${option.stage}-${option.driver}-${option.driven}`"
        class="whitespace-nowrap"
      >
        <button type="button" class="act min-h-6" @click="take(option)">
          stage {{ option.index + 1 }}: {{ option.driver }} → {{ option.driven }}
        </button>
        <span class="figures ml-1.5">{{ digits(option.total) }}:1</span>
        <span class="ml-1.5 text-xs text-second">{{ shaftMoves(option, show) }}</span>
      </li>
    </ul>
  </section>
</template>
