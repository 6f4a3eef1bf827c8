<script setup lang="ts">
import { mayStandIn, type PiecesEntry, type PieceStep } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import MeasureField from '../../../../components/fields/MeasureField.vue';
import TextField from '../../../../components/fields/TextField.vue';
import { entriesFor } from './entriesFor.js';
import StandInList from './StandInList.vue';
import { useOrder, type TrackedLine } from './useOrder.js';

/** What happens to a line: so many ordered, come, built in; by whom it is sold; what stands in where it is not to be had. */
const { tracked } = defineProps<{ tracked: TrackedLine }>();
const { diary, count, plan } = useOrder();
const MOST = 10_000;

/** What is likely next: what is on its way comes, else what is missing is ordered. */
const likely = computed(() => {
  const { so, line } = tracked;
  const onTheWay = so?.onTheirWay ?? 0;
  return onTheWay > 0 ? onTheWay : line.toBuy > 0 ? line.toBuy : Math.max(1, (so?.here ?? 0) - (so?.builtIn ?? 0));
});
const amount = ref(likely.value);
watch(likely, (now) => (amount.value = now));
const note = ref('');
const supplier = ref(tracked.supplier);

function say(step: PieceStep, of = amount.value): void {
  diary.write({ kind: 'pieces', line: tracked.id, step, amount: of, note: note.value.trim() });
  note.value = '';
}
function saySupplier(): void {
  if (supplier.value.trim() !== tracked.supplier)
    diary.write({ kind: 'supplier', line: tracked.id, supplier: supplier.value.trim() });
}

const history = computed(() => entriesFor(diary.entries, tracked.id, (value) => count(tracked.line, value)));
/** What was said last and not taken back yet. */
const last = computed<PiecesEntry | undefined>(() =>
  tracked.so && tracked.so.last.amount > 0 ? tracked.so.last : undefined,
);
const STEPS: readonly { readonly step: PieceStep; readonly text: string }[] = [
  { step: 'ordered', text: 'ordered' },
  { step: 'here', text: 'came' },
  { step: 'built in', text: 'built in' },
];
</script>

<template>
  <div class="ml-5 border-l-4 border-hair pl-3 text-sm" :data-track="tracked.id">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
      <div class="w-24">
        <MeasureField
          stacked
          :label="tracked.line.measure === 'metres' ? 'length' : 'pieces'"
          :value="amount"
          :dimension="tracked.line.measure === 'metres' ? 'length' : 'number'"
          :most="MOST"
          @read="amount = $event"
        />
      </div>
      <button v-for="{ step, text } in STEPS" :key="step" type="button" class="button" @click="say(step)">
        {{ text }}
      </button>
      <div class="min-w-40 grow"><TextField v-model="note" label="note" :most="500" hint="order 12, by Friday" /></div>
    </div>
    <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
      <div class="w-44">
        <TextField v-model="supplier" label="sold by" :most="120" @focusout="saySupplier" />
      </div>
      <button v-if="last" type="button" class="act min-h-7" @click="say(last.step, -last.amount)">
        take the last back
      </button>
    </div>
    <ul v-if="history.length > 0" class="mt-2 text-xs text-second" aria-label="What was said of it">
      <li v-for="entry in history" :key="entry.id">{{ entry.text }}</li>
    </ul>
    <StandInList v-if="mayStandIn(plan(), tracked.line)" :line="tracked.line" />
  </div>
</template>
