<script setup lang="ts">
import {
  affordable,
  DECIDING_FACTORS,
  digits,
  likeInCan,
  LIKES,
  rankScores,
  SCORE_FACTORS,
  SCORE_WORDS,
  WEIGHT_SETS,
  type CandidateScore,
  type Like,
  type Quantity,
  type ScoreFactor,
} from '@rough-gear/core';
import { useStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import WishField from '../adding/WishField.vue';
import { lastsText } from './lastsText.js';
import FirstToGive from './FirstToGive.vue';
import { useScores } from './useScores.js';
import { outputUnits } from '../../../components/charts/forceChart.js';

/** Brushed or brushless on this job: scores from numbers, weights from the person, two schools ready with their reasons. */
const { path, commit } = useMechanism();
const { show } = useDisplay();
const motors = useShelf('motor');
const controllers = useShelf('controller');
void motors.load();
void controllers.load();

/** The person's own, kept in the browser as a preference is. */
const weights = useStorage<Record<ScoreFactor, number>>('rough-gear:weights', { ...WEIGHT_SETS[0]!.weights });
/** What the others are alike in: the job alone, or more. */
const like = ref<Like>('job');
const all = ref(false);
const factors = computed(() => (all.value ? SCORE_FACTORS : SCORE_FACTORS.slice(0, DECIDING_FACTORS)));
const school = computed(() =>
  WEIGHT_SETS.find((set) => SCORE_FACTORS.every((factor) => set.weights[factor] === weights.value[factor])),
);

/** Money for motors and controllers; what is not known is over it. */
const most = ref<Quantity>();
const measured = useScores(
  computed(() => [...motors.shelf.value.parts, ...controllers.shelf.value.parts]),
  like,
);
const ranked = computed(() => rankScores(measured.value, weights.value));
const within = ({ changes, numbers: { price } }: CandidateScore): boolean =>
  changes.length === 0 || affordable(price, most.value);
const card = computed(() => ranked.value.filter(within));
const over = computed(() => ranked.value.length - card.value.length);
const speedUnit = computed(() => outputUnits(path.value).speed);

/** The number behind a score, where there is one. */
function number(score: CandidateScore, factor: ScoreFactor): string {
  const { price, leastSpeed, efficiency, brushHours, torquePerMass, freeSpeed } = score.numbers;
  switch (factor) {
    case 'cost':
      return price === undefined ? '' : show(price, 'number');
    case 'slow control':
      return leastSpeed === undefined ? '' : show(leastSpeed, speedUnit.value, 2);
    case 'efficiency':
      return efficiency === undefined ? '' : show(efficiency, 'share', 2);
    case 'wear':
      return brushHours === undefined ? '' : brushHours === Infinity ? 'none' : `last ${digits(brushHours, 2)} h`;
    case 'torque per mass':
      return torquePerMass === undefined ? '' : torquePerMass.toFixed(3);
    case 'highest speed':
      return freeSpeed === undefined ? '' : show(freeSpeed, 'speed');
    default:
      return '';
  }
}

/** Minutes on this pack, today's beside the rival's. */
const runsFor = ({ numbers: { runTime } }: CandidateScore): string =>
  runTime === undefined ? '—' : lastsText(runTime);

function take(score: CandidateScore): void {
  commit(score.changes);
}
const bar = (value: number | undefined): string => `${Math.round((value ?? 0) * 100)}%`;
</script>

<template>
  <p class="mb-1 text-second">
    One school says brushes are unbeaten for creeping, the other that sensors and better start-up have closed it: the
    least speed of each stands here, on this mechanism.
  </p>
  <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
    <span>Weights:</span>
    <ChoiceTabs
      :model-value="school?.id ?? ''"
      :options="WEIGHT_SETS.map(({ id, name }) => ({ value: id, text: name }))"
      label="Ready weights"
      class="flex-wrap gap-x-4"
      @update:model-value="(id: string) => (weights = { ...WEIGHT_SETS.find((set) => set.id === id)!.weights })"
    />
    <span v-if="!school" class="font-semibold">your own</span>
    <button type="button" class="act ml-auto min-h-6" :aria-expanded="all" @click="all = !all">
      {{ all ? 'the six that decide' : `all ${SCORE_FACTORS.length} factors` }}
    </button>
  </div>
  <p v-if="school" class="mb-2 max-w-3xl border-l-3 border-line pl-2 text-sm text-second">{{ school.reasons }}</p>
  <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
    <span>Alike in:</span>
    <ChoiceTabs
      v-model="like"
      :options="LIKES.map(({ id, name }) => ({ value: id, text: name }))"
      label="What is kept alike"
      class="flex-wrap gap-x-4"
    />
    <span class="text-xs text-second">{{ LIKES.find(({ id }) => id === like)!.says }}</span>
  </div>
  <div class="mb-2 flex flex-wrap items-end gap-x-4">
    <WishField v-model="most" label="at most to pay" dimension="number" hint="no limit" class="w-40" />
    <p v-if="over > 0" class="text-sm" role="status">
      {{ over === 1 ? 'One costs' : `${over} cost` }} more, or their price is not known: they are out.
    </p>
  </div>
  <p v-if="ranked.length < 2" class="mb-2 text-sm text-tight">
    Nothing else on the shelf is alike in that{{
      likeInCan(like)
        ? ', or the width of this motor’s can is not known'
        : like === 'mass'
          ? ', or the mass of this motor is not known'
          : ''
    }}.
  </p>
  <div class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="scores">
      <thead>
        <tr class="border-b border-ink text-left align-bottom">
          <th scope="col">factor, weight</th>
          <th v-for="score in card" :key="score.id" scope="col" class="max-w-36 pl-3 text-xs">
            {{ score.name
            }}<span v-if="score.changes.length === 0" class="block font-normal text-second">as it is</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr class="border-b border-hair">
          <th scope="row" class="py-1 text-left align-top font-normal">over all jobs</th>
          <td v-for="score in card" :key="score.id" class="pl-3 align-top text-xs">
            <FirstToGive :headline="score.headline" />
            <span v-if="!score.note" class="figures block text-second">{{ show(score.total, 'ratio') }}</span>
            <span v-if="score.note" class="block text-gives">{{ score.note }}</span>
            <button v-if="score.changes.length > 0" type="button" class="act min-h-6" @click="take(score)">
              Try it
            </button>
          </td>
        </tr>
        <tr v-for="factor in factors" :key="factor" class="border-b border-hair">
          <th scope="row" class="py-1 text-left font-normal" :title="SCORE_WORDS[factor].says">
            <label class="flex items-center gap-2">
              <input
                v-model.number="weights[factor]"
                type="range"
                min="0"
                max="5"
                step="1"
                class="w-20"
                :aria-label="`weight of ${SCORE_WORDS[factor].name}`"
              />
              <span class="figures w-3">{{ weights[factor] }}</span>
              <span>{{ SCORE_WORDS[factor].name }}</span>
            </label>
          </th>
          <td v-for="score in card" :key="score.id" class="pl-3">
            <span v-if="score.scores[factor] === undefined" class="text-xs text-second">not known</span>
            <span v-else class="flex items-center gap-2">
              <span
                role="img"
                class="block h-2 w-14 shrink-0 border border-line"
                :aria-label="`${score.name}: ${bar(score.scores[factor])}`"
                ><span class="block h-full bg-ink" :style="{ width: bar(score.scores[factor]) }"
              /></span>
              <span class="figures text-xs whitespace-nowrap">{{ number(score, factor) }}</span>
            </span>
          </td>
        </tr>
        <tr class="font-semibold">
          <th scope="row" class="py-1 text-left">weighted</th>
          <td v-for="score in card" :key="score.id" class="figures pl-3">{{ bar(score.weighted) }}</td>
        </tr>
        <tr class="border-b border-hair">
          <th
            scope="row"
            class="py-1 text-left font-normal"
            title="this job over and over, with nothing else on the pack; none where it does not get there"
          >
            the pack lasts
          </th>
          <td v-for="score in card" :key="score.id" class="figures pl-3 text-xs" data-testid="runs-for">
            {{ runsFor(score) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
