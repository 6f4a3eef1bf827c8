import type { Chemistry } from '../../plan/document/part.js';
import { CELLS } from './cells.js';
import { cellRestVoltage } from './restVoltage.js';

/** A pack of S cells in series and P in parallel; of a bench supply S is its volts. Resistances in Ω. */
export interface PackFigures {
  readonly chemistry: Chemistry;
  readonly series: number;
  readonly parallel: number;
  readonly cellResistance: number;
  readonly leadResistance: number;
}

/**
 * Voc = S·cell at the state of charge.
 *
 * @example packRestVoltage(pack, 1) //=> 25.2
 */
export const packRestVoltage = (pack: PackFigures, charge: number): number =>
  pack.series * cellRestVoltage(pack.chemistry, charge);

/**
 * Rp = (S/P)·r_cell + leads and connectors.
 *
 * @example packResistance(pack) //=> 0.02
 */
export const packResistance = (pack: PackFigures): number =>
  (pack.series / pack.parallel) * pack.cellResistance + pack.leadResistance;

/**
 * Terminal voltage at a current: Voc − I·Rp.
 *
 * @example packVoltage(pack, 1, 100) //=> 23.2
 */
export const packVoltage = (pack: PackFigures, charge: number, current: number): number =>
  packRestVoltage(pack, charge) - current * packResistance(pack);

/**
 * Fresh off the charger: what voltage ratings are checked against. Of figures, in which a supply has a cell a volt; a part is
 * asked by `fullVoltsOf`.
 *
 * @example fullVoltage({ chemistry: 'lipo', series: 6, leadResistance: 0 }) //=> 25.2
 */
export const fullVoltage = (pack: Omit<PackFigures, 'cellResistance' | 'parallel'>): number =>
  pack.series * CELLS[pack.chemistry].full;

/**
 * Below this the cells are harmed.
 *
 * @example floorVoltage(pack) //=> 18
 */
export const floorVoltage = (pack: PackFigures): number => pack.series * CELLS[pack.chemistry].floor;
