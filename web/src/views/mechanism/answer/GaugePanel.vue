<script setup lang="ts">
import {
  showMultiple,
  SITUATIONS,
  type Idle,
  type Mend,
  type Rung,
  type SituationId,
  type Target,
  type WorkingRef,
} from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import LimitGauge from '../../../components/gauge/LimitGauge.vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useMends } from '../../../composables/useMends.js';
import CheckList from './CheckList.vue';
import InTheMatch from './InTheMatch.vue';
import MendList from './MendList.vue';
import RingsNote from './RingsNote.vue';
import VerdictKey from './VerdictKey.vue';
import VerdictSaid from './VerdictSaid.vue';

/** What gives first: three situations, the gauge, the answer in a sentence, the mends, the checks. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();

const { path, job, before, situation, mechanism, result, jobId, commit } = useMechanism();

const room = ref<HTMLElement>();
const { height: roomHeight } = useElementSize(room);
const ladder = computed(() => job.value.ladders[situation.value]);
// Shallow: it is handed to the worker as it is.
const chosen = shallowRef<Target>();
watch([situation, jobId, () => mechanism.value.id], () => (chosen.value = undefined));

const failingChecks = computed(() => job.value.checks.filter((check) => check.verdict === 'gives way'));

/** What the mends are for: what was chosen, else the first that is not enough. */
const target = computed<Target | undefined>(() => {
  if (chosen.value) return chosen.value;
  const rung = ladder.value.rungs.find(
    (candidate) => !candidate.outOfReach && candidate.verdict !== 'enough' && candidate.verdict !== 'not known',
  );
  const [failing] = failingChecks.value;
  // A check that fails comes before a limit that is merely tight.
  if (failing && rung?.verdict !== 'gives way') return { jobId: jobId.value, check: failing.id };
  return rung && { jobId: jobId.value, rung: rung.id, situation: situation.value };
});
const mechanismId = computed(() => mechanism.value.id);
const search = useMends(mechanismId, target);

const targetName = computed(() => {
  const wanted = target.value;
  if (!wanted) return '';
  if ('check' in wanted) return job.value.checks.find(({ id }) => id === wanted.check)?.name ?? '';
  return job.value.ladders[wanted.situation].rungs.find(({ id }) => id === wanted.rung)?.name ?? '';
});
const targetHint = computed(() => {
  const wanted = target.value;
  return wanted && 'check' in wanted ? job.value.checks.find(({ id }) => id === wanted.check)?.hint : undefined;
});
const needsMend = computed(() => {
  const wanted = target.value;
  if (!wanted) return false;
  const item =
    'check' in wanted
      ? job.value.checks.find(({ id }) => id === wanted.check)
      : job.value.ladders[wanted.situation].rungs.find(({ id }) => id === wanted.rung);
  return item !== undefined && item.verdict !== 'enough' && item.verdict !== 'not known';
});

function selectRung(rung: Rung): void {
  const same = chosen.value && 'rung' in chosen.value && chosen.value.rung === rung.id;
  chosen.value = same ? undefined : { jobId: jobId.value, rung: rung.id, situation: situation.value };
}

const selected = computed(() => (chosen.value && 'rung' in chosen.value ? chosen.value.rung : undefined));

const SHORT: Readonly<Record<Idle, string>> = {
  'no load': 'no load',
  'load drives': 'load drives',
  'stays by itself': 'by itself',
  'held by friction': 'by friction',
  'held by rolling resistance': 'by rolling',
  'held by brake': 'by brake',
  'held by ratchet': 'by ratchet',
};

function short(id: SituationId): string {
  const one = job.value.ladders[id];
  if (one.idle) return SHORT[one.idle];
  return one.verdict === 'not known' ? 'not known' : showMultiple(one.first?.multiple ?? NaN);
}

function apply(mend: Mend): void {
  commit(mend.changes);
  chosen.value = undefined;
}

/** Arrow keys move between the situations, as tabs do. */
function tabKey(event: KeyboardEvent): void {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (by === 0) return;
  event.preventDefault();
  const next = SITUATIONS[(SITUATIONS.indexOf(situation.value) + by + SITUATIONS.length) % SITUATIONS.length]!;
  situation.value = next;
  document.getElementById(`tab-${next}`)?.focus();
}

const announcement = computed(() => {
  const [now, was] = [ladder.value.first?.multiple, before.value?.ladders[situation.value].first?.multiple];
  if (now === undefined || was === undefined || showMultiple(now) === showMultiple(was)) return '';
  return `First to give: ${ladder.value.first?.name}, ${showMultiple(was)} to ${showMultiple(now)}`;
});
const selectedRung = computed(() => ladder.value.rungs.find(({ id }) => id === selected.value));
const openRung = computed(() => selectedRung.value ?? ladder.value.first);
</script>

<template>
  <section aria-label="What gives first" class="relative flex flex-col gap-1.5 bg-sheet px-3 py-2">
    <div v-if="mechanism.jobs.length > 1" role="group" aria-label="Job" class="flex flex-wrap gap-x-3 gap-y-1 text-sm">
      <button
        v-for="one in result.jobs"
        :key="one.jobId"
        type="button"
        class="flex min-h-6 items-center gap-1"
        :class="one.jobId === jobId ? 'border-b-2 border-ink font-semibold' : 'act'"
        :aria-pressed="one.jobId === jobId"
        @click="jobId = one.jobId"
      >
        <VerdictRing :verdict="one.verdict" />{{ one.name }}<span class="sr-only">: {{ one.verdict }}</span>
      </button>
    </div>
    <div
      role="tablist"
      aria-label="Situation"
      class="grid grid-cols-3 border border-ink"
      tabindex="-1"
      @keydown="tabKey"
    >
      <button
        v-for="id in SITUATIONS"
        :id="`tab-${id}`"
        :key="id"
        type="button"
        role="tab"
        class="flex flex-col items-center border-r border-ink py-0.5 last:border-0"
        :class="id === situation ? 'bg-ink text-sheet' : 'act'"
        :aria-selected="id === situation"
        aria-controls="situation-panel"
        :tabindex="id === situation ? 0 : -1"
        @click="situation = id"
      >
        <span>{{ id }}</span>
        <span class="figures text-xs">{{ short(id) }}</span>
        <span class="sr-only">{{ job.ladders[id].verdict }}</span>
      </button>
    </div>
    <RingsNote />
    <div id="situation-panel" role="tabpanel" :aria-labelledby="`tab-${situation}`" class="flex grow flex-col gap-1.5">
      <div ref="room" class="min-h-[218px] grow basis-0 overflow-y-auto max-lg:basis-[280px]">
        <LimitGauge
          :ladder="ladder"
          :before="before?.ladders[situation]"
          :selected="selected"
          :turning="path.load.unit === 'rad'"
          :height="Math.max(166, roomHeight - 52)"
          @select="selectRung"
        />
      </div>
      <div>
        <VerdictSaid :rung="selectedRung" />
        <p class="flex gap-4 text-xs">
          <button
            v-if="openRung && openRung.multiple !== undefined"
            type="button"
            class="act min-h-6"
            @click="emit('working', { of: 'rung', rung: openRung.id, situation }, `${openRung.name}, ${situation}`)"
          >
            Working
          </button>
          <button
            v-if="ladder.demand !== undefined"
            type="button"
            class="act min-h-6"
            @click="emit('working', { of: 'demand', situation }, `What the job demands, ${situation}`)"
          >
            Demand
          </button>
          <VerdictKey class="ml-auto" />
        </p>
      </div>
      <MendList
        v-if="needsMend"
        :search="search"
        :name="targetName"
        :first="target !== undefined && 'rung' in target"
        :hint="targetHint"
        @apply="apply"
      />
    </div>
    <InTheMatch :mechanism-id="mechanism.id" />
    <CheckList
      :checks="job.checks"
      :before="before?.checks"
      :chosen="chosen"
      @choose="chosen = { jobId, check: $event }"
      @working="emit('working', { of: 'check', check: $event.id }, $event.name)"
    />
    <p class="sr-only" aria-live="polite">{{ announcement }}</p>
  </section>
</template>
