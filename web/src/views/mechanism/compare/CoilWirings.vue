<script setup lang="ts">
import { coilWirings, type CoilWiringRow } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../composables/useMechanism.js';
import FirstToGive from './FirstToGive.vue';

/** One stepper with its half coils joined every way there is, on this mechanism. */
const emit = defineEmits<{ done: [] }>();
const { plan, mechanism, jobId, commit } = useStepMechanism();
const { show } = useDisplay();

const rows = computed(() => coilWirings(plan.value, mechanism.value.id, jobId.value));

function take(row: CoilWiringRow): void {
  commit(row.changes);
  emit('done');
}
</script>

<template>
  <p class="mb-2 max-w-5xl text-second">
    Six or eight wires are half coils that may be joined otherwise. What each takes warms the motor as much. In series
    it needs the least current, and its inductance ends it early; in parallel it keeps its torque to twice the speed for
    twice the amperes; half of a coil gives seven tenths of the torque. The driver's current is what its switches make
    of it.
  </p>
  <div class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="coils">
      <thead>
        <tr class="border-b border-ink text-left">
          <th scope="col">coils</th>
          <th scope="col" class="pl-3 text-right">takes, a phase</th>
          <th scope="col" class="pl-3 text-right">driver set to</th>
          <th scope="col" class="pl-3 text-right">torque from rest</th>
          <th scope="col" class="pl-3 text-right">at the job’s speed</th>
          <th scope="col" class="pl-3 text-right">flat up to</th>
          <th scope="col" class="pl-3 text-right">nothing left from</th>
          <th scope="col" class="pl-3">gives first</th>
          <th scope="col"><span class="sr-only">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.wiring"
          class="border-b border-hair align-top"
          :class="row.changes.length === 0 ? 'bg-sheet font-semibold' : ''"
        >
          <th scope="row" class="py-1 text-left font-normal">
            {{ row.wiring === 'half coil' ? row.wiring : `in ${row.wiring}`
            }}{{ row.changes.length === 0 ? ', as it is' : '' }}
          </th>
          <td class="figures py-1 pl-3 text-right">{{ show(row.ratedCurrent, 'current') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(row.setCurrent, 'current') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(row.atRest, 'torque') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(row.atJob, 'torque') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(row.corner, 'speed') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(row.last, 'speed') }}</td>
          <td class="py-1 pl-3"><FirstToGive :headline="row.headline" /></td>
          <td class="pl-3">
            <button v-if="row.changes.length > 0" type="button" class="act min-h-6" @click="take(row)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
