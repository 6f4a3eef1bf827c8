<script setup lang="ts">
import { headlineText, showMultiple, type CorrectedFigure, type JudgedTwice } from '@rough-gear/core';
import { computed, shallowRef, toRaw, watch } from 'vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import { lazily } from '../../components/widgets/lazily.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { useBench } from '../../stores/bench.js';
import { coreWorker } from '../../workers/core.js';
import { dayText } from './bookWords.js';
import { useTrial } from './useTrial.js';

/** Beside the sheet: what taking it in would change, what was taken already, other specimens, and what to measure next. */
const TracedGo = lazily(() => import('./TracedGo.vue'));
const NextTrial = lazily(() => import('./NextTrial.vue'));
const OtherTrials = lazily(() => import('./OtherTrials.vue'));
const SpecimenTable = lazily(() => import('./SpecimenTable.vue'));
const bench = useBench();
const { trial, taking, plan: inPlan } = useTrial();
const { show } = useDisplay();
const judged = shallowRef<readonly JudgedTwice[]>([]);

let newest = 0;
watch(
  taking,
  async (now) => {
    const mine = ++newest;
    if (!now || !inPlan.value) {
      judged.value = [];
      return;
    }
    const answer = await coreWorker().judgedTwice(toRaw(inPlan.value), toRaw(now.after), now.partKey);
    if (mine !== newest) return;
    const { mechanismId } = trial.value.subject;
    judged.value =
      now.partKey === undefined
        ? answer.filter(({ id, before, after }) => id === mechanismId || before.multiple !== after.multiple)
        : answer;
  },
  { immediate: true },
);
const changed = computed(() => judged.value.filter((one) => one.changed));
const changeText = ({ before, after, dimension }: CorrectedFigure): string =>
  `${before === undefined ? '—' : show(before, dimension, 4)} → ${show(after, dimension, 4)}`;
const shown = ({ before, after }: JudgedTwice): string =>
  before.multiple === undefined || after.multiple === undefined
    ? after.verdict
    : `${showMultiple(before.multiple)} → ${showMultiple(after.multiple)}`;
const nothing = computed(() =>
  trial.value.subject.planId === undefined
    ? 'It was done on no robot: what it finds may go onto the shelf.'
    : 'Nothing yet: it finds nothing that its part has a figure for.',
);
/** Those nearest to giving way in front: what is uncertain matters there. */
const nearest = computed(() =>
  [...judged.value].sort((a, b) => (a.after.multiple ?? Infinity) - (b.after.multiple ?? Infinity)).map(({ id }) => id),
);
const same = computed(
  () =>
    taking.value !== undefined &&
    judged.value.length > 0 &&
    judged.value.every(({ before, after }) => before.multiple === after.multiple),
);
</script>

<template>
  <aside aria-label="What it changes" class="min-h-0 overflow-y-auto px-4 py-2">
    <section>
      <h2>What it changes</h2>
      <template v-if="taking">
        <p class="text-xs text-second">before → after, where this is used</p>
        <ul class="mt-1" data-testid="judged-twice">
          <li
            v-for="one in judged"
            :key="one.id"
            class="flex flex-wrap items-baseline gap-x-2 border-b border-hair py-1"
          >
            <VerdictRing :verdict="one.after.verdict" class="self-center" />
            <RouterLink
              class="act"
              :to="{ name: 'mechanism', params: { planId: trial.subject.planId, mechanismId: one.id } }"
              >{{ one.name }}</RouterLink
            >
            <span class="figures ml-auto text-sm whitespace-nowrap">{{ shown(one) }}</span>
            <span v-if="one.changed" class="basis-full text-sm text-tight"
              >{{ one.before.verdict }} → {{ one.after.verdict }}: {{ headlineText(one.after) }}</span
            >
          </li>
        </ul>
        <p v-if="same" class="mt-1 text-sm text-second">The plan has these figures, or they move nothing.</p>
        <p v-else-if="judged.length > 0 && changed.length === 0" class="mt-1 text-sm text-second">
          No verdict changes.
        </p>
        <details class="mt-2 text-sm" open>
          <summary>figures</summary>
          <dl>
            <div v-for="figure in taking.figures" :key="figure.label" class="flex flex-wrap justify-between gap-x-2">
              <dt>{{ figure.label }}</dt>
              <dd class="figures ml-auto text-xs whitespace-nowrap">
                {{ changeText(figure) }}
              </dd>
            </div>
          </dl>
        </details>
      </template>
      <p v-else class="text-sm text-second">{{ nothing }}</p>
    </section>
    <section v-if="bench.takings.length > 0" class="mt-4" data-testid="takings">
      <h2>Taken before</h2>
      <ul class="text-sm">
        <li v-for="one in bench.takings" :key="one.at" class="border-b border-hair py-1">
          {{ dayText(one.at) }}: {{ one.part }}{{ one.robot ? `, ${one.robot}` : '' }}
          <span v-for="figure in one.figures" :key="figure.label" class="block text-xs text-second"
            >{{ figure.label }} {{ changeText(figure) }}</span
          >
        </li>
      </ul>
    </section>
    <TracedGo v-if="(trial.kind === 'go' || trial.kind === 'logged-go') && inPlan" :plan="inPlan" />
    <SpecimenTable />
    <OtherTrials />
    <NextTrial v-if="inPlan" :plan="inPlan" :judged="nearest" />
  </aside>
</template>
