<script setup lang="ts">
import { ArrowDown, ArrowUp } from '@lucide/vue';
import type { ShelfPart } from '@rough-gear/contract/api';
import { KIND_NAMES } from '@rough-gear/contract/shelf';
import { meetsMust, type Must, type PartKind } from '@rough-gear/core';
import { useVirtualRows } from '../../composables/useVirtualRows.js';
import { computed, nextTick, ref, watch } from 'vue';
import { storeToRefs } from 'pinia';
import { usePreferences } from '../../stores/preferences.js';
import MeasureField from '../../components/fields/MeasureField.vue';
import MustFields from '../../components/fields/MustFields.vue';
import ChoiceTabs from '../../components/widgets/ChoiceTabs.vue';
import { columnsOf, comparedColumns } from './columns.js';
import { useParts, type Range } from './useParts.js';

/** The parts of one kind: sorted by any column, narrowed by words and ranges; arrow keys go from row to row. */
const { kind, parts, chosen } = defineProps<{ kind: PartKind; parts: readonly ShelfPart[]; chosen: string }>();
const emit = defineEmits<{ choose: [id: string]; start: [] }>();

const { units } = storeToRefs(usePreferences());
const onlyOwned = ref(false);
const onlyCommon = ref(false);
const withRetired = ref(false);
/** Motors and servos are narrowed by musts, one after the other. */
const asked = kind === 'motor' || kind === 'servo' ? kind : undefined;
const musts = ref<readonly Must[]>([]);
const shown = computed(
  () => (item: ShelfPart) =>
    (!onlyOwned.value || (item.part.owned ?? 0) > 0) &&
    (!onlyCommon.value || item.common) &&
    (withRetired.value || !item.retired) &&
    musts.value.every((must) => meetsMust(item.part, must)),
);
/** Motors as their sheets give them, or all by the same figures on the same volts. */
const LOOKS = [
  { value: 'sheet', text: 'by their sheets' },
  { value: 'compared', text: 'all alike' },
] as const;
type Look = (typeof LOOKS)[number]['value'];
const look = ref<Look>('sheet');
const volts = ref(12);
const columns = computed(() =>
  look.value === 'compared' ? comparedColumns(volts.value, units.value) : columnsOf(kind, units.value, 'main'),
);
const ranged = computed(() => [
  ...columns.value.filter(({ numeric }) => numeric),
  ...columnsOf(kind, units.value, 'all').filter(({ key }) => !columns.value.some((column) => column.key === key)),
]);
const { table, globalFilter } = useParts(
  computed(() => parts),
  shown,
  columns,
  ranged,
);

const rows = computed(() => table.getRowModel().rows);
const scroller = ref<HTMLElement>();
const { virtual, measure, items, above, below } = useVirtualRows(scroller, () => ({
  count: rows.value.length,
  height: 33,
  overscan: 12,
}));

/** A column that is narrowed to a range, and the range. */
const by = ref('');
const least = ref('');
const most = ref('');
// What one look can be narrowed by, the other may not have.
watch(look, () => (by.value = ''));
watch([by, least, most], () => {
  const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
  const range: Range = [number(least.value), number(most.value)];
  const none = by.value === '' || (range[0] === undefined && range[1] === undefined);
  table.setColumnFilters(none ? [] : [{ id: by.value, value: range }]);
});
/** Arrow keys, page and end keys go from row to row, however many there are. */
function step(event: KeyboardEvent, index: number): void {
  const last = rows.value.length - 1;
  const to = {
    ArrowDown: index + 1,
    ArrowUp: index - 1,
    PageDown: index + 15,
    PageUp: index - 15,
    Home: 0,
    End: last,
  }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  const target = Math.max(0, Math.min(last, to));
  const focus = () => {
    const button = scroller.value?.querySelector<HTMLElement>(`tr[data-index="${target}"] button`);
    button?.focus({ preventScroll: true });
    return button !== null && button !== undefined;
  };
  virtual.value.scrollToIndex(target);
  // A row that is drawn already is there at once; one further away is drawn after the scroll.
  if (!focus()) void nextTick(() => requestAnimationFrame(focus));
}
</script>

<template>
  <div class="flex min-h-0 min-w-0 flex-col">
    <div class="flex flex-wrap items-end gap-x-4 gap-y-1 px-4 py-2 text-sm">
      <label class="min-w-0 grow basis-32"
        ><span class="block text-[0.8125rem] text-second">find by name or figure</span>
        <input v-model="globalFilter" class="min-h-7 w-full border-b border-ink bg-transparent" autocomplete="off" />
      </label>
      <label
        ><span class="block text-[0.8125rem] text-second">only from … to … of</span>
        <select v-model="by" class="min-h-7 border-b border-ink bg-sheet">
          <option value="">no column</option>
          <option v-for="column in ranged" :key="column.key" :value="column.key">{{ column.header }}</option>
        </select>
      </label>
      <input
        v-model="least"
        :disabled="by === ''"
        class="figures min-h-7 w-20 border-b border-ink bg-transparent disabled:opacity-50"
        inputmode="decimal"
        placeholder="from"
        aria-label="from"
      />
      <input
        v-model="most"
        :disabled="by === ''"
        class="figures min-h-7 w-20 border-b border-ink bg-transparent disabled:opacity-50"
        inputmode="decimal"
        placeholder="to"
        aria-label="to"
      />
      <label class="flex min-h-7 items-center gap-1"><input v-model="onlyOwned" type="checkbox" />owned</label>
      <label class="flex min-h-7 items-center gap-1"><input v-model="onlyCommon" type="checkbox" />common here</label>
      <label class="flex min-h-7 items-center gap-1"><input v-model="withRetired" type="checkbox" />retired too</label>
      <span class="figures ml-auto text-xs text-second" role="status">{{ rows.length }} of {{ parts.length }}</span>
      <MustFields
        v-if="asked"
        v-model="musts"
        :kind="asked"
        :parts="parts.map(({ part }) => part)"
        class="basis-full"
      />
      <div v-if="kind === 'motor'" class="flex basis-full flex-wrap items-end gap-x-4">
        <ChoiceTabs v-model="look" :options="LOOKS" label="How motors are told" />
        <MeasureField
          v-if="look === 'compared'"
          :value="volts"
          dimension="voltage"
          label="on"
          :most="1000"
          class="w-24"
          @read="volts = $event"
        />
        <span v-if="look === 'compared'" class="text-xs text-second"
          >stall is that of the winding alone, no limit in front; Km is torque for a loss, the same for every winding of
          a can</span
        >
      </div>
    </div>
    <div
      ref="scroller"
      class="min-h-0 grow overflow-auto max-lg:max-h-[60vh]"
      tabindex="-1"
      role="region"
      :aria-label="KIND_NAMES[kind]"
    >
      <table class="w-full text-[0.8125rem]" :aria-rowcount="rows.length + 1" data-testid="parts">
        <thead class="sticky top-0 z-10 bg-ground">
          <tr class="border-b border-ink">
            <th
              v-for="(column, i) in table.getAllLeafColumns().slice(0, columns.length)"
              :key="column.id"
              scope="col"
              class="px-2 align-bottom font-normal first:pl-4"
              :class="columns[i]!.numeric ? 'text-right' : 'text-left'"
              :aria-sort="
                { asc: 'ascending' as const, desc: 'descending' as const, false: 'none' as const }[
                  String(column.getIsSorted()) as 'asc' | 'desc' | 'false'
                ]
              "
            >
              <button
                type="button"
                class="inline-flex min-h-7 items-center gap-1 text-left leading-tight"
                :class="column.getIsSorted() ? 'font-semibold' : 'text-act'"
                @click="column.toggleSorting()"
              >
                {{ column.columnDef.header }}
                <ArrowUp v-if="column.getIsSorted() === 'asc'" :size="12" />
                <ArrowDown v-else-if="column.getIsSorted() === 'desc'" :size="12" />
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-if="above > 0" aria-hidden="true">
            <td :style="{ height: `${above}px` }"></td>
          </tr>
          <tr
            v-for="{ index } in items"
            :key="rows[index]!.id"
            :ref="measure"
            :data-index="index"
            :aria-rowindex="index + 2"
            class="h-[33px] border-b border-hair"
            :class="rows[index]!.id === chosen ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : 'hover:bg-sheet'"
          >
            <component
              :is="i === 0 ? 'th' : 'td'"
              v-for="(column, i) in columns"
              :key="column.key"
              :scope="i === 0 ? 'row' : undefined"
              class="px-2 py-1 font-normal first:min-w-44 first:pl-4"
              :class="column.numeric ? 'figures text-right' : 'text-left'"
            >
              <button
                v-if="i === 0"
                type="button"
                class="act min-h-6 text-left"
                :aria-pressed="rows[index]!.id === chosen"
                @click="emit('choose', rows[index]!.id)"
                @keydown="step($event, index)"
              >
                {{ rows[index]!.original.part.name }}
              </button>
              <template v-else>{{ column.cell(rows[index]!.original.part) }}</template>
              <span v-if="i === 0" class="text-xs text-second">
                <template v-if="rows[index]!.original.own"> · own</template>
                <template v-if="rows[index]!.original.common"> · common here</template>
                <template v-if="rows[index]!.original.retired"> · retired</template>
              </span>
            </component>
          </tr>
          <tr v-if="below > 0" aria-hidden="true">
            <td :style="{ height: `${below}px` }"></td>
          </tr>
        </tbody>
      </table>
      <div v-if="rows.length === 0" class="p-6 text-second">
        Nothing on the shelf is like that.
        <button type="button" class="act underline" @click="emit('start')">Add a part of your own</button>
      </div>
    </div>
  </div>
</template>
