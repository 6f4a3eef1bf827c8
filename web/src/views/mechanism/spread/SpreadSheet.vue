<script setup lang="ts">
import {
  SPREAD_WORDS,
  spreadAmounts,
  spreadAmountsFor,
  TYPICAL_SPREAD,
  type Figure,
  type Quantity,
  type SpreadAmounts,
} from '@rough-gear/core';
import { computed } from 'vue';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import QuantityField from '../../../components/fields/QuantityField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { useSpread } from '../../../composables/useSpread.js';
import { usePlan } from '../../../stores/plan.js';

/** How far builds vary, how many pass what, and what to measure first. */
defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();

const plan = usePlan();
const { mechanism } = useMechanism();
const { spread, progress, start, stop } = useSpread();
const { show } = useDisplay();

const AMOUNTS: readonly { key: keyof SpreadAmounts; label: string }[] = [
  { key: 'constants', label: 'motor constants ±' },
  { key: 'friction', label: 'friction ±' },
  { key: 'mass', label: 'masses ±' },
  { key: 'efficiency', label: 'efficiency ±' },
  { key: 'leastCharge', label: 'charge from' },
  { key: 'mostCharge', label: 'charge to' },
];
const figures = computed(() =>
  AMOUNTS.map(({ key, label }): Figure => {
    const given: Quantity | undefined = plan.document?.spread?.[key];
    const value = spreadAmounts(plan.document ?? {})[key];
    return {
      key: `spread.${key}`,
      label,
      symbol: '',
      dimension: 'share',
      need: 'load',
      value: given?.si ?? TYPICAL_SPREAD[key] ?? value,
      source: given?.source ?? 'typical',
      at: ['spread', key],
      optional: false,
      ...(given ? { as: given.as } : { from: 'what real builds vary by' }),
    };
  }),
);
/** What turns this mechanism may differ more than usual: used, or wound by hand. */
const wider = computed(() => {
  const document = plan.document;
  if (!document) return '';
  const [usual, own] = [spreadAmounts(document), spreadAmountsFor(document, mechanism.value)];
  return own.constants > usual.constants || own.friction > usual.friction
    ? ` What turns ${mechanism.value.name} is second-hand or wound by hand: its constants are drawn within ± ${percent(own.constants)}, its friction within ± ${percent(own.friction)}.`
    : '';
});
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const change = (figure: Figure, to: Quantity | undefined) => [{ at: figure.at, to }];
</script>

<template>
  <BaseDialog :open="open" title="Spread of real builds" wide @close="$emit('close')">
    <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-6">
      <QuantityField
        v-for="figure in figures"
        :key="figure.key"
        :figure="figure"
        allow="share"
        @commit="plan.commit(change(figure, $event))"
      />
    </div>
    <p class="mt-2 flex items-baseline gap-4">
      <template v-if="progress !== undefined">
        <progress class="h-2 w-48 self-center" :value="progress" max="1" aria-label="Builds tried" />
        <button type="button" class="act min-h-6" @click="stop">stop</button>
      </template>
      <button v-else type="button" class="button" @click="start">Try 2 000 builds</button>
      <span class="text-xs text-second">Each is drawn evenly from these ranges, always the same 2 000.{{ wider }}</span>
    </p>
    <div v-if="spread" class="mt-3 grid gap-6 sm:grid-cols-[3fr_2fr]">
      <div class="max-h-[46vh] overflow-auto" tabindex="0" role="region" aria-label="How many builds pass">
        <table class="w-full text-sm">
          <thead class="sticky top-0 bg-sheet text-left">
            <tr class="border-b border-ink">
              <th scope="col">of {{ spread.count }}</th>
              <th scope="col" class="pl-3 text-right">does not give way</th>
              <th scope="col" class="pl-3 text-right">enough</th>
              <th scope="col" class="pl-3 text-right">5 to 95 %</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in spread.passing" :key="row.id" class="border-b border-hair" data-testid="passing">
              <td>{{ row.name }}</td>
              <td class="figures pl-3 text-right" :class="row.passes < spread.count ? 'font-semibold text-gives' : ''">
                {{ row.passes }}
              </td>
              <td class="figures pl-3 text-right">{{ row.enough }}</td>
              <td class="figures pl-3 text-right">
                {{ row.band ? `${row.band.low.toFixed(2)}–${row.band.high.toFixed(2)}×` : '' }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div>
        <h3>What to measure first</h3>
        <ol class="mb-3">
          <li v-for="one in spread.matters" :key="one.factor" class="border-b border-hair py-1">
            <span class="flex flex-wrap justify-between gap-x-2"
              ><b>{{ SPREAD_WORDS[one.factor].name }}</b
              ><span class="figures text-xs"
                >{{ percent(one.margin) }} of the margin, {{ percent(one.time) }} of the time</span
              ></span
            >
            <span class="text-xs text-second">{{ SPREAD_WORDS[one.factor].measure }}</span>
          </li>
        </ol>
        <p v-if="spread.time" class="figures text-sm">
          time {{ show(spread.time.low, 'time') }} · {{ show(spread.time.middle, 'time') }} ·
          {{ show(spread.time.high, 'time') }}
        </p>
        <p v-if="spread.peakSupplyCurrent" class="figures text-sm">
          peak from the pack {{ show(spread.peakSupplyCurrent.low, 'current') }} ·
          {{ show(spread.peakSupplyCurrent.middle, 'current') }} · {{ show(spread.peakSupplyCurrent.high, 'current') }}
        </p>
        <p class="text-xs text-second">
          5 %, half and 95 % of the builds stay below. The charts carry the band in grey.
        </p>
      </div>
    </div>
  </BaseDialog>
</template>
