<script setup lang="ts">
import type { RobotFault } from '@rough-gear/contract/api';
import { onMounted, shallowRef } from 'vue';
import { whenText } from '../../components/diary/whenText.js';
import { api } from '../../api/client.js';

/** Faults of the pit that ask for a trial: they stand here until they are mended. */
const faults = shallowRef<readonly RobotFault[]>([]);
onMounted(async () => {
  // Without them the book is whole all the same.
  faults.value = await api.faults().then(
    (found) => found.faults,
    () => [],
  );
});
</script>

<template>
  <ul v-if="faults.length > 0" class="grid gap-1 px-4 pt-2 text-sm" aria-label="Faults that ask for a trial">
    <li v-for="{ planId, robot, fault } in faults" :key="fault.id" class="border-l-4 border-gives pl-2">
      <b class="font-semibold">To measure, {{ robot }}:</b> {{ fault.note }}
      <span class="text-second"
        >before match {{ fault.match }}{{ fault.who ? `, ${fault.who}` : '' }}, {{ whenText(fault.at) }}</span
      >
      <RouterLink class="act ml-2" :to="{ name: 'pit', params: { planId } }">its checks</RouterLink>
    </li>
  </ul>
</template>
