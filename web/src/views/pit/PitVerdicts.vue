<script setup lang="ts">
import { compareVerdicts, headlineText, type Plan, verdictText } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import WholeRobotSaid from '../../components/verdict/WholeRobotSaid.vue';
import { useResults } from '../../composables/useResults.js';
import { provideRobotVerdict } from '../../composables/useRobotVerdict.js';

/** What gives first on the robot and on each mechanism, the worst in front. */
const { plan } = defineProps<{ plan: Plan; planId: string }>();
const results = useResults();
provideRobotVerdict(results);
const mechanisms = computed(() =>
  [...results.value.values()].sort((a, b) => compareVerdicts(b.headline.verdict, a.headline.verdict)),
);
</script>

<template>
  <section class="mt-4" aria-label="What gives first">
    <WholeRobotSaid v-if="plan.mechanisms.length > 0" class="border-b border-ink pb-2" />
    <ul>
      <li v-for="{ id, name, headline } in mechanisms" :key="id" class="border-b border-hair">
        <RouterLink
          class="flex min-h-11 items-start gap-3 py-2"
          :to="{ name: 'mechanism', params: { planId, mechanismId: id } }"
        >
          <VerdictRing :verdict="headline.verdict" :size="22" class="mt-0.5 shrink-0" />
          <span class="min-w-0 break-words"
            ><span class="font-semibold">{{ name }}, {{ verdictText(headline) }}</span
            ><span class="block text-sm text-second">{{ headlineText(headline) }}</span></span
          >
        </RouterLink>
      </li>
    </ul>
    <p v-if="plan.mechanisms.length === 0" class="text-second">There is no mechanism yet.</p>
  </section>
</template>
