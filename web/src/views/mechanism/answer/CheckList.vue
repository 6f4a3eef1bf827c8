<script setup lang="ts">
import type { Check, CheckId, Target } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useFold } from '../../../composables/useFold.js';
import { useDisplay } from '../../../composables/useDisplay.js';

/** Yes-or-no checks beside the gauge. Those that fail and those that decide stand open, the notes and the rest fold. */
const {
  checks,
  before = undefined,
  chosen = undefined,
} = defineProps<{ checks: readonly Check[]; before?: readonly Check[] | undefined; chosen?: Target | undefined }>();
defineEmits<{ choose: [check: CheckId]; working: [check: Check] }>();

const { say } = useDisplay();
const open = useFold();
const DECIDE: readonly CheckId[] = ['in-time', 'recovers', 'follows', 'stays-up', 'held-back', 'jam', 'resolves'];

const deciding = (check: Check): boolean =>
  check.verdict !== 'enough' || check.there === 'not known' || (DECIDE.includes(check.id) && !check.note);
const standing = computed(() => checks.filter(deciding));
const rest = computed(() => checks.filter((check) => !standing.value.includes(check)));

function answer(check: Check): string {
  if (check.there === undefined) return check.verdict;
  if (check.id === 'in-time' && typeof check.there === 'object' && 'value' in check.there && check.asked !== undefined)
    return `${say(check.there).replace(/ s$/, '')} of ${say(check.asked)}`;
  return say(check.there);
}

function moved(check: Check): string | undefined {
  const old = before?.find(({ id }) => id === check.id);
  return old && answer(old) !== answer(check) ? answer(old).replace(/ of .*/, '') : undefined;
}

const isChosen = (check: Check): boolean => chosen !== undefined && 'check' in chosen && chosen.check === check.id;
</script>

<template>
  <ul class="border-t border-line pt-1" data-testid="checks">
    <li v-for="check in open ? [...standing, ...rest] : standing" :key="check.id">
      <button
        type="button"
        class="flex min-h-6 w-full items-center gap-1.5 text-left leading-tight hover:bg-ground"
        :class="isChosen(check) ? 'outline-1 outline-ink' : ''"
        :title="say(check.sentence)"
        :data-check="check.id"
        @click="check.verdict === 'gives way' && !isChosen(check) ? $emit('choose', check.id) : $emit('working', check)"
      >
        <VerdictRing :verdict="check.verdict" :note="check.note" />
        <span class="min-w-0 grow"
          >{{ check.name }}<span class="sr-only">: {{ check.note ? 'a note' : check.verdict }}</span></span
        >
        <span class="figures text-xs whitespace-nowrap"
          ><span v-if="moved(check)" class="text-second">{{ moved(check) }} → </span>{{ answer(check) }}</span
        >
      </button>
      <p v-if="check.verdict === 'not known' && check.id === 'in-time'" class="pl-5 text-xs text-second">
        {{ say(check.sentence) }}
      </p>
    </li>
  </ul>
  <button
    v-if="rest.length > 0"
    type="button"
    class="act min-h-6 self-start text-xs"
    :aria-expanded="open"
    @click="open = !open"
  >
    {{ open ? 'fold' : `${rest.length} more are well` }}
  </button>
</template>
