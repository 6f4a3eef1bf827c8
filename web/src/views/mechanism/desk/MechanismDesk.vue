<script setup lang="ts">
import { useDisplay } from '../../../composables/useDisplay.js';
import { removeMechanism, workingOf, type Expression, type MechanismResult, type WorkingRef } from '@rough-gear/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { toast } from 'vue-sonner';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useEver } from '../../../composables/useEver.js';
import PowerPath from '../../../components/strip/PowerPath.vue';
import RatioRuler from '../../../components/ruler/RatioRuler.vue';
import { useMarks } from '../../../composables/useMarks.js';
import { provideMechanism } from '../../../composables/useMechanism.js';
import { provideSpread } from '../../../composables/useSpread.js';
import { usePlan } from '../../../stores/plan.js';
import ChoiceRow from '../choosing/ChoiceRow.vue';
import DeskCharts from './DeskCharts.vue';
import { sectionOf } from '../../models/sectionOf.js';
import GaugePanel from '../answer/GaugePanel.vue';
import GaugeLine from '../answer/GaugeLine.vue';
import LinkPanel from './LinkPanel.vue';
import MissingFigures from '../answer/MissingFigures.vue';
import SpreadLine from '../spread/SpreadLine.vue';
import { useChoosingTab } from '../choosing/useChoosing.js';
import { useTrainTab } from '../train/useTrain.js';

/** The open mechanism: power path above, the open link's fields, ruler and charts, the gauge at the side. */
const { mechanismId } = defineProps<{ mechanismId: string }>();
const emit = defineEmits<{
  result: [result: MechanismResult];
  working: [working: { expression: Expression; title: string; section: string }];
}>();

/** The train's desk comes with drawings of its own: it is loaded when it is first opened. */
const TrainDesk = defineAsyncComponent(() => import('../train/TrainDesk.vue'));
const trainTab = useTrainTab();
const WiringSheet = lazily(() => import('../panels/WiringSheet.vue'));
const ChoosingDesk = defineAsyncComponent(() => import('../choosing/ChoosingDesk.vue'));
const choosingTab = useChoosingTab();
const plan = usePlan();
const router = useRouter();
const context = provideMechanism(() => mechanismId);
const { mechanism, result, path, jobId, job, at } = context;
const { say } = useDisplay();
provideSpread(
  computed(() => mechanismId),
  jobId,
);
watch(result, (now) => emit('result', now), { immediate: true });

const canRun = computed(
  () => job.value.run !== undefined && (path.value.asked.travel ?? path.value.asked.target) !== undefined,
);
const marks = useMarks(
  computed(() => mechanismId),
  jobId,
  canRun,
);

function showWorking(ref: WorkingRef, title: string): void {
  const expression = workingOf(path.value, ref);
  if (expression) emit('working', { expression, title, section: sectionOf(ref) });
  else
    toast(
      ref.of === 'check'
        ? say(job.value.checks.find(({ id }) => id === ref.check)?.sentence ?? '')
        : 'Not known: a figure is missing.',
    );
}

const wiring = ref(false);
const everWired = useEver(() => wiring.value);
const renaming = ref(false);
const name = ref('');

function startRename(): void {
  name.value = mechanism.value.name;
  renaming.value = true;
}

function rename(): void {
  if (name.value.trim()) plan.commit([{ at: [...at.value, 'name'], to: name.value.trim() }]);
  renaming.value = false;
}

function remove(): void {
  const removed = mechanism.value;
  plan.commit(removeMechanism(context.plan.value, removed.id));
  toast(`${removed.name} is removed. Undo brings it back.`);
  void router.replace({
    name: 'mechanism',
    params: { planId: plan.id, mechanismId: context.plan.value.mechanisms[0]?.id ?? '' },
  });
}
</script>

<template>
  <div class="flex min-h-0 min-w-0 flex-col">
    <h1 class="sr-only">{{ mechanism.name }}</h1>
    <GaugeLine class="not-printed lg:hidden" />
    <PowerPath />
    <div class="grid min-h-0 grow lg:grid-cols-[minmax(0,1fr)_296px] lg:grid-rows-[minmax(0,1fr)]">
      <div class="relative flex min-h-0 min-w-0 flex-col gap-2 px-4 py-2 lg:overflow-y-auto">
        <ChoiceRow v-if="mechanism.choices.length > 1" class="not-printed" />
        <ChoosingDesk v-if="choosingTab" />
        <TrainDesk v-else-if="trainTab" />
        <section v-else aria-label="The open link"><LinkPanel @working="showWorking" /></section>
        <RatioRuler
          v-if="
            (path.machine !== 'servo' || path.stages.length > 0) && !choosingTab && (!trainTab || trainTab === 'stages')
          "
          :marks="marks.marks"
          :progress="canRun ? marks.progress : 1"
          @stop="marks.stop"
          @working="showWorking({ of: 'term', term: 'total' }, 'Total reduction')"
        />
        <template v-if="!trainTab && !choosingTab">
          <MissingFigures v-if="job.run === undefined" class="grow" />
          <template v-else>
            <DeskCharts />
            <SpreadLine />
          </template>
        </template>
        <div class="not-printed flex flex-wrap items-baseline gap-x-5 text-xs text-second">
          <span class="min-w-0 grow basis-64"
            >Guards, eye protection, a stop in reach, power off before hands go in. Local codes and event rules come
            first.</span
          >
          <button
            v-if="!choosingTab"
            type="button"
            class="act min-h-6 whitespace-nowrap"
            @click="choosingTab = 'shortlist'"
          >
            Search the shelf
          </button>
          <ChoiceRow v-if="mechanism.choices.length === 1" class="whitespace-nowrap" />
          <RouterLink
            class="act min-h-6 whitespace-nowrap"
            :to="{ name: 'bench', query: { robot: plan.document?.name, find: mechanism.name } }"
            >Measure</RouterLink
          >
          <button type="button" class="act min-h-6 whitespace-nowrap" @click="wiring = true">Wiring</button>
          <button type="button" class="act min-h-6 whitespace-nowrap" @click="startRename">Rename</button>
          <button type="button" class="act min-h-6 whitespace-nowrap" @click="remove">Remove mechanism</button>
        </div>
      </div>
      <GaugePanel
        id="gauge"
        class="min-h-0 border-ink max-lg:border-t lg:overflow-y-auto lg:border-l"
        @working="showWorking"
      />
    </div>
    <WiringSheet v-if="everWired" :open="wiring" @close="wiring = false" />
    <BaseDialog :open="renaming" title="Rename" @close="renaming = false">
      <form @submit.prevent="rename">
        <label for="mechanism-name" class="text-second">name of the mechanism</label>
        <input
          id="mechanism-name"
          v-model="name"
          maxlength="80"
          class="mb-4 w-full border-b border-ink bg-transparent py-1"
        />
        <div class="flex justify-end gap-3">
          <button type="submit" class="button main" :disabled="!name.trim()">Rename</button>
        </div>
      </form>
    </BaseDialog>
  </div>
</template>
