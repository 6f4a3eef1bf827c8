<script setup lang="ts">
import {
  EVENT_SUM_WORDS,
  EVENT_SUMS,
  freshAmong,
  MOST,
  quantityOf,
  type EventCheck,
  type EventLimit,
  type EventSheet,
  type EventSum,
  type Plan,
} from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { usePlan } from '../../../stores/plan.js';
import EventLimitRow from './EventLimitRow.vue';

/** What the event allows, typed from its rules; each limit is held against the robot at once. */
const { plan, checks } = defineProps<{ open: boolean; plan: Plan; checks: readonly EventCheck[] }>();
const emit = defineEmits<{ close: [] }>();
const store = usePlan();
const { say } = useDisplay();

const sheet = computed((): EventSheet => plan.event ?? { name: 'our event', limits: [] });
const put = (next: EventSheet) => store.commit([{ at: ['event'], to: next }]);
const checkOf = (id: string) => checks.find(({ limit }) => limit.id === id);

type Kind = EventSum | 'wire' | 'motorList' | 'packs';
const KINDS: readonly { value: Kind; text: string }[] = [
  ...EVENT_SUMS.map((value) => ({ value, text: `most ${EVENT_SUM_WORDS[value].name}` })),
  { value: 'wire', text: 'thinnest wire behind a breaker' },
  { value: 'motorList', text: 'motors that may be used' },
  { value: 'packs', text: 'packs that may be used' },
];
/** Something to begin with that no robot passes by being small; the team types what its rules say. */
const BEGINS: Readonly<Record<EventSum, readonly [si: number, as: string]>> = {
  mass: [50, '50 kg'],
  money: [1000, '1000'],
  motors: [12, '12'],
  servos: [6, '6'],
  kinds: [8, '8'],
  slots: [16, '16'],
  packVolts: [14.8, '14.8 V'],
  mainBreaker: [120, '120 A'],
  branchBreaker: [40, '40 A'],
};
function begun(kind: Kind, id: string): EventLimit {
  if (kind === 'wire') return { id, kind, breaker: quantityOf(40, '40 A'), gauge: quantityOf(12, '12 AWG') };
  if (kind === 'motorList') return { id, kind: 'motors', names: motorsNow() };
  if (kind === 'packs') return { id, kind, names: packsNow() };
  return { id, kind: 'most', of: kind, most: quantityOf(...BEGINS[kind]) };
}
const namesOf = (kinds: readonly string[]): string[] => [
  ...new Set(Object.values(plan.parts).flatMap(({ part }) => (kinds.includes(part.kind) ? [part.name] : []))),
];
const motorsNow = () => namesOf(['motor', 'stepper', 'step-servo']);
const packsNow = () => namesOf(['pack']);

function add(event: Event): void {
  const select = event.target as HTMLSelectElement;
  const kind = select.value as Kind | '';
  select.value = '';
  if (kind === '') return;
  const id = freshAmong(new Set(sheet.value.limits.map((one) => one.id)), 'limit');
  put({ ...sheet.value, limits: [...sheet.value.limits, begun(kind, id)] });
}
const replace = (limit: EventLimit) =>
  put({ ...sheet.value, limits: sheet.value.limits.map((one) => (one.id === limit.id ? limit : one)) });
const remove = (id: string) => put({ ...sheet.value, limits: sheet.value.limits.filter((limit) => limit.id !== id) });
function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 80);
  if (name && name !== sheet.value.name) put({ ...sheet.value, name });
}
</script>

<template>
  <BaseDialog :open="open" title="Event sheet" wide @close="emit('close')">
    <div class="flex flex-col gap-3 text-sm" data-testid="event-sheet">
      <p class="text-second">
        What your event allows, from its own rules. The robot, the search for motors and all mends stay within it; the
        rules themselves, and whoever inspects by them, have the last word.
      </p>
      <label class="flex items-baseline gap-2"
        >event
        <input class="grow border-b border-ink bg-transparent" maxlength="80" :value="sheet.name" @change="rename" />
      </label>
      <ul v-if="sheet.limits.length > 0" class="flex flex-col">
        <li v-for="limit in sheet.limits" :key="limit.id" class="border-t border-hair py-1.5">
          <EventLimitRow :limit="limit" @change="replace" @remove="remove(limit.id)" />
          <p v-if="checkOf(limit.id)" class="flex gap-1.5 text-xs text-second">
            <VerdictRing :verdict="checkOf(limit.id)!.verdict" :size="13" class="mt-px shrink-0" /><span
              ><span class="sr-only">{{ checkOf(limit.id)!.verdict }}: </span
              >{{ say(checkOf(limit.id)!.sentence) }}</span
            >
          </p>
        </li>
      </ul>
      <p v-else class="text-second">No limit yet: choose the first below.</p>
      <label v-if="sheet.limits.length < MOST.eventLimits" class="flex items-baseline gap-2"
        >another limit
        <select class="min-h-7 border-b border-ink bg-sheet" @change="add">
          <option value="">choose …</option>
          <option v-for="kind in KINDS" :key="kind.value" :value="kind.value">{{ kind.text }}</option>
        </select>
      </label>
      <button
        v-if="plan.event"
        type="button"
        class="act min-h-7 self-start"
        @click="store.commit([{ at: ['event'], to: undefined }])"
      >
        Take the whole sheet away
      </button>
    </div>
  </BaseDialog>
</template>
