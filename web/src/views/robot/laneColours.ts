import type { ChartInk } from '../../composables/useChartInk.js';

/** The greatest takers have a shade of their own; the rest lies on top as one. */
export const OWN_SHADES = 3;

/** Lanes by what they took, the greatest first. */
export const byEnergy = (lanes: readonly { readonly energy: number }[]): readonly number[] =>
  lanes
    .map(({ energy }, i) => ({ i, energy }))
    .sort((a, b) => b.energy - a.energy)
    .map(({ i }) => i);

/** Shades for a place among the greatest takers. */
export const shadeOf = (place: number, ink: ChartInk): string => [ink.a, ink.b, ink.act][place] ?? ink.second;
