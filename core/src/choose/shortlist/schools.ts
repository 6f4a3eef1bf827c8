import type { WantId } from '../../plan/document/want.js';
import type { Like } from '../wants/likeForLike.js';
import type { Scope } from './query.js';

/** A way to begin choosing, with its reasons. Practitioners disagree; none is right for every team. */
export interface ChoosingSchool {
  readonly id: string;
  readonly name: string;
  readonly reasons: string;
  readonly scope: Scope;
  readonly ownedOnly: boolean;
  /** What drives are alike in, and whether the best of each kind of motor is asked: for plain motors only. */
  readonly like: Like;
  readonly eachType: boolean;
  readonly rankBy: 'weights' | 'order';
  /** Weight or place of each want; what is not named is left out. */
  readonly wants: Readonly<Partial<Record<WantId, number>>>;
  /** A ceiling of price is asked for at once. */
  readonly asksForMoney: boolean;
}

const plain = {
  scope: 'everything',
  ownedOnly: false,
  like: 'job',
  eachType: false,
  rankBy: 'weights',
  asksForMoney: false,
} as const;

export const CHOOSING_SCHOOLS: readonly ChoosingSchool[] = [
  {
    ...plain,
    id: 'job',
    name: 'The job first',
    reasons: 'Whatever does it best, then what that costs: money can be found for one mechanism that decides a match.',
    wants: { time: 3, mass: 2, price: 2, current: 1, margin: 3 },
  },
  {
    ...plain,
    id: 'money',
    name: 'Money first',
    reasons: 'A ceiling before anything else: what cannot be bought cannot be built, and the rest is chosen under it.',
    rankBy: 'order',
    asksForMoney: true,
    wants: { price: 1, margin: 2, time: 3, mass: 4 },
  },
  {
    ...plain,
    id: 'others',
    name: 'What others use',
    reasons:
      'Parts that other mechanisms or neighbours use: spares lie in one box, and someone near has met the trouble before.',
    wants: { common: 5, bought: 2, price: 2, margin: 2, time: 1 },
  },
  {
    ...plain,
    id: 'owned',
    name: 'What lies here',
    reasons: 'Only what is owned and unused: it is there tomorrow, and what is left over pays for what is not.',
    ownedOnly: true,
    wants: { margin: 3, time: 2, mass: 1 },
  },
  {
    ...plain,
    id: 'drop-in',
    name: 'Another motor in its place',
    reasons:
      'Controller, volts, holes and wheels stay: an hour’s work between two matches, and nothing else to prove anew.',
    scope: 'drop-in',
    wants: { margin: 3, time: 2, price: 1, mass: 1 },
  },
  {
    ...plain,
    id: 'slow',
    name: 'Slow work',
    reasons:
      'What creeps is judged at its slow end, so all are geared to today’s top speed first: some say brushes are unbeaten there, others that sensors have closed the gap. The best of both stand in the list.',
    like: 'speed',
    eachType: true,
    wants: { slow: 5, margin: 3, price: 2, current: 1 },
  },
  {
    ...plain,
    id: 'type',
    name: 'Brushed or brushless',
    reasons:
      'Only like is compared with like: cans as wide as the one that is there, each with the total that suits it. Brushes are cheap and start under load; without them less is lost, and nothing wears.',
    like: 'can',
    eachType: true,
    wants: { current: 3, mass: 2, price: 2, margin: 2, slow: 2 },
  },
];
