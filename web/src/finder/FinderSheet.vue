<script setup lang="ts">
import { COMMON_PLACES, Finder, placesOf, type Place } from '@rough-gear/contract/find';
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/vue';
import { useStorage } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import { useOpenRobot } from '../rooms/useOpenRobot.js';
import { useActions } from './useActions.js';

/** Everything that can be gone to or done, found by its name or by what else people call it. Nothing is sent anywhere. */
const { open } = defineProps<{ open: boolean }>();
const emit = defineEmits<{ close: []; help: [] }>();
const route = useRoute();
const router = useRouter();
const { planId, robot } = useOpenRobot();
const actions = useActions(() => emit('help'));

const query = ref('');
watch(
  () => open,
  () => (query.value = ''),
);
const finder = computed(() => {
  const { mechanismId } = route.params;
  if (!robot.value || !planId.value) return new Finder(COMMON_PLACES);
  return new Finder(placesOf(robot.value, planId.value, mechanismId ? String(mechanismId) : undefined));
});
const found = computed(() => finder.value.find(query.value));

/** What was looked for in vain stays in this browser, so that a team can hand it on. */
const unknown = useStorage<string[]>('rough-gear:not-found', []);
const MOST_KEPT = 100;
function keepUnknown(): void {
  const words = query.value.trim().toLowerCase();
  if (words.length < 3 || found.value.length > 0 || unknown.value.includes(words)) return;
  unknown.value = [...unknown.value, words].slice(-MOST_KEPT);
}
const copyUnknown = async (): Promise<void> => {
  await navigator.clipboard.writeText(unknown.value.join('\n'));
  toast('Copied.');
};

function close(): void {
  keepUnknown();
  emit('close');
}

async function go(place: Place | null): Promise<void> {
  if (!place) return;
  emit('close');
  // The sheet gives the focus back when it is gone: what is found takes it after that.
  await nextTick();
  if (place.kind === 'action') actions[place.path.slice(1)]?.();
  else await router.push(place.path);
}
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="close">
    <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-12">
      <DialogPanel class="w-full max-w-2xl border border-ink bg-sheet">
        <DialogTitle class="sr-only">Find</DialogTitle>
        <Combobox :model-value="null" nullable @update:model-value="go">
          <ComboboxInput
            class="w-full border-b border-ink bg-transparent px-4 py-3 text-lg"
            aria-label="What are you looking for?"
            placeholder="a figure, a question, a part: rpm per volt, half nut, fuse …"
            autocomplete="off"
            @change="query = $event.target.value"
            @keydown.esc="close"
          />
          <ComboboxOptions v-if="found.length > 0" static class="max-h-[60vh] overflow-y-auto py-1">
            <ComboboxOption v-for="place in found" :key="place.path + place.label" v-slot="{ active }" :value="place">
              <span
                class="grid grid-cols-[minmax(0,1fr)_5.5rem] items-baseline gap-x-3 px-4 py-1.5"
                :class="active ? 'bg-ground' : ''"
              >
                <span class="min-w-0">
                  <b class="font-semibold" :class="active ? 'underline' : ''">{{ place.label }}</b>
                  <span v-if="place.where" class="ml-2 text-sm text-second">{{ place.where }}</span>
                </span>
                <span class="text-right text-sm text-second">{{ place.kind }}</span>
              </span>
            </ComboboxOption>
          </ComboboxOptions>
        </Combobox>
        <div class="px-4 py-2 text-sm text-second">
          <p v-if="query.trim() !== '' && found.length === 0" role="status">
            Nothing is called that, and nobody calls anything that. The words are kept in this browser.
          </p>
          <p v-else-if="query.trim() === ''">
            Figures of this mechanism, questions, desks, rooms, parts, trials, words and actions.
          </p>
          <p v-if="unknown.length > 0">
            {{ unknown.length === 1 ? 'One word was' : `${unknown.length} words were` }} not known here so far.
            <button type="button" class="act min-h-6" @click="copyUnknown">Copy them</button>
          </p>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
