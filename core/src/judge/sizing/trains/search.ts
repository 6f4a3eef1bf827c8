import { wheelPairs } from './wheelPairs.js';
import type { PairKind, Stock, WheelPair } from './wheelPair.js';

/** What a train is ranked by; what it misses the wanted total by comes first of equals. */
export type TrainWish = 'nearest' | 'lightest' | 'cheapest' | 'shortest' | 'least loss' | 'most teeth';

export interface TrainQuery {
  /** Least and greatest total that will do. */
  readonly from: number;
  readonly to: number;
  /** The total that is really wanted. */
  readonly wanted: number;
  readonly kinds: readonly PairKind[];
  readonly mostStages: 1 | 2 | 3;
  /** Sense of the output against the motor's. */
  readonly sense: 'same' | 'opposite' | 'either';
  readonly leastTeeth: number;
  readonly by: TrainWish;
  readonly most: number;
  /** Torque on the last shaft that all must carry; what does not is left out. */
  readonly carry?: number;
  /** Most it may reach from shaft to shaft, m, and weigh, kg. */
  readonly mostLength?: number;
  readonly mostMass?: number;
  /** Motors that share a first pair of gears or a first gearbox. */
  readonly motors?: number;
}

export interface TrainFound {
  readonly pairs: readonly WheelPair[];
  readonly total: number;
  /** total/wanted − 1 */
  readonly missedBy: number;
  readonly efficiency: number;
  readonly price: number;
  readonly mass: number;
  readonly length: number;
  readonly leastTeeth: number;
  readonly reverses: boolean;
}

export interface TrainSearch {
  readonly trains: readonly TrainFound[];
  /** Combinations looked at or ruled out, each counted once. */
  readonly decided: number;
  /** Of those that make the total, how many would not carry the load. */
  readonly tooWeak: number;
  /** And how many are longer or heavier than they may be. */
  readonly tooLarge: number;
  readonly done: boolean;
}

/** Fast stages first: a gearbox on the motor, then gears, belt, and the chain where it is slow and strong. */
const ORDER: Readonly<Record<PairKind, number>> = { planetary: 0, teeth: 1, belt: 2, chain: 3 };

/** Whether a pair may stand behind another: kinds in their order, and of one kind each set of pairs once. */
const mayFollow = (before: WheelPair, pair: WheelPair): boolean =>
  ORDER[pair.kind] > ORDER[before.kind] || (pair.kind === before.kind && pair.key >= before.key);

function trainOfPairs(pairs: readonly WheelPair[], wanted: number): TrainFound {
  let [total, efficiency, price, mass, length, leastTeeth, reverses] = [1, 1, 0, 0, 0, Infinity, false];
  for (const pair of pairs) {
    total *= pair.ratio;
    efficiency *= pair.efficiency;
    price += pair.price;
    mass += pair.mass;
    length += pair.length;
    leastTeeth = Math.min(leastTeeth, pair.leastTeeth);
    reverses = reverses !== pair.reverses;
  }
  return { pairs, total, missedBy: total / wanted - 1, efficiency, price, mass, length, leastTeeth, reverses };
}

/** Whether every stage carries what is asked of the last shaft, worked back through ratios and losses. */
function carries(pairs: readonly WheelPair[], torque: number, motors: number): boolean {
  let asked = torque;
  for (let i = pairs.length - 1; i >= 0; i--) {
    const pair = pairs[i]!;
    asked /= pair.ratio * pair.efficiency;
    const shared = i === 0 && (pair.kind === 'teeth' || pair.kind === 'planetary') ? asked / motors : asked;
    if (shared > pair.carries) return false;
  }
  return true;
}

/** No longer and no heavier than it may be. */
const isWithin = (
  { length, mass }: TrainFound,
  { mostLength = Infinity, mostMass = Infinity }: Pick<TrainQuery, 'mostLength' | 'mostMass'>,
): boolean => length <= mostLength && mass <= mostMass;

const SCORES: Readonly<Record<TrainWish, (train: TrainFound) => number>> = {
  nearest: ({ missedBy }) => Math.abs(missedBy),
  lightest: ({ mass }) => mass,
  cheapest: ({ price }) => price,
  shortest: ({ length }) => length,
  'least loss': ({ efficiency }) => 1 - efficiency,
  'most teeth': ({ leastTeeth }) => -leastTeeth,
};

const keyOf = (train: TrainFound): string => train.pairs.map(({ key }) => key).join(' ');

/** The order of a list of trains: the wish, then the nearest, then the fewest stages, then by name, so that it is one. */
function before(a: TrainFound, b: TrainFound, by: TrainWish): number {
  // Costs that agree to a part in a billion are the same cost, whatever order they were summed in.
  const [x, y] = [SCORES[by](a), SCORES[by](b)];
  if (Math.abs(x - y) > 1e-9 * Math.max(1, Math.abs(x))) return x - y;
  const [p, q] = [Math.abs(a.missedBy), Math.abs(b.missedBy)];
  if (Math.abs(p - q) > 1e-12) return p - q;
  return a.pairs.length - b.pairs.length || (keyOf(a) < keyOf(b) ? -1 : 1);
}

/** Combinations between two looks at the outside. */
const SLICE = 20_000;

/**
 * Trains off the shelf between two totals, ranked. The last stage is looked up by its ratio in a sorted list, so that
 * whole blocks of combinations that miss the range are ruled out at once: none inside it is lost.
 */
export function* searchTrains(stock: readonly Stock[], query: TrainQuery): Generator<TrainSearch, TrainSearch> {
  const { from, to, wanted, kinds, mostStages, sense, by, most, carry = 0, motors = 1 } = query;
  const pairs = wheelPairs(stock, kinds, query.leastTeeth);
  const ratios = pairs.map(({ ratio }) => ratio);
  let best: TrainFound[] = [];
  let decided = 0;
  let [tooWeak, tooLarge] = [0, 0];
  let shown = 0;

  const offer = (chosen: readonly WheelPair[]) => {
    const train = trainOfPairs(chosen, wanted);
    if (sense !== 'either' && train.reverses !== (sense === 'opposite')) return;
    if (!isWithin(train, query)) {
      tooLarge++;
      return;
    }
    if (!carries(chosen, carry, motors)) {
      tooWeak++;
      return;
    }
    if (best.length >= most && before(train, best.at(-1)!, by) >= 0) return;
    const place = best.findIndex((other) => before(train, other, by) < 0);
    best.splice(place < 0 ? best.length : place, 0, train);
    best = best.slice(0, most);
  };
  const lastStages = (chosen: readonly WheelPair[], soFar: number) => {
    decided += pairs.length;
    const low = firstAtLeast(ratios, (from / soFar) * (1 - 1e-12));
    for (let i = low; i < pairs.length && ratios[i]! * soFar <= to * (1 + 1e-12); i++) {
      const pair = pairs[i]!;
      if (chosen.length === 0 || mayFollow(chosen.at(-1)!, pair)) offer([...chosen, pair]);
    }
  };
  const [least, greatest] = [ratios[0] ?? 1, ratios.at(-1) ?? 1];

  for (let stages = 1; stages <= mostStages; stages++) {
    for (const chosen of prefixes(pairs, stages - 1)) {
      const soFar = chosen.reduce((product, { ratio }) => product * ratio, 1);
      if (soFar * greatest < from || soFar * least > to) decided += pairs.length;
      else lastStages(chosen, soFar);
      if (decided - shown >= SLICE) {
        shown = decided;
        yield { trains: best, decided, tooWeak, tooLarge, done: false };
      }
    }
  }
  return { trains: best, decided, tooWeak, tooLarge, done: true };
}

function* prefixes(pairs: readonly WheelPair[], count: number): Generator<readonly WheelPair[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (const chosen of prefixes(pairs, count - 1)) {
    for (const pair of pairs) {
      if (chosen.length === 0 || mayFollow(chosen.at(-1)!, pair)) yield [...chosen, pair];
    }
  }
}

/** Place of the first number that is at least `value` in a sorted list. */
function firstAtLeast(sorted: readonly number[], value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The same by trying every combination, for proof only: slow. */
export function everyTrain(stock: readonly Stock[], query: TrainQuery): readonly TrainFound[] {
  const pairs = wheelPairs(stock, query.kinds, query.leastTeeth);
  const found: TrainFound[] = [];
  for (let stages = 1; stages <= query.mostStages; stages++) {
    for (const chosen of prefixes(pairs, stages)) {
      const train = trainOfPairs(chosen, query.wanted);
      if (train.total < query.from * (1 - 1e-12) || train.total > query.to * (1 + 1e-12)) continue;
      if (query.sense !== 'either' && train.reverses !== (query.sense === 'opposite')) continue;
      if (!isWithin(train, query) || !carries(chosen, query.carry ?? 0, query.motors ?? 1)) continue;
      found.push(train);
    }
  }
  return found.sort((a, b) => before(a, b, query.by)).slice(0, query.most);
}
