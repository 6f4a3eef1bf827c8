<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { headlineText, type Headline, verdictText } from '@rough-gear/core';
import { formatDistanceToNow } from 'date-fns';
import { computed } from 'vue';
import { api } from '../../api/client.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useAccess } from '../../stores/access.js';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import { isLookedAt } from './lookedAt.js';

/** One robot: its mechanisms as a row of verdicts, each a way in. */
const { plan } = defineProps<{ plan: PlanSummary }>();
defineEmits<{ rename: []; duplicate: []; remove: []; export: [] }>();
const access = useAccess();
const { say } = useDisplay();
const said = computed(() => {
  if (plan.unreadable !== undefined) return 'cannot be read by this version of the program';
  if (plan.unjudged !== undefined) return 'open it to see what gives first';
  if (!plan.judged && plan.mechanisms.length === 0) return 'looking …';
  const count = (verdict: Headline['verdict']) =>
    plan.mechanisms.filter(({ headline }) => headline.verdict === verdict).length;
  const parts = (['gives way', 'tight', 'not known', 'enough'] as const).flatMap((verdict) =>
    count(verdict) > 0 ? [`${count(verdict)} ${verdict}`] : [],
  );
  const found = parts.length > 0 ? parts.join(', ') : 'no mechanism yet';
  return plan.judged ? found : `${found}; looking again …`;
});
</script>

<template>
  <article class="border border-line bg-sheet">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hair px-4 py-2">
      <h2 class="text-lg">
        <template v-if="plan.unreadable !== undefined">{{ plan.name }}</template>
        <RouterLink v-else class="act" :to="{ name: 'mechanism', params: { planId: plan.id } }">{{
          plan.name
        }}</RouterLink>
      </h2>
      <p class="text-second">{{ said }}</p>
      <p class="text-xs text-second">saved {{ formatDistanceToNow(new Date(plan.savedAt), { addSuffix: true }) }}</p>
      <span class="ml-auto flex items-baseline gap-4 text-sm">
        <a
          v-if="plan.unreadable !== undefined"
          class="act min-h-6"
          :href="api.rawAddress(plan.id)"
          download
          :aria-label="`Download ${plan.name} as it is`"
          >Download as it is</a
        >
        <template v-else>
          <template v-if="access.mayChange">
            <button type="button" class="act min-h-6" :aria-label="`Rename ${plan.name}`" @click="$emit('rename')">
              Rename
            </button>
            <button
              type="button"
              class="act min-h-6"
              :aria-label="`Duplicate ${plan.name}`"
              @click="$emit('duplicate')"
            >
              Duplicate
            </button>
          </template>
          <button type="button" class="act min-h-6" :aria-label="`Export ${plan.name}`" @click="$emit('export')">
            Export
          </button>
        </template>
        <button
          v-if="access.mayChange"
          type="button"
          class="act min-h-6"
          :aria-label="`Put ${plan.name} into the bin`"
          @click="$emit('remove')"
        >
          Bin
        </button>
      </span>
    </div>
    <p v-if="plan.robot" class="flex gap-2 border-b border-hair px-4 py-2" data-testid="robot-verdict">
      <VerdictRing :verdict="plan.robot.verdict" :size="18" class="mt-0.5 shrink-0" />
      <span class="min-w-0"
        ><b>{{ plan.robot.lead }}</b> {{ say(plan.robot.rest) }}</span
      >
    </p>
    <p v-else-if="isLookedAt(plan)" class="border-b border-hair px-4 py-2 text-second">Looking at the whole robot …</p>
    <p v-if="plan.unreadable !== undefined" class="px-4 py-3 text-sm">
      <b class="text-gives">Not opened:</b> {{ plan.unreadable }}. Nothing of it was changed; a version of the program
      that knows it can open the download.
    </p>
    <ul v-else class="grid grid-cols-1 sm:grid-cols-2 lg:grid-cols-4">
      <li
        v-for="mechanism in plan.mechanisms"
        :key="mechanism.id"
        class="min-w-0 border-hair not-last:border-r sm:max-lg:even:border-r-0 lg:nth-[4n]:border-r-0 max-sm:border-r-0"
      >
        <RouterLink
          class="flex h-full items-start gap-2 px-4 py-3 hover:bg-ground"
          :to="{ name: 'mechanism', params: { planId: plan.id, mechanismId: mechanism.id } }"
        >
          <VerdictRing :verdict="mechanism.headline.verdict" :size="18" />
          <span class="min-w-0"
            ><b class="block">{{ mechanism.name }}</b
            ><span class="block text-sm">{{ verdictText(mechanism.headline) }}</span
            ><span class="block text-xs text-second">{{ headlineText(mechanism.headline) }}</span></span
          >
        </RouterLink>
      </li>
    </ul>
  </article>
</template>
