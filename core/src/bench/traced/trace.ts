import type { MeasuredFigure } from '../trials/measured.js';
import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { resolvePath, type Adjust } from '../../path/resolve/resolvePath.js';
import { CAUSE, CAUSES, moved, type CauseId } from './causes.js';
import { OBSERVED, predictedGo, type Observed, type ObservedKey } from './observed.js';

/** One cause, and how well it explains what was measured. */
export interface TracedCause {
  readonly cause: CauseId;
  readonly name: string;
  /** How far off it would have to be, in its own standard deviations: more of it, or less. */
  readonly deviations: number;
  /** Share of what was off that is gone then, 0…1. */
  readonly explains: number;
  /** What is left and what is asked, squared: the least is the best. */
  readonly cost: number;
}

export interface Traced {
  readonly predicted: Observed;
  /** Measured less predicted, in the errors of the readings. */
  readonly off: readonly { readonly key: ObservedKey; readonly errors: number }[];
  /** The best first. */
  readonly causes: readonly TracedCause[];
  /** Nothing is further off than readings go by chance. */
  readonly agrees: boolean;
}

export type MeasuredGo = Readonly<Partial<Record<ObservedKey, MeasuredFigure>>>;

/** One go, and which job it was. */
export interface GoOfJob {
  readonly jobId: string;
  readonly go: MeasuredGo;
}

/** Of a reading whose error is not known: a stopwatch, an ammeter. */
const READING_ERROR: Readonly<Record<ObservedKey, number>> = {
  goTime: 0.02,
  peakCurrent: 0.03,
  meanCurrent: 0.02,
  leastVolts: 0.005,
  restVoltage: 0.003,
};
/** Nothing is read better than so much of itself. */
const BEST_READING = 0.002;
const FAR = 6;
const STEP = 0.25;
const BY_CHANCE = 2;

/**
 * Why goes were not as predicted: each cause by itself is moved as far as explains them best, and counted by what is left of
 * the readings and by how many of its own standard deviations that asks. One way up and one way down tell more than either:
 * what a train loses is against the load on the way up, and helps to hold it on the way down.
 *
 * @returns `undefined` where the program has no run of the first, or nothing was read
 * @throws where the plan has no such mechanism
 * @example traceGoes(plan, 'lift', [{ jobId: 'raise', go: { goTime: { value: 1.8, error: 0.02 } } }])?.causes.length //=> 7
 */
export function traceGoes(plan: Plan, mechanismId: string, goes: readonly GoOfJob[]): Traced | undefined {
  const mechanism = mechanismById(plan, mechanismId);
  const read = goes.flatMap(({ jobId, go }, i) => {
    const predicted = predictedGo(plan, mechanism, jobId);
    if (!predicted) return [];
    return OBSERVED.flatMap((key) => {
      const found = go[key];
      if (!found || !Number.isFinite(found.value)) return [];
      const size = Math.abs(found.value);
      const error = Number.isFinite(found.error)
        ? Math.max(found.error, BEST_READING * size)
        : READING_ERROR[key] * size;
      return error > 0 ? [{ first: i === 0, jobId, key, value: found.value, error, was: predicted[key] }] : [];
    });
  });
  const predicted = goes[0] && predictedGo(plan, mechanism, goes[0].jobId);
  if (!predicted || read.length === 0) return undefined;
  const jobs = [...new Set(read.map(({ jobId }) => jobId))];
  const left = (adjust?: Adjust): number => {
    const seen = new Map(jobs.map((jobId) => [jobId, predictedGo(plan, mechanism, jobId, adjust)]));
    return read.reduce((sum, { jobId, key, value, error }) => {
      const go = seen.get(jobId);
      return go ? sum + ((value - go[key]) / error) ** 2 : Infinity;
    }, 0);
  };
  const before = left();
  const shares = sharesOf(plan, mechanismId, jobs[0]!);
  const causes = CAUSES.flatMap((cause): readonly TracedCause[] => {
    const costAt = (z: number): number => left(moved(cause, z, shares)) + z * z;
    const at = leastOf(costAt);
    const cost = costAt(at);
    if (!Number.isFinite(cost)) return [];
    const explains = before > 0 ? Math.max(0, 1 - (cost - at * at) / before) : 0;
    return [{ cause, name: CAUSE[cause].name, deviations: at, explains, cost }];
  });
  return {
    predicted,
    off: read
      .filter(({ first }) => first)
      .map(({ key, value, error, was }) => ({ key, errors: (value - was) / error })),
    causes: causes.sort((a, b) => a.cost - b.cost),
    agrees: before <= BY_CHANCE ** 2 * read.length,
  };
}

/** In how many stages what the train loses is shared. */
export function sharesOf(plan: Plan, mechanismId: string, jobId: string): number {
  const { figures } = resolvePath(plan, mechanismById(plan, mechanismId), jobId);
  return Math.max(1, Object.keys(figures).filter((key) => key.endsWith('.efficiency')).length);
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
const ITERATIONS = 24;

/** Where a cost is least: the best of a comb, and then ever closer about it. */
function leastOf(costAt: (z: number) => number): number {
  let best = 0;
  let least = costAt(0);
  for (let z = -FAR; z <= FAR; z += 4 * STEP) {
    const cost = costAt(z);
    if (cost < least) [best, least] = [z, cost];
  }
  let [low, high] = [best - 4 * STEP, best + 4 * STEP];
  for (let i = 0; i < ITERATIONS; i++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (costAt(a) < costAt(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}
