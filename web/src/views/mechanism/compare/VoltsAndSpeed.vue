<script setup lang="ts">
import {
  fastestWork,
  freeSpeedAt,
  motorSpeed,
  voltVariants,
  windingFor,
  type Quantity,
  type VariantResult,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import WishField from '../adding/WishField.vue';
import { useVariants } from './useVariants.js';
import VariantTable from './VariantTable.vue';

/** Volts first: from a speed the motor is happy at and the pack to a winding, and to the reduction for the job. */
const { plan, path, mechanism, jobId, commit } = useDcMechanism();
const { show } = useDisplay();

const happy = ref<Quantity>();
const fastest = ref<Quantity>();
const volts = computed(() => path.value.drive.restVoltage);
const fastestJob = computed(() => fastestWork(plan.value, mechanism.value.id));
/** What it turns at now in that job, unless a speed was given. */
const speed = computed(() => happy.value?.si ?? motorSpeed(fastestJob.value, fastestJob.value.asked.speed));
const found = computed(() => {
  const { asked, radius } = fastestJob.value;
  return windingFor(speed.value, volts.value, asked.speed / radius);
});
const known = computed(() => Number.isFinite(found.value.kv) && Number.isFinite(found.value.total));
const rows = useVariants(
  computed(() =>
    voltVariants(
      plan.value,
      mechanism.value.id,
      jobId.value,
      fastest.value?.si ?? (path.value.lacks.motor ? undefined : 2 * freeSpeedAt(path.value.drive.motor, volts.value)),
    ),
  ),
);

function take(row: VariantResult): void {
  commit(row.changes);
}
</script>

<template>
  <p class="mb-2 text-second">
    The pack sets the volts; volts and a speed the motor is happy at set the winding; the job’s speed sets the
    reduction. More volts with more reduction, or with more turns, do the same work with fewer amperes. Time, heat and
    currents are of the same go in every row: at the speed and the acceleration the job asks, not flat out.
  </p>
  <div class="mb-3 grid gap-x-6 gap-y-1 sm:grid-cols-[1fr_1fr_2fr]">
    <WishField
      v-model="happy"
      label="the motor is happy at"
      dimension="speed"
      :hint="known ? `${show(speed, 'speed')}, as now` : '8000 rpm'"
    />
    <WishField v-model="fastest" label="and never faster than" dimension="speed" hint="twice its free speed" />
    <p v-if="known" class="self-end" data-testid="volts-found">
      On {{ show(volts, 'voltage') }} look for <b class="figures">{{ show(found.kv, 'kv') }}</b>, geared
      <b class="figures">{{ show(found.total, 'ratio') }}</b> for <i>{{ fastestJob.job.name }}</i>, the fastest job.
    </p>
    <p v-else class="self-end text-second">Not known: the job’s speed or the pack is missing.</p>
  </div>
  <VariantTable
    :rows="rows"
    :columns="['total', 'time', 'motorCurrent', 'supplyCurrent', 'motorHeat', 'controllerHeat', 'hottest']"
    current="now"
    @take="take"
  />
  <p class="mt-2 text-xs text-second">
    Same cells, more of them: the pack is the whole robot’s, so that every mechanism sees the change. Above 60 V d.c.:
    licensed practice.
  </p>
</template>
