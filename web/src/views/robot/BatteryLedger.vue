<script setup lang="ts">
import { digits, windingWords, type JudgedMatch } from '@rough-gear/core';
import { computed } from 'vue';
import { useChartInk } from '../../composables/useChartInk.js';
import { useDisplay } from '../../composables/useDisplay.js';
import { byEnergy, shadeOf } from './laneColours.js';

/** Who takes the battery’s energy: share, peak and heat by mechanism, as bars and as numbers. */
const { match } = defineProps<{ match: JudgedMatch }>();
const { show, say } = useDisplay();
const ink = useChartInk();

interface Row {
  readonly name: string;
  readonly share: number;
  readonly energy: number;
  readonly shade: string;
  readonly peak?: number | undefined;
  readonly heat?: { readonly peak: number; readonly limit: number } | undefined;
  readonly lacking?: string | undefined;
}
const rows = computed((): readonly Row[] => {
  const { lanes, energy, standing, wire } = match.result;
  const own = byEnergy(lanes)
    .map((i, place) => ({ ...lanes[i]!, shade: shadeOf(place, ink.value) }))
    .filter(({ energy: taken, lacking }) => taken > 0 || lacking !== undefined);
  const rest = [
    { name: 'always on', energy: standing },
    { name: 'main wire', energy: wire },
  ].filter((row) => row.energy > 0);
  const share = (taken: number) => (energy > 0 ? Math.max(0, taken / energy) : 0);
  return [
    ...own.map(({ name, energy: taken, peak, heat, shade, lacking }) => ({
      name,
      share: share(taken),
      energy: taken,
      peak,
      heat,
      shade,
      lacking,
    })),
    ...rest.map((row) => ({ ...row, share: share(row.energy), shade: ink.value.second })),
  ];
});
const charge = computed(() => {
  const { charge: taken, left } = match.result;
  const after = left === undefined ? '' : `, ${show(Math.max(0, left), 'share', 2)} left`;
  return `${show(taken, 'charge')} a match${after}`;
});
const percent = (share: number) => `${Math.round(100 * share)}%`;
</script>

<template>
  <section aria-label="Battery ledger">
    <h2 class="flex flex-wrap items-baseline gap-x-4 text-lg">
      Battery ledger <span class="text-sm font-normal text-second">{{ charge }}</span>
    </h2>
    <div class="overflow-x-auto">
      <table class="w-full text-sm" data-testid="ledger">
        <thead>
          <tr class="border-b border-ink text-right text-xs">
            <th scope="col" class="pr-3 text-left font-normal text-second">mechanism</th>
            <th scope="col" class="pr-3 text-left font-normal text-second sm:w-1/3">share of the energy</th>
            <th scope="col" class="pr-3 font-normal text-second">energy</th>
            <th scope="col" class="pr-3 font-normal text-second">peak</th>
            <th scope="col" class="font-normal text-second">hottest winding</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name" class="border-b border-hair">
            <th scope="row" class="py-0.5 pr-3 text-left font-normal">{{ row.name }}</th>
            <template v-if="row.lacking">
              <td colspan="4" class="text-second">stands still: {{ row.lacking }} is missing</td>
            </template>
            <template v-else>
              <td class="pr-3">
                <span class="flex items-center gap-2">
                  <span class="hidden h-2.5 grow border border-line sm:block" aria-hidden="true"
                    ><span class="block h-full" :style="{ width: percent(row.share), background: row.shade }"
                  /></span>
                  <span class="figures w-10 text-right">{{ percent(row.share) }}</span>
                </span>
              </td>
              <td class="figures pr-3 text-right whitespace-nowrap">{{ digits(row.energy / 1000) }} kJ</td>
              <td class="figures pr-3 text-right whitespace-nowrap">
                {{ row.peak !== undefined ? show(row.peak, 'current') : '' }}
              </td>
              <td class="figures text-right whitespace-nowrap">
                {{ row.heat ? say(windingWords(row.heat.peak, row.heat.limit)) : '–' }}
              </td>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
