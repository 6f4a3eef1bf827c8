<script setup lang="ts">
import { counted, ledgerOf, type Plan } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** What the robot weighs, costs and takes up as its choices in force are; by mechanism where it is opened. */
const { plan } = defineProps<{ plan: Plan }>();
const { show } = useDisplay();
const ledger = computed(() => ledgerOf(plan));
const open = ref(false);
const unknown = (missing: readonly string[]) => (missing.length > 0 ? `, without ${missing.join(', ')}` : '');
</script>

<template>
  <section aria-label="Mass, money, counts" class="text-sm" data-testid="counts">
    <p class="flex flex-wrap items-baseline gap-x-4">
      <span class="figures"
        >{{ counted(ledger.motors, 'motor') }}, {{ counted(ledger.servos, 'servo') }} of
        {{ counted(ledger.kinds, 'kind') }}</span
      >
      <span class="figures">{{ counted(ledger.slots, 'slot') }}</span>
      <span
        ><span class="figures">{{ show(ledger.mass, 'mass') }}</span> of motors and wheels{{
          unknown(ledger.massMissing)
        }}</span
      >
      <span
        ><span class="figures">{{ show(ledger.price, 'number') }}</span> still to pay{{
          unknown(ledger.priceMissing)
        }}</span
      >
      <button type="button" class="act ml-auto min-h-6" :aria-expanded="open" @click="open = !open">
        {{ open ? 'less' : 'by mechanism' }}
      </button>
    </p>
    <table v-if="open" class="mt-1 w-full text-[0.8125rem]">
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="text-left font-normal text-second">mechanism</th>
          <th scope="col" class="font-normal text-second">mass</th>
          <th scope="col" class="font-normal text-second">to pay</th>
          <th scope="col" class="font-normal text-second">motors</th>
          <th scope="col" class="font-normal text-second">servos</th>
          <th scope="col" class="font-normal text-second">controllers</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in ledger.rows" :key="row.mechanism" class="border-b border-hair text-right">
          <th scope="row" class="text-left font-normal">{{ row.name }}</th>
          <td class="figures">{{ row.mass === undefined ? 'not known' : show(row.mass, 'mass') }}</td>
          <td class="figures">{{ row.price === undefined ? 'not known' : show(row.price, 'number') }}</td>
          <td class="figures">{{ row.motors || '' }}</td>
          <td class="figures">{{ row.servos || '' }}</td>
          <td class="figures">{{ row.controllers || '' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
