<script setup lang="ts">
import type { ShelfPart } from '@rough-gear/contract/api';
import { blankPart } from '@rough-gear/contract/shelf';
import { isSheetKind, type SheetKind } from '@rough-gear/contract/sheet';
import { putPart, type Change, type Part, type PartKind } from '@rough-gear/core';
import { computed, ref } from 'vue';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useEver } from '../../../composables/useEver.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import { partSummary } from './partSummary.js';

/**
 * Picks a part off the shelf: the plan gets a copy of it, and `at` refers to that copy. What the plan keeps only figures
 * of, such as wire, says by `take` what is changed.
 */
const {
  kind,
  at = [],
  label = 'Change',
  take = undefined,
} = defineProps<{
  kind: PartKind;
  at?: readonly (string | number)[];
  label?: string;
  title: string;
  take?: (part: Part) => readonly Change[];
}>();

const PasteSheet = lazily(() => import('../../../components/paste/PasteSheet.vue'));

const { plan, commit } = useMechanism();
const { show: figure } = useDisplay();
const { shelf, load } = useShelf(kind);
const open = ref(false);
const filter = ref('');
const shown = computed(() =>
  shelf.value.parts.filter(({ part }) =>
    `${part.name} ${partSummary(part, figure)}`.toLowerCase().includes(filter.value.trim().toLowerCase()),
  ),
);

/** One that is on no shelf: what its sheet says. */
const blank = computed(() =>
  isSheetKind(kind) && !take ? (blankPart(kind) as Extract<Part, { kind: SheetKind }>) : undefined,
);
const pasting = ref(false);
const everPasting = useEver(() => pasting.value);
function paste(): void {
  open.value = false;
  pasting.value = true;
}
const put = (part: Part): void =>
  commit(putPart(plan.value, at, { part: part.name ? part : { ...part, name: `a ${kind} by its sheet` } }));

function show(): void {
  open.value = true;
  filter.value = '';
  void load();
}

function pick({ id, revision, part }: ShelfPart): void {
  open.value = false;
  if (take) return commit(take(part));
  commit(putPart(plan.value, at, { part, shelfId: id, shelfRevision: revision }));
}
</script>

<template>
  <button type="button" class="act min-h-6" @click="show">{{ label }}</button>
  <BaseDialog :open="open" :title="title" wide @close="open = false">
    <p v-if="blank" class="mb-2">
      <button type="button" class="act min-h-6" @click="paste">Paste a data sheet</button>
      <span class="text-second"> of one that is not on the shelf</span>
    </p>
    <label class="block text-second" for="part-filter">find by name or figure</label>
    <input
      id="part-filter"
      v-model="filter"
      class="mb-2 w-full border-b border-ink bg-transparent py-1"
      autocomplete="off"
    />
    <p v-if="shelf.state === 'loading'" role="status" class="text-second">fetching the shelf …</p>
    <p v-else-if="shelf.state === 'away'" role="alert">
      The shelf is on the server, which cannot be reached now.
      <button type="button" class="act underline" @click="load">Try again</button>
    </p>
    <ul v-else class="max-h-[55vh] overflow-auto" data-testid="shelf-parts">
      <li v-for="item in shown" :key="item.id" class="border-b border-hair">
        <button
          type="button"
          class="flex w-full flex-wrap items-baseline justify-between gap-x-4 px-1 py-1.5 text-left hover:bg-ground"
          @click="pick(item)"
        >
          <span class="act">{{ item.part.name }}</span><span class="figures text-xs text-second">{{
            partSummary(item.part, figure)
          }}</span>
        </button>
      </li>
      <li v-if="shown.length === 0" class="py-2 text-second">No {{ kind }} on the shelf reads like that.</li>
    </ul>
  </BaseDialog>
  <PasteSheet v-if="blank && everPasting" :open="pasting" :part="blank" @close="pasting = false" @take="put" />
</template>
