<script setup lang="ts">
import { harnessOf, type FusedRun, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import HarnessChecks from '../../components/paper/HarnessChecks.vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** Slot by slot and channel by channel, to be held beside the board. */
const { plan } = defineProps<{ plan: Plan }>();
const { show } = useDisplay();
const harness = computed(() => harnessOf(plan));
const wire = ({ rated, gauge, length }: FusedRun): string =>
  [
    rated === undefined ? 'no breaker' : show(rated, 'current'),
    gauge === undefined ? 'gauge?' : show(gauge, 'gauge'),
    length === undefined ? 'length?' : show(length, 'length', 2),
  ].join(' · ');
const colours = computed(() => Object.entries(plan.wireColours ?? {}).filter(([, colour]) => colour));
</script>

<template>
  <section class="mt-4" aria-label="Wiring">
    <p class="mb-2 text-sm font-semibold">Pack unplugged before you touch a wire.</p>
    <HarnessChecks :plan="plan" :harness="harness" />
    <p v-if="colours.length > 0" class="mb-2 text-sm text-second">
      {{ colours.map(([role, colour]) => `${role} ${colour}`).join(', ') }}
    </p>
    <h2>Slots</h2>
    <dl>
      <div v-if="harness.main" class="border-t border-hair py-1.5">
        <dt class="font-semibold">main</dt>
        <dd class="figures text-sm text-second">{{ wire(harness.main) }}</dd>
      </div>
      <div
        v-for="slot in harness.slots"
        :key="slot.number"
        class="border-t border-hair py-1.5"
        :data-slot="slot.number"
      >
        <dt>
          <span class="figures mr-2 inline-block w-7 text-right font-semibold">{{ slot.number }}</span>{{ slot.end }}
        </dt>
        <dd class="figures ml-9 text-sm text-second">{{ wire(slot) }}</dd>
      </div>
    </dl>
    <h2 class="mt-4">Channels</h2>
    <ol>
      <li v-for="channel in harness.channels" :key="channel.number" class="border-t border-hair py-1.5">
        <span class="figures mr-2 inline-block w-7 text-right font-semibold">{{ channel.number }}</span>{{
          channel.end
        }}
      </li>
    </ol>
  </section>
</template>
