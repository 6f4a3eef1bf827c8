<script setup lang="ts">
import { KIND_NAMES } from '@rough-gear/contract/shelf';
import type { PartKind } from '@rough-gear/core';
import { computed } from 'vue';
import { useWholeShelf } from '../../stores/shelf.js';

/** The kinds of part, and how many of each are on the shelf. */
defineProps<{ kind: PartKind }>();
const shelf = useWholeShelf();
const KINDS = Object.keys(KIND_NAMES) as readonly PartKind[];
const counts = computed(() => {
  const result = new Map<PartKind, number>();
  for (const { part } of shelf.offered) result.set(part.kind, (result.get(part.kind) ?? 0) + 1);
  return result;
});
</script>

<template>
  <nav aria-label="Kinds of part" class="lg:overflow-y-auto">
    <ul class="max-lg:flex max-lg:flex-wrap">
      <li v-for="one in KINDS" :key="one">
        <RouterLink
          :to="{ name: 'shelf', params: { kind: one } }"
          class="flex min-h-9 items-baseline justify-between gap-2 px-4 py-1.5 hover:bg-sheet"
          :class="one === kind ? 'bg-sheet font-semibold lg:border-l-4 lg:border-ink lg:pl-3' : ''"
          :aria-current="one === kind ? 'page' : undefined"
        >
          <span>{{ KIND_NAMES[one] }}</span><span class="figures text-xs text-second">{{ counts.get(one) ?? 0 }}</span>
        </RouterLink>
      </li>
    </ul>
  </nav>
</template>
