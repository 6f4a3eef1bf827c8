<script setup lang="ts">
import { readSheet, takeInto, type SheetKind, type Told } from '@rough-gear/contract/sheet';
import type { Part } from '@rough-gear/core';
import { computed, reactive, ref, useId, watch } from 'vue';
import BaseDialog from '../widgets/BaseDialog.vue';
import { labelOf, shownNow, unsaidOf } from './toldWords.js';

/**
 * Text of a data sheet or of a shop's page, read into the figures of a part: what is sure can be left out, what is in
 * doubt is taken only once somebody has said what it means.
 */
const { open, part } = defineProps<{ open: boolean; part: Extract<Part, { kind: SheetKind }> }>();
const emit = defineEmits<{ close: []; take: [part: Part] }>();
const id = useId();

/** A line of a page may be a paragraph. */
const LONGEST = 160;
const text = ref('');
const reading = computed(() => readSheet(part.kind, text.value));
/** What is left out of what is sure; what was said of what is in doubt, by its place among the choices. */
const left = reactive(new Set<string>());
const said = reactive(new Map<string, number>());
watch([() => open, text], () => {
  left.clear();
  said.clear();
});
watch(
  () => open,
  () => (text.value = ''),
);

const taken = computed((): readonly Told[] => [
  ...reading.value.found.filter(({ name }) => !left.has(name)),
  ...reading.value.doubtful.flatMap(({ name, choices }) => choices[said.get(name) ?? -1] ?? []),
]);
/** What a part cannot be without and the sheet does not say: it stays as it was, and that is told. */
const unsaid = computed(() => unsaidOf(part, taken.value));
const anything = computed(() => reading.value.found.length + reading.value.doubtful.length > 0);
const shownOf = ({ si, value, as }: Told): string => (si === undefined && value !== undefined ? shownNow(value) : as);
const mark = (name: string, on: boolean): void => void (on ? left.delete(name) : left.add(name));

function take(): void {
  emit('take', takeInto(part, taken.value));
  emit('close');
}
</script>

<template>
  <BaseDialog :open="open" title="Paste a data sheet" widest @close="emit('close')">
    <div class="grid gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <div>
        <label :for="id" class="block text-second">text of the sheet, or of a shop’s page</label>
        <textarea
          :id="id"
          v-model="text"
          rows="18"
          spellcheck="false"
          class="figures w-full border border-ink bg-ground p-2 text-xs"
        />
        <p class="text-xs text-second">
          Tables may be pasted as they are. What sheets promise is what their makers promise: a trial on the bench has
          the last word.
        </p>
      </div>
      <div class="flex min-w-0 flex-col" data-testid="sheet-read">
        <p v-if="!anything" class="squared grid grow place-items-center p-6 text-center text-second" role="status">
          {{
            text.trim() === ''
              ? 'What is read stands here, each with its line, before anything is taken.'
              : 'Nothing was read from it.'
          }}
        </p>
        <div v-else class="max-h-[56vh] grow overflow-y-auto" tabindex="0" role="region" aria-label="What was read">
          <fieldset v-for="doubt in reading.doubtful" :key="doubt.name" class="mb-2 border border-tight p-2 text-sm">
            <legend class="px-1">
              <b>{{ labelOf(part, doubt.name) }}</b>: {{ doubt.reason }}
            </legend>
            <p class="figures mb-1 text-xs break-words text-second">{{ doubt.line.slice(0, LONGEST) }}</p>
            <div class="flex flex-wrap gap-x-4 gap-y-1">
              <label
                v-for="(one, i) in doubt.choices"
                :key="`${one.name} ${one.as}`"
                class="flex min-h-6 items-center gap-1.5"
                ><input
                  type="radio"
                  :name="`${id} ${doubt.name}`"
                  :checked="said.get(doubt.name) === i"
                  @change="said.set(doubt.name, i)"
                /><span class="figures">{{ shownOf(one) }}</span
                ><template v-if="doubt.choices.some(({ name }) => name !== doubt.name)">
                  {{ labelOf(part, one.name) }}</template
                ></label
              >
              <label class="flex min-h-6 items-center gap-1.5"
                ><input
                  type="radio"
                  :name="`${id} ${doubt.name}`"
                  :checked="!said.has(doubt.name)"
                  @change="said.delete(doubt.name)"
                />leave it out</label
              >
            </div>
          </fieldset>
          <table class="w-full text-sm">
            <thead class="sr-only">
              <tr>
                <th scope="col">figure</th>
                <th scope="col">read as</th>
                <th scope="col">from the line</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in reading.found" :key="one.name" class="border-b border-hair align-baseline">
                <th scope="row" class="w-52 py-1 pr-3 text-left font-normal">
                  <label class="flex items-center gap-1.5"
                    ><input
                      type="checkbox"
                      :checked="!left.has(one.name)"
                      @change="mark(one.name, ($event.target as HTMLInputElement).checked)"
                    />{{ labelOf(part, one.name) }}</label
                  >
                </th>
                <td class="figures w-40 py-1 pr-3">{{ shownOf(one) }}</td>
                <td class="py-1 text-xs break-words text-second">{{ one.line.slice(0, LONGEST) }}</td>
              </tr>
            </tbody>
          </table>
          <p v-if="unsaid" class="mt-2 text-xs text-tight">Not said by it, and stays as it is: {{ unsaid }}.</p>
          <details v-if="reading.unread.length > 0" class="mt-2 text-sm">
            <summary class="act min-h-6">
              {{ reading.unread.length }} {{ reading.unread.length === 1 ? 'line' : 'lines' }} nothing was read from
            </summary>
            <p v-for="{ line, at } in reading.unread" :key="at" class="figures text-xs break-words text-second">
              {{ line.slice(0, LONGEST) }}
            </p>
          </details>
        </div>
        <div class="mt-3 flex items-baseline justify-end gap-3">
          <span v-if="reading.doubtful.length > said.size" class="mr-auto text-xs text-tight"
            >{{ reading.doubtful.length - said.size }} in doubt stay out until you say what they mean</span
          >
          <button type="button" class="button" @click="emit('close')">Leave it</button>
          <button type="button" class="button main disabled:opacity-50" :disabled="taken.length === 0" @click="take">
            Take {{ taken.length }} {{ taken.length === 1 ? 'figure' : 'figures' }}
          </button>
        </div>
      </div>
    </div>
  </BaseDialog>
</template>
