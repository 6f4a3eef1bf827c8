import type { BeltProfile } from '../../plan/document/materials.js';
import { centreForPitches, pitchesAround, wrapOnSmall } from './runLength.js';

/** A belt that is sold, and the centre at which it lies taut. */
export interface StockBelt {
  readonly teeth: number;
  readonly centre: number;
}

export interface BeltRun {
  readonly lengthInPitches: number;
  /** The next shorter and longer that are sold; absent where the stock ends or the belt is too short to go round. */
  readonly shorter: StockBelt | undefined;
  readonly longer: StockBelt | undefined;
  readonly wrapOnSmall: number;
  readonly teethInMesh: number;
}

/** Stock belts either side of a wanted centre. A belt that fits exactly is the *shorter*. */
export function beltRun(
  pitch: number,
  driver: number,
  driven: number,
  centre: number,
  stock: readonly number[],
): BeltRun {
  const [small, large] = driver < driven ? [driver, driven] : [driven, driver];
  const lengthInPitches = pitchesAround(pitch, small, large, centre);
  const sorted = [...stock].sort((a, b) => a - b);
  const at = (teeth: number | undefined): StockBelt | undefined => {
    if (teeth === undefined) return undefined;
    const found = centreForPitches(pitch, small, large, teeth);
    return found === undefined ? undefined : { teeth, centre: found };
  };
  // Nearer than the wheels let the shafts be, the shortest that goes round is the answer.
  const wanted = Number.isNaN(lengthInPitches) ? large : lengthInPitches + 1e-9;
  const wrap = wrapOnSmall(pitch, small, large, centre);
  return {
    lengthInPitches,
    shorter: at(sorted.filter((teeth) => teeth <= wanted).at(-1)),
    longer: at(sorted.find((teeth) => teeth > wanted)),
    wrapOnSmall: wrap,
    teethInMesh: teethInMesh(small, wrap),
  };
}

/**
 * Whole teeth of the small wheel that are in the belt, z·wrap/2π rounded down.
 *
 * @example teethInMesh(20, 2.6) //=> 8
 */
export const teethInMesh = (teeth: number, wrap: number): number => Math.floor((teeth * wrap) / (2 * Math.PI) + 1e-9);

const DERATING: Readonly<Record<number, number>> = { 6: 1, 5: 0.8, 4: 0.6, 3: 0.4, 2: 0.2 };

/**
 * Share of a belt's pull that is left with few teeth in mesh: 1, .8, .6, .4, .2 for 6 to 2, none under 2.
 *
 * @example meshDerating(5) //=> 0.8
 */
export const meshDerating = (inMesh: number): number => (inMesh >= 6 ? 1 : (DERATING[inMesh] ?? 0));

const PULL_PER_WIDTH: Readonly<Record<BeltProfile, readonly (readonly [pitch: number, pull: number])[]>> = {
  round: [
    [0.003, 11_000],
    [0.005, 18_000],
    [0.008, 25_000],
  ],
  'modified round': [
    [0.003, 14_000],
    [0.005, 28_000],
    [0.008, 60_000],
  ],
};

/** Typical pull of a belt per metre of width, N/m, for 3, 5 and 8 mm pitch; `undefined` for another pitch. */
export const pullPerWidth = (profile: BeltProfile, pitch: number): number | undefined =>
  PULL_PER_WIDTH[profile].find(([known]) => Math.abs(known - pitch) < 1e-5)?.[1];

/** Cords of a belt over its typical pull: what breaks it, typical of glass cord. */
export const CORD_OVER_PULL = 4;
