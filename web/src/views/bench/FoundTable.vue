<script setup lang="ts">
import { FOUND, offExpected, type FoundFigure } from '@rough-gear/core';
import { useDisplay } from '../../composables/useDisplay.js';

/** The figures found: measured with their errors, beside what sheet or estimate says. */
defineProps<{ figures: readonly FoundFigure[] }>();
const { show, split } = useDisplay();
const MOST_DIGITS = 6;
/** Its error leaves a value so many digits of meaning. */
function digitsOf({ measured: { value, error } }: FoundFigure): number {
  if (!Number.isFinite(error) || !(error > 0) || value === 0) return 4;
  return Math.min(MOST_DIGITS, Math.max(2, Math.ceil(Math.log10(Math.abs(value / error))) + 1));
}
const unitOf = (figure: FoundFigure): string => split(figure.measured.value, FOUND[figure.key].dimension).unit;
const labelOf = (figure: FoundFigure): string =>
  [...new Set([FOUND[figure.key].name, unitOf(figure)])].filter(Boolean).join(', ');
/** In the unit of the label; with its own where that is another. */
function inUnitOf(figure: FoundFigure, value: number, significant: number): string {
  const { dimension } = FOUND[figure.key];
  const { number, unit } = split(value, dimension, significant);
  return unit === unitOf(figure) ? number : show(value, dimension, significant);
}
function measured(figure: FoundFigure): string {
  const { value, error } = figure.measured;
  const of = inUnitOf(figure, value, digitsOf(figure));
  return Number.isFinite(error) ? `${of} ± ${inUnitOf(figure, error, 1)}` : of;
}
/** In standard errors: what the readings themselves could be off by. */
function errorsOf(figure: FoundFigure): string {
  const errors = offExpected(figure)?.errors;
  return errors === undefined ? '' : `${Math.abs(errors).toFixed(1)} errors`;
}
function apart(figure: FoundFigure): string {
  const off = offExpected(figure);
  if (!off) return 'new';
  if (off.share === undefined) return '';
  const share = `${off.share < 0 ? '−' : '+'}${Math.abs(off.share * 100).toFixed(1)} %`;
  return share;
}
</script>

<template>
  <table class="w-full text-sm" data-testid="found">
    <thead>
      <tr class="text-second">
        <th scope="col" class="border-b border-ink px-1 text-left font-normal">figure</th>
        <th scope="col" class="border-b border-ink px-1 text-right font-normal">measured</th>
        <th scope="col" class="border-b border-ink px-1 text-right font-normal">expected</th>
        <th scope="col" class="border-b border-ink px-1 text-right font-normal">off by</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="figure in figures" :key="figure.key" :data-figure="figure.key">
        <th scope="row" class="border-b border-hair px-1 py-0.5 text-left font-normal">{{ labelOf(figure) }}</th>
        <td class="figures border-b border-hair px-1 text-right text-xs whitespace-nowrap">{{ measured(figure) }}</td>
        <td class="figures border-b border-hair px-1 text-right text-xs whitespace-nowrap">
          {{ figure.expected === undefined ? '–' : inUnitOf(figure, figure.expected, 4) }}
        </td>
        <td class="figures border-b border-hair px-1 text-right text-xs whitespace-nowrap">
          {{ apart(figure) }}<span v-if="errorsOf(figure)" class="block text-second">{{ errorsOf(figure) }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
