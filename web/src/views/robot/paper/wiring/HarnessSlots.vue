<script setup lang="ts">
import type { FusedRun, Harness, WireColours } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';

/** From the pack past the main breaker to the board, and from each slot to what hangs on it, drawn a line each. */
const { harness, colours } = defineProps<{ harness: Harness; colours: WireColours }>();
const { show } = useDisplay();
const wire = ({ gauge, length }: FusedRun): string =>
  [
    gauge === undefined ? 'gauge?' : show(gauge, 'gauge'),
    length === undefined ? 'length?' : show(length, 'length', 2),
  ].join(', ');
const amperes = ({ rated, breaker }: FusedRun): string =>
  rated === undefined ? (breaker ?? 'no breaker') : show(rated, 'current');
const plugs = ({ connectors, connectorRated }: FusedRun): string =>
  connectors
    ? `${connectors} ${connectors === 1 ? 'plug' : 'plugs'}${connectorRated === undefined ? '' : ` of ${show(connectorRated, 'current')}`}`
    : '';
const pair = computed(() => [colours.plus, colours.minus].filter(Boolean).join(' and '));
</script>

<template>
  <table class="w-full text-xs" data-testid="harness-slots">
    <caption class="pb-1 text-left text-sm font-semibold">
      Pack to board, slot by slot<template v-if="pair">: {{ pair }}</template>
    </caption>
    <thead class="sr-only">
      <tr>
        <th scope="col">slot and breaker</th>
        <th scope="col">wire</th>
        <th scope="col">goes to</th>
        <th scope="col">turns</th>
      </tr>
    </thead>
    <tbody>
      <tr>
        <th scope="row" class="box">
          {{ harness.pack ?? 'no pack' }}
          <span v-if="harness.main" class="figures block">main, {{ amperes(harness.main) }}</span>
        </th>
        <td class="run">
          <span v-if="harness.main" class="over">{{ wire(harness.main) }}</span>
          <span v-if="harness.main" class="under">{{ plugs(harness.main) }}</span>
        </td>
        <td class="box" colspan="2">board of {{ harness.slots.length }} slots in use</td>
      </tr>
      <tr v-for="slot in harness.slots" :key="slot.number" :data-slot="slot.number">
        <th scope="row" class="box">
          <span class="flex justify-between gap-2"
            ><span>slot {{ slot.number }}</span
            ><span class="figures">{{ amperes(slot) }}</span></span
          >
        </th>
        <td class="run">
          <span class="over">{{ wire(slot) }}</span>
          <span class="under">{{ plugs(slot) }}</span>
        </td>
        <td class="box">
          {{ slot.end
          }}<span v-if="slot.channels.length > 0" class="text-second">, channel {{ slot.channels.join(', ') }}</span>
        </td>
        <td :class="slot.motor ? 'turns' : ''">{{ slot.motor ?? '' }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
/* A wire is a line from box to box: its size stands on it, its plugs hang under it. */
table {
  border-collapse: separate;
  border-spacing: 0 0.3rem;
}
.box {
  border: 1.5px solid var(--ink);
  padding: 0.2rem 0.4rem;
  text-align: left;
  font-weight: 400;
  overflow-wrap: anywhere;
}
.run {
  width: 26%;
  padding: 0;
  text-align: center;
  vertical-align: middle;
  background: linear-gradient(var(--ink), var(--ink)) center / 100% 1.5px no-repeat;
}
.over,
.under {
  display: block;
  min-height: 1rem;
}
.turns {
  vertical-align: middle;
  background: linear-gradient(var(--ink), var(--ink)) left center / 1.2rem 1.5px no-repeat;
  padding-left: 1.6rem;
}
</style>
