<script setup lang="ts">
import { motorCounts, type VariantResult } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import { useVariants } from './useVariants.js';
import VariantTable from './VariantTable.vue';

/** One motor and more on this job, and what is left with one of them dead. */
const { plan, mechanism, commit } = useDcMechanism();

const dead = ref(false);
const shared = ref(false);
const rows = useVariants(computed(() => motorCounts(plan.value, mechanism.value.id, dead.value, shared.value)));

function take(row: VariantResult): void {
  commit(row.changes);
}
</script>

<template>
  <p class="mb-2 text-second">
    More motors share heat and pull, and cost price, mass, wires and a controller each. Behind one shared pack-side
    limit they get the same watts, and still pull harder at rest. On wheels a dead one is dragged along with its losses;
    elsewhere it is taken as turning freely. Mass and price count motors, controllers, wheels, chains and belts; mounts
    and wires come on top.
  </p>
  <p class="mb-2 flex flex-wrap gap-x-6">
    <label class="flex items-center gap-1.5"
      ><input v-model="dead" type="checkbox" class="size-4" /> one of them is dead</label
    >
    <label class="flex items-center gap-1.5"
      ><input v-model="shared" type="checkbox" class="size-4" /> they share the pack-side limit of today</label
    >
  </p>
  <VariantTable
    :rows="rows"
    :columns="[
      'time',
      'top',
      'pull',
      'braking',
      'motorCurrent',
      'supplyCurrent',
      'motorHeat',
      'hottest',
      'parts',
      'mass',
      'price',
    ]"
    current="now"
    @take="take"
  />
</template>
