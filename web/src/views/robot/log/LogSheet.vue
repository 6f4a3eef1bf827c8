<script setup lang="ts">
import { readColumns, type ReadingColumn } from '@rough-gear/contract/bench';
import { counted, laneColumn, type Plan } from '@rough-gear/core';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { api } from '../../../api/client.js';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import TextField from '../../../components/fields/TextField.vue';
import { useBench } from '../../../stores/bench.js';
import { usePlan } from '../../../stores/plan.js';

/** A log’s file: which column is which is said once, and known again by the names of the columns. */
const { open, plan } = defineProps<{ open: boolean; plan: Plan }>();
const emit = defineEmits<{ close: []; taken: [id: string] }>();
const bench = useBench();
const store = usePlan();
const columns = shallowRef<readonly ReadingColumn[]>([]);
const said = ref('');
const failure = ref('');
const note = ref('');
const mapped = reactive(new Map<string, string>());

const wanted = computed(() => [
  { key: 'time', label: 'time', dimension: 'time' },
  { key: 'voltage', label: 'volts of the pack', dimension: 'voltage' },
  { key: 'current', label: 'current of the pack', dimension: 'current' },
  ...plan.mechanisms.map(({ id, name }) => ({ key: laneColumn(id), label: name, dimension: '' })),
]);
const KEPT = computed(() => `rough-gear:match-columns:${store.id ?? ''}`);
function known(): Readonly<Record<string, string>> {
  try {
    return JSON.parse(localStorage.getItem(KEPT.value) ?? '{}') as Record<string, string>;
  } catch {
    return {};
  }
}
watch(
  () => open,
  () => {
    columns.value = [];
    said.value = '';
    failure.value = '';
    note.value = '';
  },
);

async function pick(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  const read = readColumns(await file.text());
  failure.value = read.ok ? '' : `${file.name}: ${read.reason}`;
  if (!read.ok) return;
  columns.value = read.columns;
  said.value = `${counted(read.columns[0]?.values.length ?? 0, 'row')}${read.unread.length > 0 ? `, ${counted(read.unread.length, 'line')} left out` : ''}`;
  note.value ||= file.name.replace(/\.[^.]+$/, '');
  mapped.clear();
  const before = known();
  for (const { key, label, dimension } of wanted.value) {
    const column =
      read.columns.find(({ name }) => before[key] === name) ??
      read.columns.find(({ name }) => name.toLowerCase() === label.toLowerCase()) ??
      (dimension === '' ? undefined : read.columns.find((one) => one.dimension === dimension));
    if (column && ![...mapped.values()].includes(column.name)) mapped.set(key, column.name);
  }
}
const enough = computed(() => mapped.has('time') && mapped.size > 1);

async function take(): Promise<void> {
  const valuesOf = (key: string) => columns.value.find(({ name }) => name === mapped.get(key))?.values;
  const readings = Object.fromEntries(
    wanted.value.flatMap(({ key }) => {
      const values = valuesOf(key);
      return values ? [[key, [...values]] as const] : [];
    }),
  );
  try {
    const now = new Date().toISOString();
    const stored = await api.addTrial({
      kind: 'match-log',
      subject: { name: plan.name, robot: plan.name, planId: store.id! },
      startedAt: now,
      closedAt: now,
      who: '',
      used: '',
      note: note.value.trim(),
      given: {},
      said: {},
      readings,
      struck: [],
    });
    localStorage.setItem(KEPT.value, JSON.stringify(Object.fromEntries(mapped)));
    await bench.loadBook();
    emit('taken', stored.id);
    emit('close');
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}
</script>

<template>
  <BaseDialog :open="open" title="Log of a match" wide @close="emit('close')">
    <p class="text-sm text-second">
      Time, volts of the pack, amperes in all and by channel, as a CSV file. What is not in SI says its unit in the
      head.
    </p>
    <p class="my-2 flex flex-wrap items-baseline gap-x-4">
      <label class="button cursor-pointer has-focus-visible:outline-2"
        >A file<input type="file" accept=".csv,.txt,text/*" class="sr-only" @change="pick"
      /></label>
      <span role="status">{{ said }}</span>
    </p>
    <template v-if="columns.length > 0">
      <TextField v-model="note" label="which match" class="max-w-xs" />
      <div class="mt-3 grid gap-x-5 gap-y-2 sm:grid-cols-3">
        <ChoiceField
          v-for="one in wanted"
          :key="one.key"
          :label="one.label"
          :value="mapped.get(one.key) ?? ''"
          :options="[
            { value: '', text: 'no channel' },
            ...columns.map(({ name, unit }) => ({ value: name, text: unit ? `${name}, ${unit}` : name })),
          ]"
          @change="$event === '' ? mapped.delete(one.key) : mapped.set(one.key, $event)"
        />
      </div>
    </template>
    <p v-if="failure" role="alert" class="mt-2 text-gives">{{ failure }}</p>
    <div class="mt-4 flex gap-3">
      <button type="button" class="button main" :disabled="!enough" @click="take">Take it into the bench book</button>
      <button type="button" class="button" @click="emit('close')">Cancel</button>
    </div>
  </BaseDialog>
</template>
