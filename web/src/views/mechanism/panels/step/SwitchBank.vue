<script setup lang="ts">
import { stepsOf, switchSettings, type DriverPart } from '@rough-gear/core';
import { computed } from 'vue';
import SwitchDrawing from '../../../../components/sketches/SwitchDrawing.vue';
import { useStepMechanism } from '../../../../composables/useMechanism.js';

/** The driver's switches as they stand on its case, set for these steps and this current. */
const { plan, path, drive } = useStepMechanism();

const driver = computed(() => plan.value.parts[drive.value.driver]!.part as DriverPart);
const switches = computed(() =>
  switchSettings(
    driver.value,
    stepsOf(drive.value, driver.value),
    Number.isNaN(path.value.step.setCurrent) ? undefined : path.value.step.setCurrent,
  ),
);
</script>

<template>
  <SwitchDrawing v-if="switches.length > 0" :switches="switches" />
  <p v-else class="text-xs text-second">This driver has no switches.</p>
</template>
