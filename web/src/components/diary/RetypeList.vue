<script setup lang="ts">
import type { Retype } from '@rough-gear/core';
import { useDisplay } from '../../composables/useDisplay.js';

/** What must be typed in anew: as it was, as it is now. */
defineProps<{ retype: readonly Retype[] }>();
const { say } = useDisplay();
</script>

<template>
  <ul>
    <li v-for="{ key, label, was, now } in retype" :key="key">
      {{ label }}
      <span class="figures"
        >{{ was === undefined ? 'new' : say(was) }} → {{ now === undefined ? 'gone' : say(now) }}</span
      >
    </li>
  </ul>
</template>
