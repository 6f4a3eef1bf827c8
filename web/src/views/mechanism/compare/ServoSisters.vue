<script setup lang="ts">
import { digits, servoSisters, type ServoSister } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import FirstToGive from './FirstToGive.vue';

/** The servo's own motor with other gears, off the shelf or made up: twice the speed, half the torque, on this joint. */
const emit = defineEmits<{ done: [] }>();
const { plan, mechanism, jobId, commit } = useServoMechanism();
const { show } = useDisplay();
const { shelf, load } = useShelf('servo');
void load();

const sisters = computed(() => servoSisters(plan.value, mechanism.value.id, jobId.value, shelf.value.parts));

function take(sister: ServoSister): void {
  commit(sister.changes);
  emit('done');
}
</script>

<template>
  <p class="mb-2 max-w-5xl text-second">
    One motor is sold with several gear sets: the same watts, so that what it gains in torque it loses in speed. The
    rotor turns round slower by the square. Those the shelf has stand by their names, the rest is made up to see where
    this joint wants to be.
  </p>
  <p v-if="sisters.length === 0" class="text-second">A linear servo’s screw is not exchanged for another.</p>
  <div v-else class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="sisters">
      <thead>
        <tr class="border-b border-ink text-left">
          <th scope="col">gears</th>
          <th scope="col" class="pl-3 text-right">torque</th>
          <th scope="col" class="pl-3 text-right">speed</th>
          <th scope="col" class="pl-3 text-right">one go takes</th>
          <th scope="col" class="pl-3">gives first</th>
          <th scope="col"><span class="sr-only">take it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="sister in sisters"
          :key="sister.id"
          class="border-b border-hair align-top"
          :class="sister.changes.length === 0 ? 'bg-sheet font-semibold' : ''"
        >
          <th scope="row" class="py-1 text-left font-normal">
            <template v-if="sister.changes.length === 0">as it is</template>
            <template v-else-if="sister.onShelf">{{ sister.name }}</template>
            <template v-else>{{ digits(sister.by, 2) }} times the torque, made up</template>
          </th>
          <td class="figures py-1 pl-3 text-right">{{ show(sister.torque, 'torque') }}</td>
          <td class="figures py-1 pl-3 text-right">{{ show(sister.speed, 'turning') }}</td>
          <td class="figures py-1 pl-3 text-right">
            {{ sister.time === undefined ? 'not there' : show(sister.time, 'time', 2) }}
          </td>
          <td class="py-1 pl-3"><FirstToGive :headline="sister.headline" /></td>
          <td class="pl-3">
            <button v-if="sister.changes.length > 0" type="button" class="act min-h-6" @click="take(sister)">
              Try it
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
