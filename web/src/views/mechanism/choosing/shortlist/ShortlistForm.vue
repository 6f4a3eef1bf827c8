<script setup lang="ts">
import { LIKES, type Part, type Scope, type ShortlistQuery } from '@rough-gear/core';
import { useId } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import CountField from '../../../../components/fields/CountField.vue';
import MustFields from '../../../../components/fields/MustFields.vue';
import type { Asked } from './useQuery.js';

/** Where to search, and what may not be passed: money first, for those who begin there. */
const { running, ready, open, comparable, kind, parts } = defineProps<{
  running: boolean;
  ready: boolean;
  open: boolean;
  comparable: boolean;
  /** What is asked of motors or servos, where the drive is one of these; and those it is asked of. */
  kind: 'motor' | 'servo' | undefined;
  parts: readonly Part[];
}>();
const emit = defineEmits<{ search: []; stop: [] }>();
const asked = defineModel<Asked>({ required: true });
const id = useId();
defineExpose({ askForMoney: () => document.getElementById(`${id}-mostPrice`)?.focus() });

const SCOPES: readonly { value: Scope; text: string }[] = [
  { value: 'everything', text: 'everything' },
  { value: 'drop-in', text: 'a motor in its place' },
];
const PACKS: readonly { value: ShortlistQuery['packs']; text: string }[] = [
  { value: 'mine', text: 'as it is' },
  { value: 'shelf', text: 'any on the shelf' },
];
</script>

<template>
  <form
    class="grid grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4 xl:grid-cols-[1.6fr_1fr_1.2fr_1.2fr_1fr_1fr_auto]"
    aria-label="Search the shelf"
    @submit.prevent="emit('search')"
  >
    <ChoiceField label="search" :value="asked.scope" :options="SCOPES" @change="asked.scope = $event" />
    <CountField
      :value="asked.mostMotors"
      label="motors up to"
      :least="1"
      :most="6"
      @change="asked.mostMotors = $event"
    />
    <ChoiceField label="pack" :value="asked.packs" :options="PACKS" @change="asked.packs = $event" />
    <fieldset class="min-w-0">
      <legend class="text-[0.8125rem] text-second">total from, to</legend>
      <div class="figures flex min-h-7 items-baseline gap-1" :class="open ? '' : 'opacity-50'">
        <input
          v-model="asked.from"
          class="w-full min-w-0 border-b border-ink bg-transparent"
          aria-label="total from"
          :disabled="!open"
          autocomplete="off"
        />
        <span aria-hidden="true">–</span>
        <input
          v-model="asked.to"
          class="w-full min-w-0 border-b border-ink bg-transparent"
          aria-label="total to"
          :disabled="!open"
          autocomplete="off"
        />
      </div>
    </fieldset>
    <div
      v-for="[key, label] in [
        ['mostPrice', 'most money'],
        ['mostMass', 'most mass'],
      ] as const"
      :key="key"
    >
      <label :for="`${id}-${key}`" class="block truncate text-[0.8125rem] text-second">{{ label }}</label>
      <input
        :id="`${id}-${key}`"
        v-model="asked[key]"
        class="figures min-h-7 w-full border-b border-ink bg-transparent"
        placeholder="open"
        autocomplete="off"
      />
    </div>
    <button v-if="running" type="button" class="button" @click="emit('stop')">Stop</button>
    <button v-else type="submit" class="button main disabled:opacity-50" :disabled="!ready">Search</button>
    <MustFields
      v-if="kind"
      v-model="asked.musts"
      :kind="kind"
      :parts="parts"
      class="col-span-full"
      @keydown.enter.stop
    />
    <div class="col-span-full flex flex-wrap items-center gap-x-5 text-sm">
      <label class="flex min-h-6 items-center gap-1"
        ><input v-model="asked.ownedOnly" type="checkbox" />only what lies on the shelf unused: nothing to buy</label
      >
      <template v-if="comparable">
        <label class="flex min-h-6 items-center gap-1" :title="LIKES.find(({ id: one }) => one === asked.like)!.says"
          >alike in
          <select v-model="asked.like" class="border-b border-ink bg-transparent">
            <option v-for="like in LIKES" :key="like.id" :value="like.id">{{ like.name }}</option>
          </select></label
        >
        <label
          class="flex min-h-6 items-center gap-1"
          title="the best with brushes and the best without: a design is beaten only by one of its own kind"
          ><input v-model="asked.eachType" type="checkbox" />best of each kind</label
        >
      </template>
    </div>
  </form>
</template>
