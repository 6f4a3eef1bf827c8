<script setup lang="ts">
import { MOST_ROWS, readColumns, type ReadingColumn } from '@rough-gear/contract/bench';
import { counted, rowsOf, type TrialColumn } from '@rough-gear/core';
import { computed, reactive, ref, shallowRef, useId, watch } from 'vue';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useReadings } from './useReadings.js';
import { useTrial } from './useTrial.js';

/** Columns out of a logger’s file or a table: which is which is found by name and unit, and can be said otherwise. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: [] }>();
const { trial, sheet } = useTrial();
const { add, replace } = useReadings();
const { show, split, parse } = useDisplay();
const id = useId();
const text = ref('');
const fileName = ref('');
/** A long file is not shown whole: a field of ten thousand lines is slow to type in. */
const fromFile = shallowRef<string>();
const mapped = reactive(new Map<string, number>());
const LONG = 20_000;

const read = computed(() => {
  const given = fromFile.value ?? text.value;
  return given.trim() === '' ? undefined : readColumns(given);
});
const columns = computed(() => (read.value?.ok ? read.value.columns : []));
const rows = computed(() => columns.value[0]?.values.length ?? 0);
const tooMany = computed(() => rows.value + rowsOf(trial.value) > MOST_ROWS);

watch(columns, (found) => {
  mapped.clear();
  const taken = new Set<number>();
  for (const wanted of sheet.value.columns) {
    const fits = (one: ReadingColumn, i: number) =>
      !taken.has(i) && (one.name === wanted.key || one.name === wanted.label);
    const measures = (one: ReadingColumn, i: number) =>
      !taken.has(i) && one.dimension === wanted.dimension && !wanted.options;
    const at = [found.findIndex(fits), found.findIndex(measures)].find((i) => i >= 0) ?? -1;
    if (at >= 0) {
      mapped.set(wanted.key, at);
      taken.add(at);
    }
  }
});
watch(
  () => open,
  () => {
    text.value = '';
    fromFile.value = undefined;
    fileName.value = '';
  },
);

const missing = computed(() => sheet.value.columns.filter(({ key, optional }) => !optional && !mapped.has(key)));
/** Values without a unit are in the one this person reads. */
function scaleOf(wanted: TrialColumn, column: ReadingColumn): (value: number) => number {
  if (column.inSi || wanted.dimension === 'number') return (value) => value;
  const { unit } = split(1, wanted.dimension);
  const at = (value: number): number => {
    const parsed = parse(`${value} ${unit}`, wanted.dimension);
    return parsed.ok ? parsed.si : value;
  };
  const [zero, one] = [at(0), at(1)];
  return (value) => zero + value * (one - zero);
}
const asked = (wanted: TrialColumn): string => {
  const column = columns.value[mapped.get(wanted.key) ?? -1];
  if (!column) return '';
  const unit = column.inSi
    ? (column.unit ?? column.name)
    : wanted.dimension === 'number'
      ? ''
      : `${split(1, wanted.dimension).unit}, no unit said`;
  const first = column.values
    .slice(0, 3)
    .map((value) => (value === null ? '—' : show(scaleOf(wanted, column)(value), wanted.dimension, 4)));
  return `${unit ? `in ${unit}: ` : ''}${first.join(', ')} …`;
};

async function pick(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  const content = await file.text();
  fileName.value = file.name;
  if (content.length > LONG) {
    fromFile.value = content;
    text.value = '';
  } else {
    fromFile.value = undefined;
    text.value = content;
  }
}

function take(over: boolean): void {
  const readings = Object.fromEntries(
    sheet.value.columns.map((wanted) => {
      const column = columns.value[mapped.get(wanted.key) ?? -1];
      const scale = column && scaleOf(wanted, column);
      return [
        wanted.key,
        column && scale
          ? column.values.map((value) => (value === null ? null : scale(value)))
          : Array.from({ length: rows.value }, () => null),
      ];
    }),
  );
  if (over) replace(readings);
  else
    add(
      Array.from({ length: rows.value }, (_, i) =>
        Object.fromEntries(Object.entries(readings).map(([key, values]) => [key, values[i]])),
      ),
    );
  emit('close');
}
</script>

<template>
  <BaseDialog :open="open" title="Readings out of a table" wide @close="emit('close')">
    <label :for="id" class="block text-second">columns of a sheet, or a logger’s file</label>
    <textarea
      :id="id"
      v-model="text"
      rows="8"
      spellcheck="false"
      class="figures w-full border border-ink bg-ground p-2 text-xs"
      placeholder="t_s;V;A&#10;0,00;12,6;0&#10;0,05;12,1;21,4"
      @input="fromFile = undefined"
    />
    <p class="flex flex-wrap items-baseline gap-x-3 text-sm">
      <label class="act min-h-6 cursor-pointer has-focus-visible:outline-2"
        >A file<input type="file" accept=".csv,.txt,.tsv,text/*" class="sr-only" @change="pick"
      /></label>
      <span v-if="fileName" class="text-second">{{ fileName }}</span>
      <span class="text-xs text-second"
        >Commas, semicolons, tabs or blanks between; points or commas as decimals; a row of units under the head.</span
      >
    </p>
    <p v-if="read && !read.ok" role="alert" class="text-gives">{{ read.reason }}</p>
    <template v-else-if="read">
      <p role="status" class="mt-2">
        {{ counted(rows, 'row')
        }}<template v-if="read.unread.length > 0"
          >; {{ read.unread.length }} left out, the first in line {{ read.unread[0]!.line }}:
          {{ read.unread[0]!.reason }}</template
        >
      </p>
      <div class="mt-2 grid gap-2">
        <div
          v-for="wanted in sheet.columns"
          :key="wanted.key"
          class="grid items-end gap-x-3 sm:grid-cols-[14rem_minmax(0,1fr)]"
        >
          <ChoiceField
            :label="wanted.label"
            :value="String(mapped.get(wanted.key) ?? '')"
            :options="[
              { value: '', text: wanted.optional ? 'none' : 'say which column' },
              ...columns.map((column, i) => ({
                value: String(i),
                text: column.unit ? `${column.name}, ${column.unit}` : column.name,
              })),
            ]"
            @change="$event === '' ? mapped.delete(wanted.key) : mapped.set(wanted.key, Number($event))"
          />
          <span class="figures text-xs text-second">{{ asked(wanted) }}</span>
        </div>
      </div>
      <p v-if="tooMany" role="alert" class="mt-2 text-gives">
        A trial keeps {{ MOST_ROWS }} rows at most: leave some out, every tenth is enough for a fit.
      </p>
      <p v-else-if="missing.length > 0" class="mt-2 text-tight">
        Still to say: {{ missing.map(({ label }) => label).join(', ') }}.
      </p>
    </template>
    <div class="mt-4 flex flex-wrap gap-3">
      <button
        type="button"
        class="button main"
        :disabled="!read?.ok || missing.length > 0 || tooMany"
        @click="take(false)"
      >
        Add these rows
      </button>
      <button
        v-if="rowsOf(trial) > 0"
        type="button"
        class="button"
        :disabled="!read?.ok || missing.length > 0"
        @click="take(true)"
      >
        In place of the rows there are
      </button>
      <button type="button" class="button" @click="emit('close')">Cancel</button>
    </div>
  </BaseDialog>
</template>
