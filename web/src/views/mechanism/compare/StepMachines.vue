<script setup lang="ts">
import { digits, showMultiple, stepMachines, type StepMachineRow } from '@rough-gear/core';
import { computed, ref } from 'vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import FirstToGive from './FirstToGive.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';

/** A stepper on the shaft, and a step servo there and geared down, on this very axis; and what trying both costs. */
const { plan, path, mechanism, jobId, commit } = useStepMechanism();
const { show } = useDisplay();
const shelves = (['stepper', 'step-servo', 'driver'] as const).map((kind) => useShelf(kind));
shelves.forEach(({ load }) => void load());

const totals = ref<[number, number]>([2, 4]);
const pulleys = ref(18);
const rows = computed(() =>
  stepMachines(
    plan.value,
    mechanism.value.id,
    jobId.value,
    shelves.flatMap(({ shelf }) => shelf.value.parts),
    { reductions: totals.value, pulleyPrice: pulleys.value },
  ),
);
const distance = computed(() => (path.value.load.unit === 'm' ? ('length' as const) : ('angle' as const)));
const k = computed(() => path.value.asked.perCoordinate);
const cell = (value: number | undefined, say: (value: number) => string): string =>
  value === undefined || !Number.isFinite(value) ? '—' : say(value);

function take(row: StepMachineRow): void {
  commit(row.changes);
}
</script>

<template>
  <p class="mb-2 text-second">
    A stepper gives its torque at rest and turns on the shaft itself; beyond it steps are lost and nothing says so. A
    step servo gives less at rest, keeps it to high speed, and alarms: geared down it may do as well, for more money and
    more pulses.
  </p>
  <p class="mb-2 flex flex-wrap gap-x-6 gap-y-1">
    <MeasureField
      v-for="(total, i) in totals"
      :key="i"
      :value="total"
      dimension="ratio"
      :label="i === 0 ? 'step servo at' : 'and at'"
      :at-least="1"
      :most="100"
      class="w-16!"
      @read="totals[i] = $event"
    />
    <MeasureField
      :value="pulleys"
      dimension="number"
      label="one pulley set costs"
      :at-least="0"
      class="w-16!"
      @read="pulleys = $event"
    />
    <span class="text-second"
      >both sets to try: <b class="figures text-ink" data-testid="both-sets">{{ digits(2 * pulleys) }}</b></span
    >
  </p>
  <div class="overflow-x-auto">
    <table class="w-full text-sm" data-testid="step-machines">
      <thead class="text-left">
        <tr class="border-b border-ink">
          <th scope="col" class="pr-3">on this axis</th>
          <th scope="col" class="pr-3">what gives first</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">least margin</th>
          <th scope="col" class="pr-3 font-normal text-second">beyond it</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">one pulse</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">lag</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">pulses of those there</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">mass</th>
          <th scope="col" class="pr-3 text-right font-normal text-second">price</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.id"
          class="border-b border-hair align-baseline"
          :class="row.id === 'own' ? 'font-semibold' : ''"
        >
          <th scope="row" class="max-w-64 py-1 pr-3 text-left font-[inherit]">{{ row.label }}</th>
          <td class="pr-3"><FirstToGive :headline="row.headline" /></td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row.margin, showMultiple) }}
            <span class="block text-xs font-normal text-second"
              >at {{ cell(row.marginSpeed, (value) => show(value, 'speed', 2)) }}</span
            >
          </td>
          <td class="pr-3">{{ row.beyond }}</td>
          <td class="figures pr-3 text-right whitespace-nowrap">{{ show(row.pulse * k, distance, 2) }}</td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row.lag, (value) => show(value * k, distance, 2)) }}
          </td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row.pulseRate, (value) => show(value, 'rate', 2)) }} of
            {{ cell(row.pulsesThere, (value) => show(value, 'rate', 2)) }}
          </td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row.mass, (value) => show(value, 'mass', 2)) }}
          </td>
          <td class="figures pr-3 text-right whitespace-nowrap">
            {{ cell(row.price, (value) => show(value, 'number')) }}
          </td>
          <td class="text-right whitespace-nowrap">
            <span v-if="row.id === 'own'" class="text-xs text-second">as it is</span>
            <button v-else type="button" class="act min-h-6" @click="take(row)">Try it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
