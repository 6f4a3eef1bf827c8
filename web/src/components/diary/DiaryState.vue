<script setup lang="ts">
import { counted } from '@rough-gear/core';
import { computed } from 'vue';
import { useDiary } from '../../stores/diary.js';

/** Whether what was written down has come home; said only where it has not. */
const diary = useDiary();
const said = computed(() => {
  const lines = `${counted(diary.waiting, 'line')} ${diary.waiting === 1 ? 'waits' : 'wait'} here`;
  switch (diary.state) {
    case 'away':
      return diary.waiting > 0 ? `no network: ${lines}` : 'no network: what others wrote may be missing';
    case 'waiting':
      return `${lines}: ${diary.refusal}`;
    case 'refused':
      // Nothing of it is lost where nothing was written: the page itself says what is wrong.
      return diary.waiting > 0 ? `${lines}: it was refused. ${diary.refusal}` : '';
    default:
      return diary.refusal;
  }
});
</script>

<template>
  <p v-if="said" role="status" class="text-sm" :class="diary.state === 'refused' ? 'text-gives' : 'text-second'">
    {{ said }}
  </p>
</template>
