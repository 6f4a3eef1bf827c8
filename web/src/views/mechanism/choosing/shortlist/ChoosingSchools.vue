<script setup lang="ts">
import { CHOOSING_SCHOOLS, type ChoosingSchool } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../../../composables/useMechanism.js';

/** Ways to begin, each with its reasons: one click sets the form, and everything in it can still be changed. */
const emit = defineEmits<{ begin: [school: ChoosingSchool] }>();
const { choice } = useMechanism();
/** Brushes and their absence are asked of plain motors only. */
const schools = computed(() =>
  CHOOSING_SCHOOLS.filter(({ eachType }) => !eachType || choice.value.drive.kind === 'dc'),
);
</script>

<template>
  <section aria-label="Ways to begin" class="squared grow p-4">
    <p class="mb-3 max-w-2xl text-second">
      Motor, winding, how many, controller and total are searched over the whole shelf. Each is judged as this screen
      judges, over all jobs. Where do you begin?
    </p>
    <ul class="grid gap-2 sm:grid-cols-2">
      <li v-for="school in schools" :key="school.id">
        <button
          type="button"
          class="flex size-full flex-col border border-line bg-sheet px-3 py-1.5 text-left hover:border-ink"
          @click="emit('begin', school)"
        >
          <b class="act block">{{ school.name }}</b><span class="block text-xs text-second">{{ school.reasons }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>
