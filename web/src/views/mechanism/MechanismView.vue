<script setup lang="ts">
import type { Expression, MechanismResult } from '@rough-gear/core';
import { until } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { usePlan } from '../../stores/plan.js';
import { useResults } from '../../composables/useResults.js';
import LeftNotice from './desk/LeftNotice.vue';
import MechanismDesk from './desk/MechanismDesk.vue';
import MechanismList from './desk/MechanismList.vue';
import StaleNotice from './desk/StaleNotice.vue';
import { lazily } from '../../components/widgets/lazily.js';
import { useEver } from '../../composables/useEver.js';
import { provideRobotVerdict } from '../../composables/useRobotVerdict.js';
import { whenIdle } from '../../workers/idle.js';

/** One robot: its mechanisms at the left, beside them the whole robot or the mechanism that is open. */
const { planId, mechanismId = '' } = defineProps<{ planId: string; mechanismId?: string; link?: string }>();

const loadRobot = () => import('../robot/RobotDesk.vue');
const RobotDesk = lazily(loadRobot);
const AddMechanism = lazily(() => import('./adding/AddMechanism.vue'));
const WorkingSheet = lazily(() => import('../../components/working/WorkingSheet.vue'));

const plan = usePlan();
// It comes after the mechanism that is open, and not only when it is asked for: by then the network may be gone.
until(() => plan.document)
  .toBeTruthy()
  .then(whenIdle)
  .then(loadRobot)
  .catch(() => undefined);
const router = useRouter();
const results = useResults();
provideRobotVerdict(results);
const adding = ref(false);
const menuOpen = ref(false);
const current = shallowRef<MechanismResult>();
const working = shallowRef<{ expression: Expression; title: string; section: string }>();
const everAdding = useEver(() => adding.value);
const everWorking = useEver(() => working.value !== undefined);

watch(
  () => planId,
  (id) => void plan.open(id),
  { immediate: true },
);
// A robot that was open before is still in the store until its edits are sent: it is not shown at the address of this one.
const robotHere = computed(() => (plan.id === planId ? plan.document : undefined));
const open = computed(() => robotHere.value?.mechanisms.find(({ id }) => id === mechanismId));
// A mechanism that is gone opens the whole robot.
watch(
  [robotHere, () => mechanismId],
  ([document]) => {
    if (document && !open.value) {
      current.value = undefined;
      if (mechanismId) void router.replace({ name: 'mechanism', params: { planId } });
    }
    if (document)
      globalThis.document.title = `${document.name}${open.value ? `, ${open.value.name}` : ''} · Rough Gear`;
  },
  { immediate: true },
);
watch(
  () => mechanismId,
  () => (menuOpen.value = false),
);
</script>

<template>
  <StaleNotice v-if="plan.state === 'clash'" />
  <LeftNotice v-for="draft in plan.left" :key="draft.key" :draft="draft" />
  <div v-if="plan.id === planId && plan.failure" role="alert" class="p-8">
    <p>This plan could not be opened: {{ plan.failure }}.</p>
    <p>
      <RouterLink class="act underline" to="/robots">To the robots</RouterLink>
      <button type="button" class="act ml-4 underline" @click="plan.open(planId)">Try again</button>
    </p>
  </div>
  <p v-else-if="!robotHere" role="status" class="p-8 text-second">Opening the plan …</p>
  <div v-else class="grid min-h-0 grow lg:grid-cols-[188px_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
    <aside class="flex min-h-0 flex-col border-ink max-lg:border-b lg:border-r">
      <button
        type="button"
        class="act flex min-h-10 w-full items-center px-4 lg:hidden"
        :aria-expanded="menuOpen"
        @click="menuOpen = !menuOpen"
      >
        Mechanisms of {{ robotHere.name }}
      </button>
      <MechanismList
        :class="menuOpen ? '' : 'max-lg:hidden'"
        :results="results"
        :current="open ? current : undefined"
        :open="!open"
        @add="adding = true"
      />
    </aside>
    <MechanismDesk
      v-if="open"
      :key="open.id"
      :mechanism-id="open.id"
      @result="current = $event"
      @working="working = $event"
    />
    <RobotDesk v-else-if="robotHere.mechanisms.length > 0" :key="planId" />
    <div v-else class="squared grid place-items-center p-10 text-center">
      <div class="max-w-sm border border-ink bg-sheet p-6">
        <h1 class="mb-2 text-lg">{{ robotHere.name }} has no mechanism yet</h1>
        <p class="mb-4 text-second">Say what must move, how far, in what time: the first answer comes at once.</p>
        <button type="button" class="button main" @click="adding = true">Add a mechanism</button>
      </div>
    </div>
  </div>
  <AddMechanism v-if="everAdding" :open="adding" @close="adding = false" />
  <WorkingSheet
    v-if="everWorking"
    :working="working?.expression"
    :title="working?.title ?? ''"
    :section="working?.section"
    @close="working = undefined"
  />
</template>
