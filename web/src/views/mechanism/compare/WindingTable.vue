<script setup lang="ts">
import { windingsOf, windingVariants, type VariantResult } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import { useVariants } from './useVariants.js';
import VariantTable from './VariantTable.vue';

/** All windings of one can, and bigger cans: a slower winding is not a stronger motor. */
const { plan, path, mechanism, commit } = useDcMechanism();
const { show } = useDisplay();
const { shelf, load } = useShelf('motor');
void load();

const regear = ref(false);
const known = computed(() => !path.value.lacks.motor);
const windings = computed(() => (known.value ? windingsOf(path.value.drive.motor) : []));
const rows = useVariants(
  computed(() => windingVariants(plan.value, mechanism.value.id, shelf.value.parts, regear.value)),
);

function take(row: VariantResult): void {
  commit(row.changes);
}
</script>

<template>
  <p v-if="!known" class="text-second">Not known: a figure of the motor is missing.</p>
  <template v-else>
    <p class="mb-2 text-second">
      In one can Kv goes down with the turns and the resistance up with their square: the torque for the same copper
      loss stays. A slower winding is not a stronger motor, it only asks for more volts; a bigger can is.
    </p>
    <div class="mb-3 overflow-x-auto" tabindex="0" role="region" aria-label="Windings of this can">
      <table class="text-sm" data-testid="windings">
        <thead>
          <tr class="border-b border-ink text-right">
            <th scope="col" class="pr-6 text-left">turns</th>
            <th v-for="one in windings" :key="one.turns" scope="col" class="figures pl-6">{{ one.turns }} ×</th>
          </tr>
        </thead>
        <tbody class="figures text-right">
          <tr class="border-b border-hair">
            <th scope="row" class="pr-6 text-left font-sans font-normal">Kv</th>
            <td v-for="one in windings" :key="one.turns" class="pl-6">{{ show(one.kv, 'kv') }}</td>
          </tr>
          <tr class="border-b border-hair">
            <th scope="row" class="pr-6 text-left font-sans font-normal">resistance</th>
            <td v-for="one in windings" :key="one.turns" class="pl-6">{{ show(one.resistance, 'resistance') }}</td>
          </tr>
          <tr class="border-b border-hair font-semibold">
            <th scope="row" class="pr-6 text-left font-sans">torque for 50 W of loss</th>
            <td v-for="one in windings" :key="one.turns" class="pl-6">{{ show(one.torqueAt50W, 'torque') }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <label class="mb-2 flex items-center gap-1.5"
      ><input v-model="regear" type="checkbox" class="size-4" /> gear each anew, as suits it over all jobs</label
    >
    <VariantTable
      :rows="rows"
      :columns="['total', 'time', 'motorCurrent', 'supplyCurrent', 'motorHeat', 'hottest', 'runTime', 'mass', 'price']"
      current="turns-1"
      @take="take"
    />
  </template>
</template>
