<script setup lang="ts">
import type { ImportLine, ImportReport } from '@rough-gear/contract/shelf-files';
import { KIND_NAMES } from '@rough-gear/contract/shelf';
import { counted, type PartKind } from '@rough-gear/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { toast } from 'vue-sonner';
import { api } from '../../api/client.js';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import { useWholeShelf } from '../../stores/shelf.js';

/** A file of parts: first what it would do, line by line; only then, and only whole, is it taken. */
const { open, kind } = defineProps<{ open: boolean; kind: PartKind }>();
const emit = defineEmits<{ close: [] }>();
const shelf = useWholeShelf();

const MOST_SHOWN = 200;
const name = ref('');
const text = ref('');
const report = shallowRef<ImportReport>();
const failure = ref('');
const busy = ref(false);
watch(
  () => open,
  () => {
    [name.value, text.value, failure.value] = ['', '', ''];
    report.value = undefined;
  },
);

async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  input.value = '';
  if (!chosen) return;
  name.value = chosen.name;
  text.value = await chosen.text();
  await send(true);
}

async function send(dry: boolean): Promise<void> {
  busy.value = true;
  failure.value = '';
  try {
    const answer = await api.importParts(kind, text.value, dry);
    report.value = answer;
    if (!answer.taken) return;
    await shelf.reload();
    toast(`${counts.value.new} new and ${counts.value.changed} changed parts are on the shelf.`);
    emit('close');
  } catch (problem) {
    failure.value = (problem as Error).message;
  } finally {
    busy.value = false;
  }
}

const counts = computed(() => {
  const result: Record<ImportLine['does'], number> = { new: 0, changed: 0, same: 0, 'not understood': 0 };
  for (const { does } of report.value?.lines ?? []) result[does]++;
  return result;
});
/** What is not understood first, what stays as it is not at all. */
const lines = computed(() =>
  [...(report.value?.lines ?? [])]
    .filter(({ does }) => does !== 'same')
    .sort((a, b) => Number(b.does === 'not understood') - Number(a.does === 'not understood') || a.line - b.line),
);
const takes = computed(() => report.value?.sound === true && counts.value.new + counts.value.changed > 0);
</script>

<template>
  <BaseDialog :open="open" :title="`Import: ${KIND_NAMES[kind].toLowerCase()}`" wide @close="emit('close')">
    <p class="mb-2 text-second">
      A CSV file with one line a part: a column for each figure with its unit in brackets, beside it its source. An
      export of this shelf is the pattern; lines without an id become new parts. Nothing is changed before you have seen
      what would be.
    </p>
    <label class="button inline-block"
      >Choose a CSV file<input type="file" accept=".csv,text/csv" class="sr-only" @change="choose"
    /></label>
    <span class="ml-3">{{ name }}</span>
    <p v-if="failure" role="alert" class="mt-2 text-gives">{{ failure }}</p>
    <div v-if="report" class="mt-3" data-testid="import-report">
      <p role="status">
        <b>{{ counts.new }}</b> new, <b>{{ counts.changed }}</b> changed, <b>{{ counts.same }}</b> as they are<template
          v-if="counts['not understood'] > 0"
          >, <b class="text-gives">{{ counts['not understood'] }} not understood</b></template
        >.
        <span v-if="!report.sound" class="text-gives">Nothing is imported until the whole file is understood.</span>
      </p>
      <ul v-if="report.problems.length > 0" class="mt-1 list-disc pl-5 text-gives">
        <li v-for="problem in report.problems" :key="problem">{{ problem }}</li>
      </ul>
      <div
        class="mt-2 max-h-[42vh] overflow-y-auto border-y border-hair"
        tabindex="0"
        role="region"
        aria-label="Line by line"
      >
        <table class="w-full text-sm">
          <tbody>
            <tr v-for="line in lines.slice(0, MOST_SHOWN)" :key="line.line" class="border-b border-hair align-top">
              <td class="figures w-12 py-1 pr-2 text-right text-xs text-second">{{ line.line }}</td>
              <td class="py-1 pr-3 whitespace-nowrap" :class="line.does === 'not understood' ? 'text-gives' : ''">
                {{ line.does }}
              </td>
              <th scope="row" class="py-1 pr-3 text-left font-normal">{{ line.name || 'without a name' }}</th>
              <td class="py-1 text-xs">
                <div v-for="problem in line.problems" :key="problem" class="text-gives">{{ problem }}</div>
                <div v-for="difference in line.differences" :key="difference.key">
                  {{ difference.label }}: {{ difference.before }} → <b>{{ difference.after }}</b>
                </div>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="lines.length > MOST_SHOWN" class="py-1 text-second">
          and {{ counted(lines.length - MOST_SHOWN, 'line') }} more
        </p>
      </div>
      <div class="mt-3 flex justify-end gap-3">
        <button type="button" class="button" @click="emit('close')">Leave it</button>
        <button type="button" class="button main disabled:opacity-50" :disabled="busy || !takes" @click="send(false)">
          Take {{ counts.new + counts.changed }} {{ counts.new + counts.changed === 1 ? 'part' : 'parts' }}
        </button>
      </div>
    </div>
  </BaseDialog>
</template>
