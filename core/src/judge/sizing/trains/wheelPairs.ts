import type { SeriesPart } from '../../../plan/document/part.js';
import { pairStage } from './pairStage.js';
import { strengthOf } from './pairStrength.js';
import type { PairKind, Stock, WheelPair } from './wheelPair.js';
import { centreForPitches, pitchesAround, runRadius } from '../../../models/reduction/runLength.js';
import { gearCentre } from '../../../models/reduction/gearPair.js';

/** A pair before anybody has asked what it carries. */
type BarePair = Omit<WheelPair, 'carries'>;

/** Sensible ratios of one stage, typical. */
export const STAGE_LIMITS_BY_KIND: Readonly<Record<PairKind, readonly [least: number, most: number]>> = {
  teeth: [1, 6],
  chain: [1, 5],
  belt: [1, 6],
  planetary: [3, 10],
};

const EFFICIENCY: Readonly<Record<PairKind, number>> = { teeth: 0.96, chain: 0.95, belt: 0.97, planetary: 0.93 };
const KIND_OF = { gears: 'teeth', sprockets: 'chain', pulleys: 'belt', planetary: 'planetary' } as const;

/** Room between two wheels that a chain or belt goes round, so that their teeth do not touch. */
const BETWEEN = 0.015;
const GEARBOX_LENGTH = 0.045;

const figure = (value: { readonly si: number } | undefined, otherwise: number): number => value?.si ?? otherwise;

const priceOf = ({ price, pricePerTooth, sizes }: SeriesPart, teeth: number): number =>
  figure(price, 0) + figure(pricePerTooth, 0) * (teeth - Math.min(...sizes));

const massOf = ({ mass, sizes }: SeriesPart, teeth: number): number =>
  figure(mass, 0) * (teeth / Math.min(...sizes)) ** 2;

/** Every pair that the shelf can make, each once, by key. */
export function wheelPairs(
  stock: readonly Stock[],
  kinds: readonly PairKind[],
  leastTeeth: number,
): readonly WheelPair[] {
  const belts = stock.filter(({ part }) => part.of === 'belts');
  const pairs = stock.flatMap((series) => {
    const { of } = series.part;
    if (of === 'belts' || !kinds.includes(KIND_OF[of])) return [];
    return of === 'planetary' ? gearboxes(series) : pairsOf(series, KIND_OF[of], leastTeeth, belts);
  });
  return pairs.map(withStrength).sort((a, b) => a.ratio - b.ratio || (a.key < b.key ? -1 : 1));
}

const withStrength = (pair: BarePair): WheelPair => ({
  ...pair,
  carries: strengthOf(pairStage(pair, 's1'), pair.ratio, pair.efficiency),
});

function gearboxes(stock: Stock): readonly BarePair[] {
  const { part, id } = stock;
  return part.sizes.map((ratio) => ({
    key: `${id}:${ratio}`,
    kind: 'planetary' as const,
    stock,
    driver: 1,
    driven: ratio,
    ratio,
    // Beyond what one stage does, a second one loses as much again.
    efficiency: EFFICIENCY.planetary ** (ratio > STAGE_LIMITS_BY_KIND.planetary[1] ? 2 : 1),
    price: figure(part.price, 0),
    mass: figure(part.mass, 0),
    length: GEARBOX_LENGTH,
    leastTeeth: Infinity,
    reverses: false,
  }));
}

function pairsOf(stock: Stock, kind: Exclude<PairKind, 'planetary'>, leastTeeth: number, belts: readonly Stock[]) {
  const { part, id } = stock;
  const pitch = part.pitch?.si;
  if (pitch === undefined) return [];
  const [least, most] = STAGE_LIMITS_BY_KIND[kind];
  const teeth = part.sizes.filter((size) => size >= leastTeeth);
  return teeth.flatMap((driver) =>
    teeth.flatMap((driven): BarePair[] => {
      const ratio = driven / driver;
      if (ratio < least || ratio > most) return [];
      const run = kind === 'teeth' ? undefined : shortestRun(kind, pitch, driver, driven, part.face?.si, belts);
      if (kind !== 'teeth' && !run) return [];
      const radii =
        kind === 'teeth' ? gearCentre(pitch, driver, driven) : runRadius(pitch, driver) + runRadius(pitch, driven);
      return [
        {
          key: `${id}:${driver}>${driven}`,
          kind,
          stock,
          driver,
          driven,
          ratio,
          efficiency: EFFICIENCY[kind],
          price: priceOf(part, driver) + priceOf(part, driven) + (run?.price ?? 0),
          mass: massOf(part, driver) + massOf(part, driven) + (run?.mass ?? 0),
          length: radii + (run?.centre ?? gearCentre(pitch, driver, driven)),
          leastTeeth: driver,
          reverses: kind === 'teeth',
          run: run ? { count: run.count, centre: run.centre } : undefined,
        },
      ];
    }),
  );
}

/** Chain by the metre, typical of the smallest size. */
const CHAIN_PRICE = 12;
const CHAIN_MASS = 0.2;

/** The shortest even chain, or the shortest belt that is sold, that leaves room between the wheels. */
function shortestRun(
  kind: 'chain' | 'belt',
  pitch: number,
  small: number,
  large: number,
  face: number | undefined,
  belts: readonly Stock[],
): { count: number; centre: number; price: number; mass: number } | undefined {
  const least = runRadius(pitch, small + large) + BETWEEN;
  const needed = pitchesAround(pitch, small, large, least);
  if (kind === 'chain') {
    const count = 2 * Math.ceil(needed / 2 - 1e-9);
    const length = count * pitch;
    return {
      count,
      centre: centreForPitches(pitch, small, large, count)!,
      price: CHAIN_PRICE * length,
      mass: CHAIN_MASS * length,
    };
  }
  let best: { count: number; stock: Stock } | undefined;
  for (const stock of belts) {
    const { part } = stock;
    if (Math.abs((part.pitch?.si ?? 0) - pitch) > 1e-6 || (face !== undefined && (part.face?.si ?? 0) > face + 1e-6))
      continue;
    const count = part.sizes.filter((size) => size >= needed).sort((a, b) => a - b)[0];
    if (count !== undefined && (!best || count < best.count)) best = { count, stock };
  }
  if (!best) return undefined;
  return {
    count: best.count,
    centre: centreForPitches(pitch, small, large, best.count)!,
    price: priceOf(best.stock.part, best.count),
    mass: figure(best.stock.part.mass, 0) * (best.count / Math.min(...best.stock.part.sizes)),
  };
}
