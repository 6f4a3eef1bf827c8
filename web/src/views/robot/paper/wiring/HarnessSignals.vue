<script setup lang="ts">
import type { Harness, WireColours } from '@rough-gear/core';
import { useDisplay } from '../../../../composables/useDisplay.js';

/** Channels by number, then signals terminal to terminal. */
const { harness, colours } = defineProps<{ harness: Harness; colours: WireColours }>();
const { say } = useDisplay();
</script>

<template>
  <section class="mt-4 text-xs" aria-labelledby="channels">
    <h2 id="channels" class="text-sm">Control channels</h2>
    <ol class="mt-1 columns-1 sm:columns-2 print:columns-2">
      <li v-for="channel in harness.channels" :key="channel.number" class="border-b border-hair py-0.5">
        <span class="figures mr-2 inline-block w-6 text-right font-semibold">{{ channel.number }}</span>{{
          channel.end
        }}
      </li>
    </ol>
    <h2 class="mt-4 text-sm">Signals, terminal to terminal</h2>
    <table class="w-full" data-testid="harness-signals">
      <thead>
        <tr class="text-left">
          <th scope="col" class="border-b border-ink font-semibold">from</th>
          <th scope="col" class="border-b border-ink pl-2 font-semibold">to</th>
          <th scope="col" class="border-b border-ink pl-2 font-semibold">colour</th>
          <th scope="col" class="border-b border-ink pl-2 font-semibold">in or on it</th>
        </tr>
      </thead>
      <tbody v-for="{ mechanism, wires } in harness.signals" :key="mechanism">
        <tr>
          <th scope="rowgroup" colspan="4" class="pt-2 text-left font-semibold">{{ mechanism }}</th>
        </tr>
        <tr v-for="(wire, i) in wires" :key="i" class="align-baseline">
          <td class="border-b border-hair py-0.5">{{ wire.from }}</td>
          <td class="border-b border-hair py-0.5 pl-2">{{ wire.to }}</td>
          <td class="border-b border-hair py-0.5 pl-2">{{ colours[wire.role] ?? '' }}</td>
          <td class="border-b border-hair py-0.5 pl-2">{{ wire.with === undefined ? '' : say(wire.with) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
