<script setup lang="ts">
import { coilWirings, type CoilWiringRow } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../composables/useMechanism.js';
import FirstToGive from './FirstToGive.vue';
import TryTable from './TryTable.vue';

/** One stepper with its half coils joined every way there is, on this mechanism. */
const { plan, mechanism, jobId, commit } = useStepMechanism();
const { show } = useDisplay();

const rows = computed(() => coilWirings(plan.value, mechanism.value.id, jobId.value));

const HEADINGS = [
  { text: 'takes, a phase' },
  { text: 'driver set to' },
  { text: 'torque from rest' },
  { text: 'at the job’s speed' },
  { text: 'flat up to' },
  { text: 'nothing left from' },
  { text: 'gives first', words: true },
];

function take(row: CoilWiringRow): void {
  commit(row.changes);
}
</script>

<template>
  <p class="mb-2 max-w-5xl text-second">
    Six or eight wires are half coils that may be joined otherwise. What each takes warms the motor as much. In series
    it needs the least current, and its inductance ends it early; in parallel it keeps its torque to twice the speed for
    twice the amperes; half of a coil gives seven tenths of the torque. The driver's current is what its switches make
    of it.
  </p>
  <TryTable
    :rows="rows"
    first="coils"
    :headings="HEADINGS"
    :key-of="({ wiring }) => wiring"
    :is-own="({ changes }) => changes.length === 0"
    data-testid="coils"
    @take="take"
  >
    <template #name="{ row }">
      {{ row.wiring === 'half coil' ? row.wiring : `in ${row.wiring}`
      }}{{ row.changes.length === 0 ? ', as it is' : '' }}
    </template>
    <template #cells="{ row }">
      <td class="figures py-1 pl-3 text-right">{{ show(row.ratedCurrent, 'current') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.setCurrent, 'current') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.atRest, 'torque') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.atJob, 'torque') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.corner, 'speed') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.last, 'speed') }}</td>
      <td class="py-1 pl-3"><FirstToGive :headline="row.headline" /></td>
    </template>
  </TryTable>
</template>
