<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { showMultiple, type Headline } from '@rough-gear/core';
import { formatDistanceToNow } from 'date-fns';
import { computed } from 'vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';

/** One robot: its mechanisms as a row of verdicts, each a way in. */
const { plan } = defineProps<{ plan: PlanSummary }>();
defineEmits<{ rename: []; duplicate: []; remove: []; export: [] }>();

const said = computed(() => {
  const count = (verdict: Headline['verdict']) =>
    plan.mechanisms.filter(({ headline }) => headline.verdict === verdict).length;
  const parts = (['gives way', 'tight', 'not known', 'enough'] as const).flatMap((verdict) =>
    count(verdict) > 0 ? [`${count(verdict)} ${verdict}`] : [],
  );
  return parts.length > 0 ? parts.join(', ') : 'no mechanism yet';
});

function what({ verdict, name, multiple }: Headline): string {
  if (verdict === 'not known') return `${name} is missing`;
  return multiple === undefined ? name : `${name} ${showMultiple(multiple)}`;
}
</script>

<template>
  <li class="mb-4 border border-line bg-sheet">
    <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-hair px-4 py-2">
      <h2 class="text-lg">
        <RouterLink class="act" :to="{ name: 'mechanism', params: { planId: plan.id } }">{{ plan.name }}</RouterLink>
      </h2>
      <p class="text-second">{{ said }}</p>
      <p class="text-xs text-second">saved {{ formatDistanceToNow(new Date(plan.savedAt), { addSuffix: true }) }}</p>
      <span class="ml-auto flex gap-4 text-sm">
        <button type="button" class="act min-h-6" :aria-label="`Rename ${plan.name}`" @click="$emit('rename')">
          Rename
        </button>
        <button type="button" class="act min-h-6" :aria-label="`Duplicate ${plan.name}`" @click="$emit('duplicate')">
          Duplicate
        </button>
        <button type="button" class="act min-h-6" :aria-label="`Export ${plan.name}`" @click="$emit('export')">
          Export
        </button>
        <button
          type="button"
          class="act min-h-6"
          :aria-label="`Put ${plan.name} into the bin`"
          @click="$emit('remove')"
        >
          Bin
        </button>
      </span>
    </div>
    <ul class="grid grid-cols-1 sm:grid-cols-2 lg:grid-cols-4">
      <li v-for="mechanism in plan.mechanisms" :key="mechanism.id" class="min-w-0 border-hair not-last:border-r">
        <RouterLink
          class="flex h-full items-start gap-2 px-4 py-3 hover:bg-ground"
          :to="{ name: 'mechanism', params: { planId: plan.id, mechanismId: mechanism.id } }"
        >
          <VerdictRing :verdict="mechanism.headline.verdict" :size="18" />
          <span class="min-w-0"
            ><b class="block">{{ mechanism.name }}</b
            ><span class="block text-sm">{{ mechanism.headline.verdict }}</span
            ><span class="block text-xs text-second">{{ what(mechanism.headline) }}</span></span
          >
        </RouterLink>
      </li>
    </ul>
  </li>
</template>
