import type { CoilWiring } from '../../plan/document/part.js';

/** What the way of wiring changes. SI; of one phase, r.m.s. */
export interface CoilFigures {
  readonly phaseResistance: number;
  readonly phaseInductance: number;
  readonly ratedCurrent: number;
  readonly holdingTorque: number;
}

/** Against half of a coil: two in a row have twice the ohms and four times the henries, two side by side half the ohms. */
const OVER_HALF: Readonly<Record<CoilWiring, CoilFigures>> = {
  'half coil': { phaseResistance: 1, phaseInductance: 1, ratedCurrent: 1, holdingTorque: 1 },
  series: { phaseResistance: 2, phaseInductance: 4, ratedCurrent: Math.SQRT1_2, holdingTorque: Math.SQRT2 },
  parallel: { phaseResistance: 0.5, phaseInductance: 1, ratedCurrent: Math.SQRT2, holdingTorque: Math.SQRT2 },
};

/**
 * The ways a motor with so many wires can be joined; the two inner ends of six are one wire, so that they cannot lie side by
 * side.
 *
 * @example wiringsOf(6) //=> ['series', 'half coil']
 */
export const wiringsOf = (leads: 4 | 6 | 8): readonly CoilWiring[] =>
  leads === 4 ? ['series'] : leads === 6 ? ['series', 'half coil'] : ['series', 'parallel', 'half coil'];

/**
 * The same coils joined another way, at the current that warms them as much: in parallel a quarter of the ohms and henries of
 * the series, twice its current and its torque; half of a coil gives 1/√2 of the torque.
 * Source: Acarnley, Stepping Motors, chapter 5; copper heat I²·R kept equal.
 *
 * @example rewired({ phaseResistance: 2, phaseInductance: 0.008, ratedCurrent: 2, holdingTorque: 1 }, 'series', 'parallel') //=> { phaseResistance: 0.5, phaseInductance: 0.002, ratedCurrent: 4, holdingTorque: 1 }
 */
export function rewired(figures: CoilFigures, from: CoilWiring, to: CoilWiring): CoilFigures {
  const by = (key: keyof CoilFigures): number => figures[key] * (OVER_HALF[to][key] / OVER_HALF[from][key]);
  return {
    phaseResistance: by('phaseResistance'),
    phaseInductance: by('phaseInductance'),
    ratedCurrent: by('ratedCurrent'),
    holdingTorque: by('holdingTorque'),
  };
}
