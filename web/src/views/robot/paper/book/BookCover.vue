<script setup lang="ts">
import { compareVerdicts, headlineSentence, ledgerOf, packPartOf, type Plan, verdictText } from '@rough-gear/core';
import { format } from 'date-fns';
import { computed } from 'vue';
import { usePhoneAddress } from '../../../../components/paper/phoneAddress.js';
import QrCode from '../../../../components/paper/QrCode.vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import WholeRobotSaid from '../../../../components/verdict/WholeRobotSaid.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useResults } from '../../../../composables/useResults.js';
import { provideRobotVerdict } from '../../../../composables/useRobotVerdict.js';
import { usePlan } from '../../../../stores/plan.js';

/** What the robot is, and what gives first on it, the worst in front. */
const { plan, planId } = defineProps<{ plan: Plan; planId: string }>();
const { show, say } = useDisplay();
const store = usePlan();
const results = useResults();
provideRobotVerdict(results);
const { addressOf } = usePhoneAddress();
const mechanisms = computed(() =>
  [...results.value.values()].sort((a, b) => compareVerdicts(b.headline.verdict, a.headline.verdict)),
);
const ledger = computed(() => ledgerOf(plan));
const facts = computed(() => [
  ['pack', packPartOf(plan)?.name ?? 'none'],
  ['mass without it', show(ledger.value.mass.mass, 'mass')],
  ['motors', String(ledger.value.motors)],
  ['servos', String(ledger.value.servos)],
  ['slots', String(ledger.value.slots)],
  ['channels', String(ledger.value.channels)],
]);
const today = format(new Date(), 'd MMMM yyyy');
</script>

<template>
  <article class="paper mt-4 p-4 sm:p-8 print:mt-0" data-page="cover">
    <header class="flex items-end justify-between gap-4 border-b-2 border-ink pb-1">
      <div>
        <h1 class="text-3xl break-words">{{ plan.name }}</h1>
        <p class="text-sm">revision {{ store.revision }}, printed {{ today }}</p>
      </div>
      <QrCode
        :text="addressOf({ name: 'pit', params: { planId } })"
        label="Code that opens the pit page on a phone"
        class="size-24 shrink-0"
      />
    </header>
    <dl class="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-sm">
      <div v-for="[name, value] in facts" :key="name" class="flex gap-1.5">
        <dt class="text-second">{{ name }}</dt>
        <dd class="figures">{{ value }}</dd>
      </div>
    </dl>
    <h2 class="mt-6 text-lg">What gives first</h2>
    <WholeRobotSaid v-if="plan.mechanisms.length > 0" class="mt-1 border-b border-ink pb-1.5 text-sm" />
    <ul class="mt-1">
      <li
        v-for="{ id, name, headline, jobs } in mechanisms"
        :key="id"
        class="flex gap-3 border-b border-hair py-1.5 break-inside-avoid"
      >
        <VerdictRing :verdict="headline.verdict" :size="20" class="mt-0.5 shrink-0" />
        <p class="text-sm">
          <b class="font-semibold">{{ name }}, {{ verdictText(headline) }}.</b>
          {{ say(headlineSentence(headline, jobs).rest) }}
        </p>
      </li>
    </ul>
    <p v-if="plan.mechanisms.length === 0" class="mt-2 text-sm">There is no mechanism yet.</p>
    <p class="mt-6 border-l-4 border-ink pl-2 text-sm">
      Power off before hands go in. What is lifted falls when the power goes: prop it. The pack is unplugged while wires
      are touched, and never left alone on its charger. Event rules, local codes and whoever answers for safety come
      first. These are calculations: prove them on the bench.
    </p>
  </article>
</template>
