<script setup lang="ts">
import type { HarnessRail } from '@rough-gear/core';
import { useDisplay } from '../../../../composables/useDisplay.js';

/** Rails of servos: their volts, their ground, and which channel each servo listens to. */
defineProps<{ rails: readonly HarnessRail[] }>();
const { show } = useDisplay();
const SOURCES: Readonly<Record<HarnessRail['source'], string>> = {
  regulator: 'off a regulator',
  pack: 'straight off the pack',
  board: 'off a pin of the board',
};
</script>

<template>
  <section class="mt-4 text-xs" aria-labelledby="rails">
    <h2 id="rails" class="text-sm">Servo rails</h2>
    <div v-for="rail in rails" :key="rail.id" class="mt-1 border-l-4 border-ink pl-2">
      <p>
        <b class="font-semibold">{{ rail.name }}</b>,
        {{ rail.voltage === undefined ? '' : `${show(rail.voltage, 'voltage')} ` }}{{ SOURCES[rail.source] }}; ground
        {{ rail.apart ? 'apart: join it to the board’s' : 'common with the board' }}
      </p>
      <p>
        <span v-for="servo in rail.servos" :key="servo.number" class="mr-4 inline-block"
          >channel {{ servo.number }}: {{ servo.end }}</span
        >
      </p>
    </div>
  </section>
</template>
