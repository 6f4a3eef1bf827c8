<script setup lang="ts">
import { Check, EllipsisVertical } from '@lucide/vue';
import { isDone, matchesSinceNew, wornSoFar, type CheckedEntry, type PitCheck, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import { whenText } from '../../components/diary/whenText.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useAccess } from '../../stores/access.js';
import { useDiary } from '../../stores/diary.js';
import PackReading from './PackReading.vue';

/** One thing to look at: a tick as wide as a thumb, what is right, what it has seen since it was new. */
const { check, match, tick, fault } = defineProps<{
  check: PitCheck;
  plan: Plan;
  match: number;
  tick: CheckedEntry | undefined;
  fault: CheckedEntry | undefined;
}>();
defineEmits<{ fault: [] }>();
const diary = useDiary();
const access = useAccess();
const { say } = useDisplay();
const done = computed(() => isDone(tick));
const worn = computed(() => wornSoFar(check, matchesSinceNew(diary.entries, check.id)));
const by = computed(() =>
  tick && done.value
    ? [tick.state === 'new part' ? 'new part' : '', whenText(tick.at), tick.who, tick.note].filter(Boolean).join(', ')
    : '',
);

function toggle(note = ''): void {
  const state = done.value && note === '' ? 'open' : 'fine';
  diary.write({ kind: 'checked', match, check: check.id, state, asks: 'nothing', note });
}
</script>

<template>
  <li class="border-b border-hair py-1" :data-check="check.id">
    <div class="flex items-start gap-1">
      <button
        type="button"
        role="checkbox"
        class="flex min-h-11 min-w-0 grow items-start gap-3 py-1.5 text-left"
        :aria-checked="done"
        :disabled="!access.mayChange"
        @click="toggle()"
      >
        <span
          class="mt-0.5 grid size-6 shrink-0 place-items-center border-2"
          :class="done ? 'border-enough text-enough' : 'border-line'"
          aria-hidden="true"
          ><Check v-if="done" :size="18"
        /></span>
        <span class="min-w-0 break-words">
          <span class="block">{{ check.ask }}</span>
          <span v-if="check.expect" class="block text-sm text-second">{{ say(check.expect) }}</span>
          <span v-if="worn" class="block text-sm text-second">{{ say(worn) }}</span>
          <span v-if="by" class="block text-sm text-enough">{{ by }}</span>
        </span>
      </button>
      <button
        v-if="access.mayChange"
        type="button"
        class="act grid size-11 shrink-0 place-items-center"
        :aria-label="`${check.of}, ${check.ask}: fault or new part`"
        @click="$emit('fault')"
      >
        <EllipsisVertical :size="20" />
      </button>
    </div>
    <p v-if="fault" class="mb-1 ml-9 border-l-4 border-gives pl-2 text-sm">
      <b class="font-semibold">Fault before match {{ fault.match }}:</b> {{ fault.note || 'no words'
      }}{{ fault.asks === 'nothing' ? '' : `; asks for ${fault.asks}` }}
    </p>
    <PackReading v-if="check.id === 'pack'" :plan="plan" @read="toggle" />
  </li>
</template>
