<script setup lang="ts">
import { counted, EVENT_SUM_WORDS, eventChecks, ledgerOf, type EventSum, type Plan } from '@rough-gear/core';
import { computed, ref } from 'vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import LedgerTable from './LedgerTable.vue';
import EventSheetDialog from './event/EventSheetDialog.vue';

/** What the robot weighs, costs and takes up, each against what its event allows; by mechanism where it is opened. */
const { plan } = defineProps<{ plan: Plan }>();
const { show, say } = useDisplay();
const ledger = computed(() => ledgerOf(plan));
const checks = computed(() => eventChecks(plan, ledger.value));
const open = ref(false);
const sheet = ref(false);
/** What is over stands with what gives first; what cannot be told stands here. */
const untold = computed(() => checks.value.filter(({ verdict }) => verdict === 'not known'));
const isOver = (of: EventSum) =>
  checks.value.some(({ limit, verdict }) => limit.kind === 'most' && limit.of === of && verdict === 'gives way');

/** "11 of 12 motors" where the event says how many, else "11 motors". */
function counts(of: EventSum, is: number, words: (count: number) => string): string {
  const most = checks.value.find(({ limit }) => limit.kind === 'most' && limit.of === of)?.most;
  return most === undefined ? words(is) : `${is} of ${words(most)}`;
}
const measured = (of: EventSum, is: number): string => {
  const check = checks.value.find(({ limit }) => limit.kind === 'most' && limit.of === of);
  const { dimension } = EVENT_SUM_WORDS[of];
  const told = (value: number) => show(value, dimension ?? 'number');
  return check?.most === undefined ? told(is) : `${told(check.is ?? is)} of ${told(check.most)}`;
};
</script>

<template>
  <section aria-label="Mass, money, counts" class="text-sm" data-testid="counts">
    <p class="flex flex-wrap items-baseline gap-x-4">
      <span class="figures">{{ counts('slots', ledger.slots, (n) => counted(n, 'slot')) }}</span>
      <span class="figures">{{ counts('motors', ledger.motors, (n) => counted(n, 'motor')) }}</span>
      <span class="figures">{{ counts('servos', ledger.servos, (n) => counted(n, 'servo')) }}</span>
      <span class="figures" title="one to a controller, a driver or a servo">{{
        counted(ledger.channels, 'channel')
      }}</span>
      <span class="figures">{{ counts('kinds', ledger.kinds, (n) => counted(n, 'kind')) }}</span>
      <span :class="isOver('mass') ? 'text-gives' : ''"
        ><VerdictRing
          v-if="isOver('mass')"
          verdict="gives way"
          :size="14"
          class="mr-1 inline-block align-[-2px]"
        /><span class="figures">{{ measured('mass', ledger.mass.mass) }}</span
        ><span v-if="ledger.mass.missing.length > 0" class="text-second"
          >, without {{ ledger.mass.missing.join(', ') }}</span
        ></span
      >
      <span
        ><span class="figures">{{ measured('money', ledger.price) }}</span> to spend<span
          v-if="ledger.priceMissing.length > 0"
          class="text-second"
          >, without {{ ledger.priceMissing.join(', ') }}</span
        ></span
      >
      <span class="ml-auto flex flex-wrap items-baseline gap-x-4">
        <button type="button" class="act min-h-6" :aria-expanded="open" @click="open = !open">
          {{ open ? 'less' : 'by mechanism' }}
        </button>
        <button type="button" class="act min-h-6" @click="sheet = true">event sheet</button>
      </span>
    </p>
    <ul v-if="untold.length > 0" aria-label="Not known against the event" class="text-xs text-second">
      <li v-for="check in untold" :key="check.limit.id" class="flex gap-1.5">
        <VerdictRing :verdict="check.verdict" :size="14" class="mt-0.5 shrink-0" />
        <span
          ><b class="font-semibold">{{ check.name }}</b
          >, not known. {{ say(check.sentence) }}</span
        >
      </li>
    </ul>
    <LedgerTable v-if="open" :plan="plan" :ledger="ledger" />
    <EventSheetDialog :open="sheet" :plan="plan" :checks="checks" @close="sheet = false" />
  </section>
</template>
