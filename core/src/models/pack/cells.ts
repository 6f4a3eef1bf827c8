import type { Chemistry, PackPart } from '../../plan/document/part.js';
import type { Quantity } from '../../plan/document/quantity.js';

/** What a cell of one chemistry is like. Volts. */
export interface Cell {
  /** Rest voltage at each of `CHARGE_POINTS`. */
  readonly rest: readonly number[];
  readonly full: number;
  readonly nominal: number;
  readonly floor: number;
  /** Resistance × capacity, Ω·Ah: the estimating rule where a pack's resistance is not known. */
  readonly resistanceTimesAmpHours: number;
  /** Typical charge limit over capacity, 1/h; 0 where it must not be charged. */
  readonly chargeRate: number;
  readonly name: string;
}

export const CHARGE_POINTS = [0, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1] as const;

const LITHIUM = [3.27, 3.45, 3.6, 3.69, 3.73, 3.77, 3.82, 3.87, 3.95, 4.02, 4.1, 4.2];

export const CELLS: Readonly<Record<Chemistry, Cell>> = {
  lipo: {
    name: 'LiPo',
    rest: LITHIUM,
    full: 4.2,
    nominal: 3.7,
    floor: 3.0,
    resistanceTimesAmpHours: 0.012,
    chargeRate: 1,
  },
  liion: {
    name: 'Li-ion',
    rest: LITHIUM,
    full: 4.2,
    nominal: 3.6,
    floor: 3.0,
    resistanceTimesAmpHours: 0.07,
    chargeRate: 0.7,
  },
  lifepo4: {
    name: 'LiFePO4',
    rest: [2.5, 3.0, 3.2, 3.25, 3.27, 3.28, 3.29, 3.3, 3.32, 3.33, 3.35, 3.45],
    full: 3.65,
    nominal: 3.2,
    floor: 2.5,
    resistanceTimesAmpHours: 0.025,
    chargeRate: 1,
  },
  nimh: {
    name: 'NiMH',
    rest: [1.0, 1.15, 1.2, 1.24, 1.25, 1.26, 1.27, 1.28, 1.3, 1.32, 1.36, 1.42],
    full: 1.45,
    nominal: 1.2,
    floor: 0.9,
    resistanceTimesAmpHours: 0.02,
    chargeRate: 1,
  },
  lead: {
    name: 'sealed lead',
    rest: [1.94, 1.95, 1.96, 1.98, 2.0, 2.02, 2.04, 2.06, 2.08, 2.1, 2.12, 2.14],
    full: 2.3,
    nominal: 2.0,
    floor: 1.75,
    resistanceTimesAmpHours: 0.033,
    chargeRate: 0.3,
  },
  alkaline: {
    name: 'alkaline',
    rest: [0.9, 1.0, 1.1, 1.18, 1.22, 1.26, 1.3, 1.34, 1.38, 1.43, 1.5, 1.58],
    full: 1.62,
    nominal: 1.5,
    floor: 0.9,
    resistanceTimesAmpHours: 0.4,
    chargeRate: 0,
  },
  // A volt of a supply that holds what it is set to: past its current limit it lets go, and takes nothing back.
  bench: {
    name: 'bench supply',
    rest: CHARGE_POINTS.map(() => 1),
    full: 1,
    nominal: 1,
    floor: 0.95,
    resistanceTimesAmpHours: 0,
    chargeRate: 0,
  },
};

/** A bench supply holds its volts to within so much, Ω in all. */
export const BENCH_RESISTANCE = 0.01;

/**
 * Cells in series; of a bench supply the volts it is set to, a cell of one volt each, NaN where they are not known.
 *
 * @example cellsOf({ chemistry: 'bench', series: 1, voltage: { si: 13.8 } }) //=> 13.8
 */
export const cellsOf = ({
  chemistry,
  series,
  voltage,
}: Pick<PackPart, 'chemistry' | 'series'> & { readonly voltage?: Pick<Quantity, 'si'> }): number =>
  chemistry === 'bench' ? (voltage?.si ?? NaN) : series;

type PackOfCells = Parameters<typeof cellsOf>[0];

/**
 * Volts of a pack as its label says them, or those that a supply is set to.
 *
 * @example nominalVoltsOf({ chemistry: 'lipo', series: 3 }) //=> 11.1
 */
export const nominalVoltsOf = (pack: PackOfCells): number => cellsOf(pack) * CELLS[pack.chemistry].nominal;

/**
 * Volts of a pack fresh off the charger, or those that a supply is set to.
 *
 * @example fullVoltsOf({ chemistry: 'bench', series: 1, voltage: { si: 13.8 } }) //=> 13.8
 */
export const fullVoltsOf = (pack: PackOfCells): number => cellsOf(pack) * CELLS[pack.chemistry].full;
