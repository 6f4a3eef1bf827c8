<script setup lang="ts">
import {
  affordable,
  METAL_RANKS,
  SERVO_DECIDING,
  SERVO_FACTORS,
  SERVO_WEIGHT_SETS,
  SERVO_WORDS,
  servoScores,
  digits,
  gaveWayLast,
  showMultiple,
  weightedServo,
  type MetalRank,
  type Quantity,
  type ServoFactor,
  type ServoPart,
  type ServoScore,
} from '@rough-gear/core';
import { useStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';
import WishField from '../adding/WishField.vue';
import FirstToGive from './FirstToGive.vue';

/** The shelf's servos on this job: scores from numbers, weights from the person, two schools ready with their reasons. */
const { plan, mechanism, jobId, drive, commit } = useServoMechanism();
const { show } = useDisplay();
const { shelf, load } = useShelf('servo');
void load();

const weights = useStorage<Record<ServoFactor, number>>('rough-gear:servo-weights', {
  ...SERVO_WEIGHT_SETS[0]!.weights,
});
const rank = useStorage<MetalRank>('rough-gear:metal-rank', METAL_RANKS[0]!.id);
const all = ref(false);
const factors = computed(() => (all.value ? SERVO_FACTORS : SERVO_FACTORS.slice(0, SERVO_DECIDING)));
const school = computed(() =>
  SERVO_WEIGHT_SETS.find((set) => SERVO_FACTORS.every((factor) => set.weights[factor] === weights.value[factor])),
);
const rankReasons = computed(() => METAL_RANKS.find(({ id }) => id === rank.value)!.reasons);
const partOf = (score: ServoScore): ServoPart | undefined =>
  score.id === 'own'
    ? (plan.value.parts[drive.value.servo]!.part as ServoPart)
    : (shelf.value.parts.find(({ id }) => id === score.id)?.part as ServoPart | undefined);

const MOST = 7;
/** Money for one; what is not known is over it. */
const most = ref<Quantity>();
const within = ({ id, numbers: { price } }: ServoScore): boolean => id === 'own' || affordable(price, most.value);
const card = computed(() =>
  servoScores(plan.value, mechanism.value.id, jobId.value, shelf.value.parts, rank.value)
    .map((score) => {
      const part = partOf(score);
      return {
        ...score,
        total: weightedServo(score, weights.value),
        refused: part !== undefined && (school.value?.refuses(part) ?? false),
      };
    })
    .filter(within)
    .sort((a, b) => gaveWayLast(a, b) || Number(a.refused) - Number(b.refused) || b.total - a.total)
    // The best few, and always the one that is there.
    .filter((score, i) => i < MOST || score.id === 'own'),
);

function number(score: ServoScore, factor: ServoFactor): string {
  const { margin, timeShare, deadband, price, torquePerMass } = score.numbers;
  const part = partOf(score);
  switch (factor) {
    case 'torque margin':
      // A share of what is wanted, not times the job: what is shown in × is that.
      return margin === undefined ? '' : `${digits(100 * Math.min(margin, 9.99))} % of what it wants`;
    case 'speed':
      return timeShare === undefined ? 'not there' : showMultiple(timeShare);
    case 'deadband':
      return deadband === undefined ? '' : show(deadband, 'angle', 2);
    case 'price':
      return price === undefined ? '' : show(price, 'number');
    case 'torque per mass':
      return torquePerMass === undefined ? '' : torquePerMass.toFixed(1);
    case 'gears':
      return part?.gears ?? '';
    case 'signal':
      return part?.signal ?? '';
    case 'motor':
      return part?.motor ?? '';
    case 'case':
      return part?.caseMaterial ?? '';
    case 'bearing':
      return part?.bearing ?? '';
    case 'spline':
      return part?.splineTeeth === undefined ? '' : `${part.splineTeeth} teeth`;
    case 'sealing':
      return part?.sealing ?? '';
    default:
      return '';
  }
}

function take(score: ServoScore): void {
  commit(score.changes);
}
</script>

<template>
  <div class="mb-2 grid gap-x-6 gap-y-1 sm:grid-cols-[14rem_1fr]">
    <ChoiceField
      :value="school?.id ?? 'own'"
      label="weights"
      :options="[
        ...SERVO_WEIGHT_SETS.map(({ id, name }) => ({ value: id, text: name })),
        ...(school ? [] : [{ value: 'own', text: 'my own' }]),
      ]"
      @change="weights = { ...(SERVO_WEIGHT_SETS.find(({ id }) => id === $event)?.weights ?? weights) }"
    />
    <p class="self-end text-sm text-second">{{ school?.reasons ?? 'Weights of your own: 0 leaves a factor out.' }}</p>
    <ChoiceField
      :value="rank"
      label="hard gears"
      :options="METAL_RANKS.map(({ id }) => ({ value: id, text: id }))"
      @change="rank = $event"
    />
    <p class="self-end text-sm text-second">{{ rankReasons }}</p>
    <WishField v-model="most" label="at most to pay for one" dimension="number" hint="no limit" />
    <p class="self-end text-sm text-second">What costs more, or does not say what it costs, is out.</p>
  </div>
  <div class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="servo-scores">
      <thead>
        <tr class="border-b border-ink text-left align-bottom">
          <th scope="col" class="pr-3">servo</th>
          <th scope="col" class="pr-3">what gives first</th>
          <th
            v-for="factor in factors"
            :key="factor"
            scope="col"
            class="max-w-24 pr-2 text-xs font-normal text-second"
            :title="SERVO_WORDS[factor].says"
          >
            {{ SERVO_WORDS[factor].name }}
            <MeasureField
              :value="weights[factor]"
              dimension="number"
              :label="`Weight of ${SERVO_WORDS[factor].name}: ${SERVO_WORDS[factor].says}`"
              label-hidden
              :at-least="0"
              :most="9"
              class="w-10! text-ink"
              @read="weights[factor] = $event"
            />
          </th>
          <th scope="col" class="pr-2 text-right">score</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="score in card"
          :key="score.id"
          class="border-b border-hair align-baseline"
          :class="score.id === 'own' ? 'font-semibold' : ''"
        >
          <th scope="row" class="max-w-56 py-1 pr-3 text-left font-[inherit]">
            {{ score.name }}
            <span v-if="score.refused" class="block text-xs font-normal text-gives">this school does not take it</span>
          </th>
          <td class="pr-3">
            <FirstToGive :headline="score.headline" />
          </td>
          <td v-for="factor in factors" :key="factor" class="figures pr-2 text-xs font-normal">
            <template v-if="score.scores[factor] !== undefined">
              <span class="block h-1.5 w-14 bg-hair" aria-hidden="true"
                ><span class="block h-full bg-ink" :style="{ width: `${100 * score.scores[factor]!}%` }"></span></span
              >{{ number(score, factor) || score.scores[factor]!.toFixed(2) }}
            </template>
            <span v-else class="text-second">not said</span>
          </td>
          <td class="figures pr-2 text-right">{{ score.total.toFixed(2) }}</td>
          <td class="text-right whitespace-nowrap">
            <span v-if="score.id === 'own'" class="text-xs text-second">as it is</span>
            <button v-else type="button" class="act min-h-6" @click="take(score)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p class="mt-2 flex flex-wrap gap-x-6 text-xs text-second">
    <button type="button" class="act min-h-6" :aria-expanded="all" @click="all = !all">
      {{ all ? 'The six that decide' : `${SERVO_FACTORS.length - SERVO_DECIDING} more factors` }}
    </button>
    <span>{{ factors.map((factor) => `${SERVO_WORDS[factor].name}: ${SERVO_WORDS[factor].says}`).join('. ') }}.</span>
  </p>
</template>
