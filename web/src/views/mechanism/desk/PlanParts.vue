<script setup lang="ts">
import { differencesOf, KIND_NAMES, type Difference } from '@rough-gear/contract/shelf';
import type { PartCopy } from '@rough-gear/core';
import { computed, onMounted, ref } from 'vue';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { usePlan } from '../../../stores/plan.js';
import { usePreferences } from '../../../stores/preferences.js';
import { useWholeShelf } from '../../../stores/shelf.js';

/** The plan's copies of parts beside the shelf: what is newer there, what that changes, and one click to take it. */
const plan = usePlan();
const preferences = usePreferences();
const shelf = useWholeShelf();
const open = ref(false);
onMounted(() => void shelf.load());

interface Row {
  readonly id: string;
  readonly copy: PartCopy;
  readonly says: string;
  readonly newer: boolean;
  readonly differences: readonly Difference[];
  readonly href?: { name: string; params: { kind: string; partId: string } };
}

function rowOf([id, copy]: [string, PartCopy]): Row {
  const item = copy.shelfId === undefined ? undefined : shelf.byId.get(copy.shelfId);
  const plain = { id, copy, newer: false, differences: [] };
  if (copy.shelfId === undefined) return { ...plain, says: 'made here, not from the shelf' };
  if (!item) return { ...plain, says: shelf.state === 'there' ? 'no longer on the shelf' : 'the shelf is not there' };
  const href = { name: 'shelf', params: { kind: item.part.kind, partId: item.id } };
  const newer = item.revision > (copy.shelfRevision ?? 0);
  // How many are owned is the shelf's matter, and changes without a new version.
  const differences = differencesOf(copy.part, item.part, preferences.units).filter(
    ({ key }) => newer || key !== 'owned',
  );
  const says = newer
    ? `the shelf has version ${item.revision}, this is ${copy.shelfRevision ?? 'an older one'}`
    : differences.length > 0
      ? 'changed here'
      : 'as on the shelf';
  return { ...plain, says: item.retired ? `${says}; retired there` : says, newer, differences, href };
}
const rows = computed(() =>
  Object.entries(plan.document?.parts ?? {})
    .map(rowOf)
    .sort((a, b) => Number(b.newer) - Number(a.newer) || a.copy.part.name.localeCompare(b.copy.part.name)),
);
const newer = computed(() => rows.value.filter((row) => row.newer).length);

function take({ id, copy }: Row): void {
  const item = shelf.byId.get(copy.shelfId!)!;
  plan.commit([{ at: ['parts', id], to: { ...copy, part: item.part, shelfRevision: item.revision } }]);
  toast(`${item.part.name} is as on the shelf now. Undo brings the old one back.`);
}
</script>

<template>
  <button type="button" class="act min-h-9 px-4 text-left" @click="open = true">
    Parts<template v-if="newer > 0">, {{ newer }} newer on the shelf</template>
  </button>
  <BaseDialog :open="open" title="Parts of this robot" wide @close="open = false">
    <p class="mb-2 text-second">
      A plan carries copies of its parts, so that it stands without the shelf. Nothing is taken over unasked.
    </p>
    <ul class="max-h-[60vh] overflow-y-auto" data-testid="plan-parts" tabindex="0" aria-label="Parts of this robot">
      <li v-for="row in rows" :key="row.id" class="border-b border-hair py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <RouterLink v-if="row.href" :to="row.href" class="act">{{ row.copy.part.name }}</RouterLink>
          <span v-else>{{ row.copy.part.name }}</span>
          <span class="text-xs text-second">{{ KIND_NAMES[row.copy.part.kind].toLowerCase() }}</span>
          <span class="ml-auto text-sm" :class="row.newer ? 'font-semibold' : 'text-second'">{{ row.says }}</span>
          <button v-if="row.differences.length > 0" type="button" class="act min-h-6 text-sm" @click="take(row)">
            {{ row.newer ? 'Take the newer' : 'Take the shelf’s' }}
          </button>
        </div>
        <ul v-if="row.differences.length > 0" class="text-xs">
          <li v-for="difference in row.differences" :key="difference.key">
            {{ difference.label }}: {{ difference.before }} → <b>{{ difference.after }}</b>
          </li>
        </ul>
      </li>
    </ul>
  </BaseDialog>
</template>
