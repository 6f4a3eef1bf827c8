import { FOUND, type Expected, type FoundKey } from '../trials/found.js';
import { randomFrom } from '../../judge/spread/random.js';

/** What a simulated thing really is: its own figures, which its sheet does not know. */
export type RigTruth = Readonly<Record<FoundKey, number>>;

/** Where nobody says anything: a small brushed can, a lead pack, a hobby servo, a lift. SI. */
const USUAL: RigTruth = {
  backEmfConstant: 0.0194,
  kv: 1 / 0.0194,
  freeCurrent: 2.2,
  freeCurrentPerSpeed: 5e-4,
  resistance: 0.102,
  brushDrop: 0,
  torqueConstant: 0.0182,
  frictionTorque: 0.01,
  viscousDrag: 0.004,
  restVoltage: 12.7,
  packResistance: 0.02,
  pullPerAmpere: 3.2,
  lostCurrent: 2.5,
  rateKept: 1200,
  rateLost: 1300,
  idleCurrent: 0.008,
  runningCurrent: 0.22,
  stallCurrent: 1.8,
  travel: Math.PI,
  turnPerMillisecond: Math.PI / 2,
  play: 0.012,
  caseToAir: 22,
  caseCapacity: 180,
  leastUp: 30,
  leastDown: 22,
  leastErpm: 210,
  dragOffset: 1.4,
  steepest: 0.2,
  tooSteep: 0.26,
  rolledBack: 0.08,
  topSpeed: 420,
  goTime: 1.6,
  peakCurrent: 62,
  meanCurrent: 38,
  chargeTaken: 5000,
  leastVolts: 11.4,
};

/** Things differ from their sheets by this, standard deviation. */
const APART = 0.05;
/** Volts of a charged pack differ less. */
const VOLTS_APART = 0.01;

/**
 * A bell curve from even numbers, by the sum of twelve.
 *
 * @example bell(() => 0.5) //=> 0
 */
export function bell(random: () => number): number {
  let sum = -6;
  for (let i = 0; i < 12; i++) sum += random();
  return sum;
}

/**
 * True values for the rig: those expected, each off by what builds are off; the same seed gives the same thing.
 *
 * @example truthOf({ resistance: 0.1 }, 1).resistance //=> 0.1…
 */
export function truthOf(expected: Expected, seed: number): RigTruth {
  const random = randomFrom(seed);
  const truth = Object.fromEntries(
    (Object.keys(FOUND) as FoundKey[]).map((key) => {
      const apart = FOUND[key].dimension === 'voltage' ? VOLTS_APART : APART;
      return [key, (expected[key] ?? USUAL[key]) * (1 + apart * bell(random))];
    }),
  ) as Record<FoundKey, number>;
  // One thing cannot be two: Kv is Ke turned over, and what is lost is over what is kept.
  return {
    ...truth,
    kv: 1 / truth.backEmfConstant,
    rateLost: truth.rateKept * 1.08,
    tooSteep: truth.steepest * 1.2,
    leastDown: truth.leastUp * 0.75,
  };
}
