<script setup lang="ts">
import { DESKS, type DeskId } from '@rough-gear/contract/find';
import { workingOf, type Expression, type MechanismResult, type WorkingRef } from '@rough-gear/core';
import { computed, watch, type Component } from 'vue';
import { toast } from 'vue-sonner';
import PowerPath from '../../../components/strip/PowerPath.vue';
import RatioRuler from '../../../components/ruler/RatioRuler.vue';
import { lazily } from '../../../components/widgets/lazily.js';
import { useDesk } from '../../../composables/useDesk.js';
import { useAskedFigure } from '../../../composables/useAskedFigure.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMarks } from '../../../composables/useMarks.js';
import { provideMechanism } from '../../../composables/useMechanism.js';
import { provideSpread } from '../../../composables/useSpread.js';
import VerdictWord from '../../../components/verdict/VerdictWord.vue';
import NextRoom from '../../../rooms/NextRoom.vue';
import GaugeLine from '../answer/GaugeLine.vue';
import GaugePanel from '../answer/GaugePanel.vue';
import MissingFigures from '../answer/MissingFigures.vue';
import ChoiceRow from '../choosing/ChoiceRow.vue';
import SpreadLine from '../spread/SpreadLine.vue';
import { sectionOf } from '../../models/sectionOf.js';
import DeskBar from './DeskBar.vue';
import DeskCharts from './DeskCharts.vue';
import LinkPanel from './LinkPanel.vue';

/** The open mechanism: power path and desks above, the open desk below, the gauge at the side. */
const { mechanismId } = defineProps<{ mechanismId: string }>();
const emit = defineEmits<{
  result: [result: MechanismResult];
  working: [working: { expression: Expression; title: string; section: string }];
}>();

/** What a desk is made of is fetched when it is first opened; the figures of the open link are there at once. */
const PAGES: Readonly<Record<Exclude<DeskId, 'figures'>, Component>> = {
  ratio: lazily(() => import('../choosing/RatioSweep.vue')),
  speed: lazily(() => import('../choosing/GearForSpeed.vue')),
  teeth: lazily(() => import('../train/TrainDesk.vue')),
  compare: lazily(() => import('../compare/CompareDesk.vue')),
  shortlist: lazily(() => import('../choosing/shortlist/ShortlistPage.vue')),
  side: lazily(() => import('../choosing/side/SideBySide.vue')),
  wires: lazily(() => import('./WiresDesk.vue')),
  reasons: lazily(() => import('../choosing/reasons/ReasonsLog.vue')),
};
const { desk, page } = useDesk();
const { mechanism, result, path, jobId, job } = provideMechanism(() => mechanismId);
const { say } = useDisplay();
useAskedFigure();
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
/** The ruler stands where the ratio is in hand: beside the figures, and under the stages. */
const ruled = computed(
  () =>
    (path.value.machine !== 'servo' || path.value.stages.length > 0) &&
    (desk.value === 'figures' || (desk.value === 'teeth' && ['', 'stages'].includes(page.value))),
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
</script>

<template>
  <div class="flex min-h-0 min-w-0 flex-col">
    <h1 class="sr-only">{{ mechanism.name }}</h1>
    <GaugeLine v-if="desk !== 'compare'" class="not-printed lg:hidden" />
    <PowerPath />
    <!-- What is compared has its own verdicts, row by row, and needs the width. -->
    <div
      class="grid min-h-0 grow lg:grid-rows-[minmax(0,1fr)]"
      :class="desk === 'compare' ? '' : 'lg:grid-cols-[minmax(0,1fr)_296px]'"
    >
      <div class="flex min-h-0 min-w-0 flex-col">
        <DeskBar />
        <div class="relative flex min-h-0 min-w-0 grow flex-col gap-2 px-4 py-2 lg:overflow-y-auto">
          <ChoiceRow v-if="mechanism.choices.length > 1 || desk === 'side'" class="not-printed" />
          <section v-if="desk === 'figures'" aria-label="The open link"><LinkPanel @working="showWorking" /></section>
          <section
            v-else
            :aria-label="DESKS[desk]"
            class="flex grow flex-col gap-2"
            :class="desk === 'teeth' ? 'min-h-0' : 'shrink-0'"
          >
            <component :is="PAGES[desk]" />
          </section>
          <RatioRuler
            v-if="ruled"
            :marks="marks.marks"
            :progress="canRun ? marks.progress : 1"
            @stop="marks.stop"
            @working="showWorking({ of: 'term', term: 'total' }, 'Total reduction')"
          />
          <template v-if="desk === 'figures'">
            <MissingFigures v-if="job.run === undefined" class="grow" />
            <template v-else>
              <DeskCharts />
              <SpreadLine />
            </template>
          </template>
          <NextRoom of="mechanisms"> Judged alone: <VerdictWord :verdict="result.headline.verdict" />. </NextRoom>
          <p class="not-printed text-xs text-second">
            Guards, eye protection, a stop in reach, power off before hands go in. Local codes and event rules come
            first.
          </p>
        </div>
      </div>
      <GaugePanel
        v-if="desk !== 'compare'"
        id="gauge"
        class="min-h-0 border-ink max-lg:border-t lg:overflow-y-auto lg:border-l"
        @working="showWorking"
      />
    </div>
  </div>
</template>
