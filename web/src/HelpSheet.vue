<script setup lang="ts">
import BaseDialog from './components/widgets/BaseDialog.vue';
import { MEANINGS } from './components/verdict/meanings.js';
import VerdictRing from './components/verdict/VerdictRing.vue';
import { SHORTCUTS } from './composables/useShortcuts.js';
import { ROOMS, sectionId, TERMS } from '@rough-gear/contract/find';
import { usePreferences } from './stores/preferences.js';

/** Where what is found, what the words mean and what the keys do. Single-key shortcuts can be switched off. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
const preferences = usePreferences();
const WORDS: readonly (readonly [word: string, means: string])[] = [
  ['mechanism', 'one thing of the robot that moves: a drive base, a lift, an arm, a grip'],
  ['job', 'what a mechanism is to do: what is moved, how far, in what time, how often'],
  ['power path', 'from the pack over controller, motor and gears to the load; each part of it is a link'],
  ['what gives first', 'the limit that is reached first when the job gets harder; 1× is the job itself'],
  ['change', 'what helps, by how much, and what gives first after it; one click does it, undo takes it back'],
  ['trial', 'a guided measurement on the bench, whose result can be used in the plan'],
];
</script>

<template>
  <BaseDialog :open="open" title="Help" wide @close="$emit('close')">
    <div class="grid gap-x-8 gap-y-4 sm:grid-cols-2">
      <section aria-labelledby="help-rooms">
        <h3 id="help-rooms" class="font-semibold">The rooms of a robot, in the order of the work</h3>
        <dl class="text-sm">
          <div v-for="room in ROOMS" :key="room.id" class="grid grid-cols-[6.5rem_1fr] border-b border-hair py-1">
            <dt class="font-semibold">{{ room.text }}</dt>
            <dd>{{ room.answers }}</dd>
          </div>
        </dl>
      </section>
      <section aria-labelledby="help-words">
        <h3 id="help-words" class="font-semibold">Words</h3>
        <dl class="text-sm">
          <div v-for="[word, means] in WORDS" :key="word" class="grid grid-cols-[6.5rem_1fr] border-b border-hair py-1">
            <dt class="font-semibold">{{ word }}</dt>
            <dd>{{ means }}</dd>
          </div>
          <div
            v-for="{ verdict, means } in MEANINGS"
            :key="verdict"
            class="grid grid-cols-[6.5rem_1fr] border-b border-hair py-1"
          >
            <dt class="flex items-center gap-1.5 font-semibold"><VerdictRing :verdict="verdict" />{{ verdict }}</dt>
            <dd>{{ means }}</dd>
          </div>
        </dl>
      </section>
    </div>
    <section aria-labelledby="help-terms" class="mt-4">
      <h3 id="help-terms" class="font-semibold">Words of the trade</h3>
      <dl class="grid gap-x-8 text-sm sm:grid-cols-2">
        <div
          v-for="({ means, learn }, term) in TERMS"
          :key="term"
          class="grid grid-cols-[6.5rem_1fr] border-b border-hair py-1"
        >
          <dt class="font-semibold">{{ term }}</dt>
          <dd>
            {{ means }}
            <RouterLink
              class="act underline"
              :to="{ name: 'models', hash: `#${sectionId(learn)}` }"
              :aria-label="`Learn more of ${term}`"
              @click="$emit('close')"
              >Learn</RouterLink
            >
          </dd>
        </div>
      </dl>
    </section>
    <h3 class="mt-4 font-semibold">Keys</h3>
    <ul class="grid gap-x-8 text-sm sm:grid-cols-2">
      <li v-for="{ keys, does } in SHORTCUTS" :key="does" class="flex justify-between gap-4 border-b border-hair py-1">
        <span>{{ does }}</span><span class="whitespace-nowrap"
          ><kbd v-for="key in keys" :key="key" class="key ml-1">{{ key }}</kbd></span
        >
      </li>
    </ul>
    <label class="mt-3 flex items-center gap-2"
      ><input v-model="preferences.singleKeys" type="checkbox" class="size-4" /> single-key shortcuts are on</label
    >
  </BaseDialog>
</template>
