<script setup lang="ts">
import { openFaults } from '@rough-gear/core';
import { computed } from 'vue';
import { whenText } from '../../../../components/diary/whenText.js';
import { useOrder } from './useOrder.js';

/** Faults of the pit that ask for a part: they stand here until a new one is in. */
const { diary } = useOrder();
const faults = computed(() => openFaults(diary.entries).filter(({ asks }) => asks === 'a spare'));
</script>

<template>
  <section
    v-if="faults.length > 0"
    class="mb-3 border-l-4 border-ink pl-2 text-sm"
    aria-label="Faults that ask for a part"
  >
    <p v-for="fault in faults" :key="fault.id">
      <b class="font-semibold">To replace: {{ fault.note || fault.check }}</b
      >, before match {{ fault.match }}{{ fault.who ? `, ${fault.who}` : '' }}, {{ whenText(fault.at) }}
    </p>
  </section>
</template>
