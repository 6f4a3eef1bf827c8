<script setup lang="ts">
import { useDisplay } from '../../../../composables/useDisplay.js';
import {
  adoptFound,
  choiceWords,
  measureChoice,
  rankByOrder,
  rankByWeights,
  type ChoosingSchool,
  type Found,
  type InTeeth,
  type WantId,
} from '@rough-gear/core';
import { computed, nextTick, onMounted, ref, shallowRef, toRaw, watch } from 'vue';
import { toast } from 'vue-sonner';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { useWholeShelf } from '../../../../stores/shelf.js';
import { coreWorker } from '../../../../workers/core.js';
import { logged } from '../reasons/logged.js';
import ChoosingSchools from './ChoosingSchools.vue';
import FallenList from './FallenList.vue';
import FoundScatter from './FoundScatter.vue';
import FoundSheet from './FoundSheet.vue';
import FoundTable from './FoundTable.vue';
import RangeFields, { type WantRange } from './RangeFields.vue';
import ShortlistForm from './ShortlistForm.vue';
import { useQuery } from './useQuery.js';
import { useShortlist } from './useShortlist.js';
import WantWeights from './WantWeights.vue';

const { say } = useDisplay();

/** Out of everything on the shelf: what does this job, which are the sensible few, and why the others are not. */
const { plan, mechanism, choice, jobId, link, commit } = useMechanism();
const shelf = useWholeShelf();
const { asked, rankBy, numbers, wants, open, comparable, problem, query, begin } = useQuery();
const { found, searched, running, failure, search, stop } = useShortlist();
onMounted(() => void shelf.load());

/** Musts are asked of what turns it: of motors or servos. */
const kind = computed(
  () => ({ dc: 'motor', servo: 'servo', step: undefined })[choice.value.drive.kind] as 'motor' | 'servo' | undefined,
);
const ofKind = computed(() => shelf.offered.map(({ part }) => part).filter((part) => part.kind === kind.value));

const chosen = shallowRef<Found>();
const x = ref<WantId>('price');
const y = ref<WantId>('time');
const ranges = ref<readonly WantRange[]>([]);
watch([() => mechanism.value.id, found], ([id], [before]) => {
  if (id !== before || !found.value) chosen.value = undefined;
});

const now = computed(() => measureChoice(plan.value, mechanism.value, mechanism.value.current, jobId.value).figures);
const within = ({ figures }: Found) =>
  ranges.value.every(({ want, least, most }) => {
    const value = figures[want];
    return value !== undefined && value >= (least ?? -Infinity) && value <= (most ?? Infinity);
  });
const front = computed(() => (found.value?.front ?? []).filter(within));
const ranked = computed(() => {
  if (rankBy.value === 'weights') return rankByWeights(front.value, { ...numbers }).map(({ candidate }) => candidate);
  return rankByOrder(
    front.value,
    [...wants.value].sort((a, b) => numbers[a] - numbers[b]),
  );
});
/** A want that the search did not count: designs that are good in it alone may have been left out. */
const uncounted = computed(() => wants.value.some((want) => !searched.value?.query.wants.includes(want)));
const stale = computed(() => searched.value !== undefined && toRaw(searched.value.plan) !== toRaw(plan.value));

function start(): void {
  if (query.value) void search(toRaw(plan.value), query.value, shelf.offered);
}

const form = ref<InstanceType<typeof ShortlistForm>>();
/** A school sets the form; where it begins with money, the ceiling is asked for before the search. */
function beginBy(school: ChoosingSchool): void {
  begin(school);
  if (school.asksForMoney) form.value?.askForMoney();
  else void nextTick(start);
}

const teeth = shallowRef<InTeeth>();
const making = ref(false);
watch(chosen, (next) => {
  if (!next?.train) teeth.value = undefined;
});
async function makeInTeeth(): Promise<void> {
  const [wanted, asking] = [chosen.value, searched.value];
  if (!wanted || !asking) return;
  making.value = true;
  const made = await coreWorker().inTeeth(toRaw(asking.plan), asking.query, wanted, shelf.offered.map(toRaw), {
    kinds: ['teeth', 'chain', 'belt'],
    mostStages: 2,
    leastTeeth: 14,
    within: 0.05,
    boring: true,
  });
  making.value = false;
  if (made && chosen.value === wanted) teeth.value = made;
}
const saidOfTeeth = computed(() => {
  const made = teeth.value;
  if (!made) return '';
  const fell = made.fallen.map(({ reason, candidates }) => `${candidates} ${reason}`).join(' · ');
  const count = made.designs.length === 0 ? 'No train off the shelf does it' : `${made.designs.length} that hold`;
  return fell ? `${count}; fell out: ${fell}` : count;
});

function adopt(as: 'replace' | 'beside', why: string): void {
  const taken = chosen.value;
  if (!taken) return;
  try {
    const changes = adoptFound(plan.value, mechanism.value.id, taken, as);
    if (as === 'beside') {
      commit(changes);
      toast(`${taken.motor} stands beside the choice in force, which stays in force.`);
      return;
    }
    const over = { words: choiceWords(plan.value, mechanism.value, choice.value), figures: now.value };
    commit(logged(plan.value, mechanism.value.id, jobId.value, changes, over, why, say));
    link.value = 'motor';
    chosen.value = undefined;
    toast(`${taken.motor} is in place, and the reason is in the log. Undo brings the old one back.`);
  } catch (failed) {
    toast.error((failed as Error).message);
  }
}
</script>

<template>
  <ShortlistForm
    ref="form"
    v-model="asked"
    :running="running"
    :ready="query !== undefined && shelf.state === 'there'"
    :open="open"
    :comparable="comparable"
    :kind="kind"
    :parts="ofKind"
    @search="start"
    @stop="stop"
  />
  <WantWeights v-model="numbers" v-model:rank-by="rankBy" />
  <p v-if="problem" role="alert" class="text-sm text-gives">{{ problem }}</p>
  <p v-if="shelf.state === 'away'" role="alert" class="text-sm text-gives">{{ shelf.failure }}</p>
  <p v-if="failure" role="alert" class="text-sm text-gives">The search ended: {{ failure }}</p>
  <p v-if="!found && running" class="squared grid grow place-items-center p-6 text-second" role="status">
    Looking through the shelf …
  </p>
  <ChoosingSchools v-else-if="!found" @begin="beginBy" />
  <template v-else>
    <p v-if="uncounted && !running" class="text-xs text-tight">
      A want was added since: search again, so that designs good in it alone are found.
    </p>
    <p v-if="stale" class="text-xs text-tight">The plan has changed since this was searched: search again.</p>
    <template v-if="found.front.length > 0">
      <div class="grid gap-3" :class="chosen ? 'lg:grid-cols-[minmax(0,1fr)_290px]' : ''">
        <div class="flex min-w-0 flex-col gap-2">
          <FallenList :found="found" :running="running" />
          <RangeFields v-model="ranges" :wants="wants" />
          <FoundScatter
            v-model:x="x"
            v-model:y="y"
            :front="front"
            :chosen="chosen"
            :now="now"
            class="!h-[270px]"
            @choose="chosen = $event"
          />
        </div>
        <FoundSheet
          v-if="chosen && searched"
          :found="chosen"
          :plan="searched.plan"
          :designs="teeth?.designs ?? []"
          :busy="making"
          :said="saidOfTeeth"
          class="self-start lg:sticky lg:top-0"
          @adopt="adopt"
          @teeth="makeInTeeth"
          @choose="chosen = $event"
        />
      </div>
      <FoundTable :ranked="ranked" :wants="wants" :chosen="chosen" @choose="chosen = $event" />
    </template>
    <template v-else>
      <FallenList :found="found" :running="running" />
      <p v-if="!running" class="text-second">
        Nothing on the shelf does this job as it is asked. What most fell for says what to change: more motors, a wider
        range of totals, a higher ceiling, or an easier job.
      </p>
    </template>
  </template>
</template>
