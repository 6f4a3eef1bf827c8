<script setup lang="ts">
import type { ControllerPart, WorkingRef } from '@rough-gear/core';
import { computed, ref } from 'vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useAsked } from '../../../composables/useAsked.js';
import { useFold } from '../../../composables/useFold.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useEver } from '../../../composables/useEver.js';
import ControllerMore from './ControllerMore.vue';
import PartPicker from './PartPicker.vue';

const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const AtSpeedSheet = lazily(() => import('./AtSpeedSheet.vue'));
const { plan, drive, choiceAt } = useDcMechanism();
const { show } = useDisplay();
const part = computed(() => plan.value.parts[drive.value.controller]!.part as ControllerPart);

/** A limit set above what the controller is made for is said. */
const more = useFold('settings');
const looking = ref(false);
useAsked('page', (page) => (looking.value ||= page === 'at-speed'));
const everLooked = useEver(() => looking.value);
const over = computed(() => {
  const words = [
    [drive.value.statorLimit, part.value.statorLimit, 'motor-side'],
    [drive.value.supplyLimit, part.value.supplyLimit, 'pack-side'],
    [drive.value.brakeLimit, part.value.brakeLimit, 'braking'],
    [drive.value.returnLimit, part.value.returnLimit, 'return'],
  ] as const;
  return words.flatMap(([set, rated, name]) =>
    set && rated && set.si > rated.si
      ? [`Set above what this controller gives: ${name} ${show(rated.si, 'current')}.`]
      : [],
  );
});
</script>

<template>
  <PanelHead title="Controller" :detail="`${part.name}, one for each motor`">
    <PartPicker kind="controller" :at="[...choiceAt, 'drive', 'controller']" title="A controller off the shelf" />
    <button type="button" class="act min-h-6" :aria-expanded="more" @click="more = !more">
      {{ more ? 'Less' : 'Start, ramp, lock, regulator' }}
    </button>
    <button type="button" class="act min-h-6" @click="looking = true">At one speed</button>
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'motorCurrent' }, 'Motor current while working')"
    >
      Working
    </button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
    <FigureField figure="controller.statorLimit" />
    <FigureField figure="controller.supplyLimit" />
    <FigureField figure="controller.brakeLimit" />
    <FigureField figure="controller.returnLimit" />
    <FigureField figure="controller.resistance" label="resistance" allow="not negative" />
    <FigureField figure="controller.lowestVoltage" />
    <FigureField figure="controller.highestVoltage" />
    <FigureField figure="controller.greatestDuty" allow="efficiency" />
  </div>
  <p class="mt-1 text-xs text-second">
    <span v-for="text in over" :key="text" class="mr-2 text-gives">{{ text }}</span>
    Limits are for each motor. Motor-side is what flows in the winding; pack-side what the controller takes from the
    pack. Emptied, a limit goes back to the controller’s own.
  </p>
  <ControllerMore v-if="more" />
  <AtSpeedSheet v-if="everLooked" :open="looking" @close="looking = false" />
</template>
