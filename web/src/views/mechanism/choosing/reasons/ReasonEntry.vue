<script setup lang="ts">
import { useDisplay } from '../../../../composables/useDisplay.js';
import { WANTS, wantText, type ClaimNow, type ReasonNow } from '@rough-gear/core';
import { Check, X } from '@lucide/vue';
import { format } from 'date-fns';
import { computed, ref } from 'vue';

/** One line of the log: what was chosen over what, its claims then and now, and the person's own sentence. */
const { entry } = defineProps<{
  entry: ReasonNow;
  /** Only read: on paper. */
  settled?: boolean;
}>();
const emit = defineEmits<{ rewrite: [why: string] }>();
const { say } = useDisplay();
const STATES: Readonly<Record<ReasonNow['state'], string>> = {
  'in force': 'in force',
  'another choice': 'another choice is in force',
  'chosen anew': 'chosen anew since',
  gone: 'no longer in the plan',
};
const editing = ref(false);
const why = ref('');
const when = computed(() => format(new Date(entry.reason.writtenAt), 'd MMM yyyy, HH:mm'));

function claimText({ want, then, bound, now }: ClaimNow): string {
  const { name, better } = WANTS[want];
  const past = `${better === 'less' ? 'not over' : 'not under'} ${say(wantText(want, bound))}`;
  const shown = now === undefined ? 'not known now' : `now ${say(wantText(want, now))}`;
  return `${name} ${say(wantText(want, then))} then, ${shown}; ${past}`;
}
function start(): void {
  why.value = entry.reason.why ?? '';
  editing.value = true;
}
function finish(): void {
  editing.value = false;
  if (why.value.trim() !== (entry.reason.why ?? '')) emit('rewrite', why.value);
}
</script>

<template>
  <li class="break-inside-avoid border-l-4 py-1 pl-3" :class="entry.untrue ? 'border-gives' : 'border-ink'">
    <p class="text-xs text-second">
      {{ when }} · {{ entry.mechanismName }} · {{ STATES[entry.state] }}
      <b v-if="entry.untrue" class="text-gives">· no longer true</b>
    </p>
    <p>
      <b>{{ entry.reason.chosen }}</b> <span class="text-second">over {{ entry.reason.over }}</span>
    </p>
    <ul class="text-sm">
      <li v-for="claim in entry.claims" :key="claim.want" class="flex items-baseline gap-1.5">
        <template v-if="entry.state === 'in force'">
          <Check v-if="claim.true" :size="13" class="shrink-0 text-enough" aria-hidden="true" />
          <X v-else :size="13" class="shrink-0 text-gives" aria-hidden="true" />
          <span class="sr-only">{{ claim.true ? 'still true:' : 'no longer true:' }}</span>
        </template>
        <span :class="entry.state === 'in force' && !claim.true ? 'font-semibold text-gives' : ''">{{
          claimText(claim)
        }}</span>
      </li>
    </ul>
    <p v-if="entry.reason.gaveUp" class="text-sm text-second">For that: {{ entry.reason.gaveUp }}.</p>
    <form v-if="editing" class="flex gap-2 not-printed" @submit.prevent="finish">
      <input
        v-model="why"
        aria-label="why this one"
        class="min-h-7 grow border-b border-ink bg-transparent"
        maxlength="500"
        autocomplete="off"
      />
      <button type="submit" class="act">Keep</button>
    </form>
    <p v-else class="text-sm">
      <span v-if="entry.reason.why">“{{ entry.reason.why }}”</span>
      <button v-if="!settled" type="button" class="act ml-2 min-h-6 text-xs not-printed" @click="start">
        {{ entry.reason.why ? 'reword' : 'say why' }}
      </button>
    </p>
  </li>
</template>
