<script setup lang="ts">
import { digits, servoSisters, type ServoSister } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import FirstToGive from './FirstToGive.vue';
import TryTable from './TryTable.vue';

/** The servo's own motor with other gears, off the shelf or made up: twice the speed, half the torque, on this joint. */
const { plan, mechanism, jobId, commit } = useServoMechanism();
const { show } = useDisplay();
const { shelf, load } = useShelf('servo');
void load();

const sisters = computed(() => servoSisters(plan.value, mechanism.value.id, jobId.value, shelf.value.parts));

const HEADINGS = [
  { text: 'torque' },
  { text: 'speed' },
  { text: 'one go takes' },
  { text: 'gives first', words: true },
];

function take(sister: ServoSister): void {
  commit(sister.changes);
}
</script>

<template>
  <p class="mb-2 max-w-5xl text-second">
    One motor is sold with several gear sets: the same watts, so that what it gains in torque it loses in speed. The
    rotor turns round slower by the square. Those the shelf has stand by their names, the rest is made up to see where
    this joint wants to be.
  </p>
  <p v-if="sisters.length === 0" class="text-second">A linear servo’s screw is not exchanged for another.</p>
  <TryTable
    v-else
    :rows="sisters"
    first="gears"
    :headings="HEADINGS"
    :key-of="({ id }) => id"
    :is-own="({ changes }) => changes.length === 0"
    data-testid="sisters"
    @take="take"
  >
    <template #name="{ row }">
      <template v-if="row.changes.length === 0">as it is</template>
      <template v-else-if="row.onShelf">{{ row.name }}</template>
      <template v-else>{{ digits(row.by, 2) }} times the torque, made up</template>
    </template>
    <template #cells="{ row }">
      <td class="figures py-1 pl-3 text-right">{{ show(row.torque, 'torque') }}</td>
      <td class="figures py-1 pl-3 text-right">{{ show(row.speed, 'turning') }}</td>
      <td class="figures py-1 pl-3 text-right">
        {{ row.time === undefined ? 'not there' : show(row.time, 'time', 2) }}
      </td>
      <td class="py-1 pl-3"><FirstToGive :headline="row.headline" /></td>
    </template>
  </TryTable>
</template>
