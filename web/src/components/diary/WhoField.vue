<script setup lang="ts">
import { usePreferences } from '../../stores/preferences.js';
import TextField from '../fields/TextField.vue';

/** The name that is put to what is written down here; this browser remembers it. */
const preferences = usePreferences();
</script>

<template>
  <TextField v-model="preferences.who" label="your name" :most="120" />
</template>
