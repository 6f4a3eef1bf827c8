<script setup lang="ts">
import { loadSpeedAt, motorSpeed, pulseSumsOf, rateOf } from '@rough-gear/core';
import { computed, ref } from 'vue';
import MeasureField from '../../../../components/fields/MeasureField.vue';
import { outputUnits } from '../../../../components/charts/forceChart.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';
import ThreadFollowing from './ThreadFollowing.vue';

/** Pulses and output speed, both ways; an encoder's counts; a shaft locked to another. */
const { path } = useStepMechanism();
const { show } = useDisplay();

const sums = computed(() => pulseSumsOf(path.value));
const units = computed(() => outputUnits(path.value));
const distance = computed(() => (path.value.load.unit === 'm' ? ('length' as const) : ('angle' as const)));

/** What a person asks: so many pulses a second, or so fast. */
const pulses = ref(1000);
const fromPulses = computed(() => show(loadSpeedAt(path.value, pulses.value), units.value.speed));
</script>

<template>
  <p v-if="!sums" class="text-second">Not known: a figure of the reduction or the output is missing.</p>
  <div v-else class="grid gap-x-6 gap-y-1 text-sm sm:grid-cols-2" data-testid="pulse-sums">
    <p>
      {{ sums.train.stepsPerTurn
      }}<template v-if="sums.train.microsteps > 1"> × {{ sums.train.microsteps }}</template> ×
      {{ Number(sums.reduction.toPrecision(4)) }} = <b class="figures">{{ sums.perTurn }}</b> pulses per turn of the
      {{ sums.turns }}; one pulse moves it <b class="figures">{{ show(sums.perPulse, distance, 2) }}</b>.
    </p>
    <p>
      The job takes <b class="figures">{{ show(rateOf(path), 'rate') }}</b> at
      {{ show(motorSpeed(path, path.commanded.speed), 'speed') }} of the motor; at most
      {{ show(sums.most.rate, 'rate') }}, which is <b class="figures">{{ show(sums.fastest, units.speed) }}</b>: set by
      {{ sums.most.by }}.
    </p>
    <p class="flex flex-wrap items-center gap-x-2">
      <MeasureField :value="pulses" dimension="rate" label="pulses a second" @read="pulses = $event" />
      are
      <b class="figures" data-testid="from-pulses">{{ fromPulses }}</b>
    </p>
    <p v-if="sums.gearing">
      The encoder counts {{ sums.gearing.counts }} a turn: {{ Number(sums.gearing.perPulse.toPrecision(3)) }} counts for
      each pulse.<template v-if="sums.gearing.error">
        It alarms when the output is {{ show(sums.gearing.error, distance) }} behind.</template
      >
    </p>
    <ThreadFollowing class="sm:col-span-2" />
  </div>
</template>
