<script setup lang="ts">
import {
  electronicGearing,
  followingErrorAngle,
  highestLeadingSpeed,
  mostRate,
  motorSpeed,
  outputResolution,
  pulseRate,
  pulsesPerCount,
  rateOf,
  speedAtPulses,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import CountField from '../../../../components/fields/CountField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { outputUnits } from '../../../../components/charts/forceChart.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';

/** Pulses and output speed, both ways; a shaft locked to another; an encoder's counts. */
const { path, drive, driveAt, commit } = useStepMechanism();
const { show } = useDisplay();

const train = computed(() => ({
  stepsPerTurn: path.value.step.stepsPerTurn,
  microsteps: path.value.step.microsteps,
  reduction: path.value.train.total,
}));
const units = computed(() => outputUnits(path.value));
const distance = computed(() => (path.value.load.unit === 'm' ? ('length' as const) : ('angle' as const)));
/** On q for a turn of the output shaft, as its load moves. */
const perRadian = computed(() => path.value.radius * path.value.asked.perCoordinate);
const known = computed(() => Number.isFinite(train.value.reduction * perRadian.value));

/** What a person asks: so many pulses a second, or so fast. */
const pulses = ref(1000);
const fromPulses = computed(() => show(speedAtPulses(train.value, pulses.value) * perRadian.value, units.value.speed));
const most = computed(() => mostRate(path.value));
const fastest = computed(() =>
  Number.isFinite(most.value.rate)
    ? show(speedAtPulses(train.value, most.value.rate) * perRadian.value, units.value.speed)
    : '—',
);
const one = computed(() => show(outputResolution(train.value) * perRadian.value, distance.value, 2));
const perTurn = computed(() => Math.round(pulseRate(train.value, 2 * Math.PI)));

const leading = computed(() => {
  const { lead, radius } = path.value;
  if (!lead || !Number.isFinite(most.value.rate)) return undefined;
  const ratio = lead.perTurn / (2 * Math.PI * radius);
  return {
    perCount: pulsesPerCount(train.value, ratio, lead.encoderLines),
    counts: 4 * lead.encoderLines,
    highest: show(highestLeadingSpeed(train.value, ratio, most.value.rate), 'speed'),
  };
});

const gearing = computed(() => {
  const { step, driver } = path.value;
  if (step.encoderLines === undefined) return undefined;
  return {
    counts: 4 * step.encoderLines,
    gearing: electronicGearing(step.encoderLines, step.stepsPerTurn),
    error:
      driver.followingError === undefined
        ? undefined
        : show(
            followingErrorAngle(driver.followingError, step.encoderLines, path.value.train.total) * perRadian.value,
            distance.value,
          ),
  };
});
</script>

<template>
  <p v-if="!known" class="text-second">Not known: a figure of the reduction or the output is missing.</p>
  <div v-else class="grid gap-x-6 gap-y-1 text-sm sm:grid-cols-2" data-testid="pulse-sums">
    <p>
      {{ train.stepsPerTurn }}<template v-if="train.microsteps > 1"> × {{ train.microsteps }}</template> ×
      {{ Number(train.reduction.toPrecision(4)) }} = <b class="figures">{{ perTurn }}</b> pulses per turn of the output;
      one pulse moves it <b class="figures">{{ one }}</b>.
    </p>
    <p>
      The job takes <b class="figures">{{ show(rateOf(path), 'rate') }}</b> at
      {{ show(motorSpeed(path, path.commanded.speed), 'speed') }} of the motor; at most {{ show(most.rate, 'rate') }},
      which is <b class="figures">{{ fastest }}</b>.
    </p>
    <p class="flex flex-wrap items-center gap-x-2">
      <label for="pulses">pulses a second</label>
      <input
        id="pulses"
        v-model.number="pulses"
        type="number"
        min="1"
        class="figures w-24 border-b border-ink bg-transparent"
      />
      are
      <b class="figures" data-testid="from-pulses">{{ Number.isFinite(pulses) && pulses > 0 ? fromPulses : '—' }}</b>
    </p>
    <p v-if="gearing">
      The encoder counts {{ gearing.counts }} a turn: {{ Number(gearing.gearing.toPrecision(3)) }} counts for each
      pulse.<template v-if="gearing.error"> It alarms when the output is {{ gearing.error }} behind.</template>
    </p>
    <div class="flex flex-wrap gap-x-4 sm:col-span-2">
      <FigureField :figure="path.load.unit === 'm' ? 'drive.leadPitch' : 'drive.leadAngle'" class="w-60" />
      <CountField
        v-if="leading"
        :value="drive.leadEncoderLines ?? 600"
        label="lines of that shaft’s encoder"
        :most="100000"
        class="w-52"
        @change="commit([{ at: [...driveAt, 'leadEncoderLines'], to: $event }])"
      />
      <p v-if="leading" class="self-end" data-testid="leading">
        {{ leading.counts }} counts a turn, <b class="figures">{{ Number(leading.perCount.toPrecision(4)) }}</b> pulses
        for each; that shaft may turn at <b class="figures">{{ leading.highest }}</b> at most.
      </p>
      <p v-else class="self-end text-xs text-second">
        Locked to another turning shaft, as a thread is to its spindle: say how far this output goes per turn of it.
      </p>
    </div>
  </div>
</template>
