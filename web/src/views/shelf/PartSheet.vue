<script setup lang="ts">
import { X } from '@lucide/vue';
import type { ShelfMarks, ShelfPart } from '@rough-gear/contract/api';
import {
  cellOf,
  copyOfPart,
  fieldsOfPart,
  secondHandOf,
  sourceCell,
  valueAt,
  withValue,
  type PartField,
} from '@rough-gear/contract/shelf';
import { isSheetKind, type SheetKind } from '@rough-gear/contract/sheet';
import type { Part, Quantity } from '@rough-gear/core';
import { computed, ref, shallowRef } from 'vue';
import { toast } from 'vue-sonner';
import CountField from '../../components/fields/CountField.vue';
import IconButton from '../../components/widgets/IconButton.vue';
import SourceTag from '../../components/fields/SourceTag.vue';
import { lazily } from '../../components/widgets/lazily.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useWholeShelf } from '../../stores/shelf.js';
import FieldInput from './FieldInput.vue';

/** One part: what the team says of it, and its figures; of one's own they are changed here and kept by Save. */
const { item = undefined, draft = undefined } = defineProps<{
  item?: ShelfPart | undefined;
  draft?: Part | undefined;
}>();
const emit = defineEmits<{ close: []; saved: [item: ShelfPart]; duplicate: [part: Part] }>();
const shelf = useWholeShelf();
const { show } = useDisplay();

const PasteSheet = lazily(() => import('../../components/paste/PasteSheet.vue'));
const pasting = ref(false);
/** The part where sheets of its kind are read. */
const pasted = computed(() =>
  isSheetKind(part.value.kind) ? (part.value as Extract<Part, { kind: SheetKind }>) : undefined,
);

const MARKED = ['owned', 'price'];
const part = shallowRef<Part>(draft ?? item!.part);
const editable = computed(() => item === undefined || item.own);
const moved = computed(() => part.value !== (draft ?? item?.part));
const problem = ref('');
const saving = ref(false);

const fields = computed(() =>
  fieldsOfPart(part.value).filter(({ key }) => !(item && !item.own && MARKED.includes(key))),
);
/** Of a part that ships only what it says; of one's own everything it could. */
const given = computed(() =>
  fields.value.filter(({ key }) => key !== 'name' && valueAt(part.value, key) !== undefined),
);

function change(field: PartField, value: unknown): void {
  // Figures of another form are not kept: they would say something that is not read any more.
  const changed = withValue(part.value, field.key, value);
  part.value = (field.key === 'data.form' ? withValue(changed, 'data', { form: value }) : changed) as Part;
  problem.value = '';
}

function take(taken: Part): void {
  part.value = taken;
  problem.value = '';
}

async function doing(work: () => Promise<ShelfPart>, said: string): Promise<void> {
  saving.value = true;
  try {
    const saved = await work();
    toast(said);
    emit('saved', saved);
  } catch (failed) {
    problem.value = (failed as Error).message;
  } finally {
    saving.value = false;
  }
}
const save = () =>
  doing(() => (item ? shelf.save(item, part.value) : shelf.add(part.value)), `${part.value.name} is on the shelf.`);
const mark = (marks: ShelfMarks, said: string) => doing(() => shelf.mark(item!, marks), said);

const shownValue = (field: PartField) => {
  const value = valueAt(part.value, field.key);
  return field.type.is === 'figure' && field.key !== 'price'
    ? show((value as Quantity).si, field.type.dimension, 4)
    : cellOf(field, value);
};
const quantity = (field: PartField) => valueAt(part.value, field.key) as Quantity;
const PRICE = fieldsOfPart({ kind: 'wire', name: '' }).find(({ key }) => key === 'price')!;
</script>

<template>
  <section
    aria-label="The chosen part"
    class="min-h-0 min-w-0 overflow-y-auto bg-sheet px-4 py-3"
    data-testid="part-sheet"
  >
    <div class="flex items-start justify-between gap-2">
      <div>
        <h2 class="text-base leading-tight hyphens-auto">{{ part.name || 'A new part' }}</h2>
        <p class="text-xs text-second">
          <template v-if="!item">not on the shelf yet</template>
          <template v-else-if="item.own">your own, version {{ item.revision }}</template>
          <template v-else>ships with the program: duplicate it to change its figures</template>
          <template v-if="part.secondHand"> · second-hand: its builds are spread wider, its brushes half gone</template>
          <template v-if="item?.retired"> · retired: not offered, plans keep their copies</template>
        </p>
      </div>
      <IconButton label="Close the part" @click="$emit('close')"><X :size="16" /></IconButton>
    </div>
    <div v-if="item" class="my-2 flex flex-wrap items-end gap-x-4 gap-y-1 border-y border-hair py-2 text-sm">
      <CountField
        v-if="!item.own"
        :value="item.part.owned ?? 0"
        label="owned"
        :least="0"
        :most="9999"
        @change="mark({ owned: $event }, `${$event} owned.`)"
      />
      <FieldInput
        v-if="!item.own"
        :field="PRICE"
        :part="part"
        class="w-28"
        @change="mark({ price: ($event as Quantity | undefined) ?? null }, 'The price is noted.')"
      />
      <label class="flex min-h-7 items-center gap-1"
        ><input
          type="checkbox"
          :checked="item.common"
          @change="mark({ common: !item.common }, item.common ? 'No longer common here.' : 'Common here.')"
        />common here</label
      >
      <button
        type="button"
        class="act min-h-7"
        @click="mark({ retired: !item.retired }, item.retired ? 'Offered again.' : 'Retired: plans keep their copies.')"
      >
        {{ item.retired ? 'Offer again' : 'Retire' }}
      </button>
      <button type="button" class="act min-h-7" @click="emit('duplicate', copyOfPart(item.part))">Duplicate</button>
      <button
        v-if="!item.part.secondHand"
        type="button"
        class="act min-h-7"
        title="Half the price, with doubts: weak magnets, worn brushes"
        @click="emit('duplicate', secondHandOf(item.part))"
      >
        Second-hand
      </button>
    </div>
    <p v-if="problem" role="alert" class="mb-2 text-sm text-gives">Not kept: {{ problem }}.</p>
    <p v-if="editable && pasted" class="mb-2 text-sm">
      <button type="button" class="act min-h-6" @click="pasting = true">Paste a data sheet</button>
      <span class="text-second"> and say what is taken of it</span>
      <PasteSheet :open="pasting" :part="pasted" @close="pasting = false" @take="take" />
    </p>
    <form v-if="editable" @submit.prevent="save">
      <div class="grid grid-cols-2 gap-x-4 gap-y-1.5">
        <FieldInput
          v-for="field in fields"
          :key="field.key + field.label"
          :field="field"
          :part="part"
          :class="field.type.is === 'text' || field.type.is === 'switches' ? 'col-span-2' : ''"
          @change="change(field, $event)"
        />
      </div>
      <div class="sticky -bottom-3 mt-3 -mb-3 flex gap-3 border-t border-hair bg-sheet pt-2 pb-5">
        <button
          type="submit"
          class="button main disabled:opacity-50"
          :disabled="saving || (!moved && item !== undefined) || !part.name"
        >
          {{ item ? 'Save' : 'Put it on the shelf' }}
        </button>
        <button type="button" class="button" @click="moved && item ? (part = item.part) : emit('close')">
          Discard
        </button>
      </div>
    </form>
    <dl v-else class="text-sm">
      <div
        v-for="field in given"
        :key="field.key"
        class="flex min-h-7 items-baseline justify-between gap-3 border-b border-hair py-1"
      >
        <dt class="text-second">{{ field.label }}</dt>
        <dd class="flex items-baseline gap-2 text-right">
          <span :class="field.type.is === 'figure' ? 'figures' : ''">{{ shownValue(field) }}</span>
          <span v-if="field.type.is === 'figure'" :title="sourceCell(quantity(field))"
            ><SourceTag :source="quantity(field).source"
          /></span>
        </dd>
      </div>
    </dl>
  </section>
</template>
