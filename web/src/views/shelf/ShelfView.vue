<script setup lang="ts">
import { KIND_NAMES } from '@rough-gear/contract/shelf';
import { PART_KINDS, type Part, type PartKind } from '@rough-gear/core';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useAccess } from '../../stores/access.js';
import { usePreferences } from '../../stores/preferences.js';
import { useWholeShelf } from '../../stores/shelf.js';
import { blankPart } from '@rough-gear/contract/shelf';
import EarlierImports from './EarlierImports.vue';
import ImportSheet from './ImportSheet.vue';
import PartSheet from './PartSheet.vue';
import PartTable from './PartTable.vue';
import ShelfKinds from './ShelfKinds.vue';

/** The parts library: kinds at the left, the parts of one in a table, the chosen one beside it. */
const { kind = 'motor', partId = '' } = defineProps<{ kind?: string; partId?: string }>();
const preferences = usePreferences();
const shelf = useWholeShelf();
const router = useRouter();
const access = useAccess();
const importing = ref(false);
const takingBack = ref(false);
/** A part that is not on the shelf yet. */
const draft = shallowRef<Part>();

const open = computed<PartKind>(() => PART_KINDS.find((one) => one === kind) ?? 'motor');
const parts = computed(() => shelf.parts.filter(({ part }) => part.kind === open.value));
const chosen = computed(() => shelf.byId.get(partId));

onMounted(() => void shelf.load(true));
watch(
  open,
  (now) => {
    draft.value = undefined;
    document.title = `${KIND_NAMES[now]} · Shelf · Rough Gear`;
  },
  { immediate: true },
);

function show(id?: string): void {
  draft.value = undefined;
  void router.replace({ name: 'shelf', params: { kind: open.value, partId: id } });
}

function start(part: Part): void {
  show();
  draft.value = part;
}
</script>

<template>
  <div class="grid min-h-0 grow lg:grid-cols-[188px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
    <ShelfKinds :kind="open" class="border-ink max-lg:border-b lg:border-r" />
    <div class="flex min-h-0 min-w-0 flex-col">
      <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-ink px-4 py-2">
        <h1 class="text-lg">{{ KIND_NAMES[open] }}</h1>
        <template v-if="access.mayChange">
          <button type="button" class="act min-h-6" @click="start(blankPart(open))">New part</button>
          <button type="button" class="act min-h-6" @click="importing = true">Import a file</button>
          <button type="button" class="act min-h-6" @click="takingBack = true">Earlier imports</button>
        </template>
        <a class="act min-h-6" :href="`/api/shelf/file?kind=${open}&units=${preferences.units}`" download
          >Export as CSV</a
        >
        <span class="ml-auto text-xs text-second"
          >Made-up generic parts ship with the program; what is on your bench has the last word.</span
        >
      </div>
      <p v-if="shelf.state === 'loading' || shelf.state === 'not asked'" role="status" class="p-6 text-second">
        fetching the shelf …
      </p>
      <p v-else-if="shelf.state === 'away'" role="alert" class="p-6">
        {{ shelf.failure }} <button type="button" class="act underline" @click="shelf.load(true)">Try again</button>
      </p>
      <div
        v-else
        class="grid min-h-0 grow lg:grid-rows-[minmax(0,1fr)]"
        :class="chosen || draft ? 'xl:grid-cols-[minmax(0,1fr)_340px]' : ''"
      >
        <PartTable
          :key="open"
          :kind="open"
          :parts="parts"
          :chosen="partId"
          @choose="show"
          @start="start(blankPart(open))"
        />
        <PartSheet
          v-if="chosen || draft"
          :key="chosen ? `${chosen.id} ${chosen.revision}` : 'draft'"
          :item="chosen"
          :draft="draft"
          class="border-ink max-xl:order-first max-xl:border-b xl:border-l"
          @close="show()"
          @saved="show($event.id)"
          @duplicate="start"
        />
      </div>
    </div>
    <ImportSheet :open="importing" :kind="open" @close="importing = false" />
    <EarlierImports :open="takingBack" @close="takingBack = false" />
  </div>
</template>
