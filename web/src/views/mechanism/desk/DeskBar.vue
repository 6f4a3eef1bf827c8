<script setup lang="ts">
import { DESK_IDS, DESKS } from '@rough-gear/contract/find';
import { useDesk } from '../../../composables/useDesk.js';
import MechanismMenu from './MechanismMenu.vue';

/** The desks of the open mechanism, all in view; and what is done with the mechanism itself. */
const { desk, deskAt } = useDesk();
</script>

<template>
  <div class="not-printed flex flex-wrap items-center gap-x-4 border-b border-ink px-4">
    <nav aria-label="Desks" class="-mb-px flex flex-wrap gap-x-4">
      <RouterLink
        v-for="id in DESK_IDS"
        :key="id"
        :to="deskAt(id)"
        class="grid min-h-8 place-items-center"
        :class="desk === id ? 'border-b-3 border-ink font-semibold' : 'act'"
        :aria-current="desk === id ? 'page' : undefined"
        >{{ DESKS[id] }}</RouterLink
      >
    </nav>
    <MechanismMenu class="ml-auto" />
  </div>
</template>
