import { judge, type Judgement } from '../evaluate/mechanism.js';
import { reachOf } from '../evaluate/reach.js';
import { SITUATIONS } from '../limits/situation.js';
import type { RunSample } from '../motion/run.js';
import type { Plan } from '../plan/plan.js';
import { resolvePath } from '../resolve/resolvePath.js';
import {
  adjustFor,
  measuredSpread,
  SPREAD_FACTORS,
  spreadAmountsFor,
  type Build,
  type SpreadFactor,
} from './factors.js';
import { bandOf, correlation, type Band } from './band.js';
import { randomFrom } from './random.js';

/** One rung or check over all builds. */
export interface Passing {
  readonly id: string;
  readonly name: string;
  /** Builds at which it does not give way, and at which it has its margin. */
  readonly passes: number;
  readonly enough: number;
  /** Of its multiple; absent for yes or no. */
  readonly band?: Band;
}

/** A band along a run or a curve. */
export interface BandPoint extends Band {
  readonly at: number;
}

export interface Spread {
  readonly count: number;
  readonly passing: readonly Passing[];
  /** Builds in which nothing gives way. */
  readonly allPass: number;
  readonly time?: Band;
  readonly peakSupplyCurrent?: Band;
  /** Speed over time, and force over speed. */
  readonly speed: readonly BandPoint[];
  readonly force: readonly BandPoint[];
  /** Share of what varies in the least margin and in the time that each factor explains, the greatest first. */
  readonly matters: readonly { readonly factor: SpreadFactor; readonly margin: number; readonly time: number }[];
}

export interface SpreadOptions {
  readonly count?: number;
  readonly seed?: number;
}

const GRID = 24;

interface Seen {
  readonly build: Build;
  readonly margin: number;
  readonly time: number | undefined;
  readonly peak: number | undefined;
}

/**
 * Evaluates seeded builds of one job, one a step, so that a worker can stop between two; yields how many
 * are done and returns what they say together. Independent of timing: the same seed gives the same result.
 */
export function* spreadBuilds(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  { count = 2000, seed = 1 }: SpreadOptions = {},
): Generator<number, Spread> {
  const mechanism = plan.mechanisms.find(({ id }) => id === mechanismId);
  if (!mechanism) throw new Error(`the plan has no mechanism ${mechanismId}`);
  const random = randomFrom(seed);
  const amounts = spreadAmountsFor(plan, mechanism);
  const middle = resolvePath(plan, mechanism, jobId);
  const stages = Object.keys(middle.figures).filter((key) => key.endsWith('.efficiency')).length;
  const measured = measuredSpread(middle.figures);
  const reach = reachOf(middle);
  const run = judge(middle).run;
  const span = { time: 1.25 * (run?.time ?? 0), speed: reach?.points.at(-1)?.speed ?? 0 };
  const seen: Seen[] = [];
  const tally = new Tally();
  const speeds = Array.from({ length: GRID + 1 }, (): number[] => []);
  const forces = Array.from({ length: GRID + 1 }, (): number[] => []);

  for (let i = 0; i < count; i++) {
    const build = Object.fromEntries(SPREAD_FACTORS.map((factor) => [factor, 2 * random() - 1])) as Build;
    const path = resolvePath(plan, mechanism, jobId, adjustFor(build, amounts, stages, measured));
    const result = judge(path);
    const arrived = result.run?.outcome === 'arrived' ? result.run : undefined;
    seen.push({ build, margin: tally.count(result), time: arrived?.time, peak: result.run?.peakSupplyCurrent });
    if (arrived && span.time > 0) {
      speeds.forEach((list, j) => list.push(speedAt(arrived.samples, (span.time * j) / GRID)));
    }
    const curve = span.speed > 0 ? reachOf(path, GRID) : undefined;
    if (curve) forces.forEach((list, j) => list.push(forceAt(curve.points, (span.speed * j) / GRID)));
    yield i + 1;
  }

  const known = <T>(values: readonly (T | undefined)[]) => values.filter((value): value is T => value !== undefined);
  const points = (lists: readonly number[][], total: number): readonly BandPoint[] =>
    lists.flatMap((list, j) => (list.length === 0 ? [] : [{ at: (total * j) / GRID, ...bandOf(list) }]));
  const times = known(seen.map(({ time }) => time));
  const peaks = known(seen.map(({ peak }) => peak));
  return {
    count,
    passing: tally.result(),
    allPass: tally.clean,
    time: times.length > 0 ? bandOf(times) : undefined,
    peakSupplyCurrent: peaks.length > 0 ? bandOf(peaks) : undefined,
    speed: points(speeds, span.time),
    force: points(forces, span.speed),
    matters: ranked(seen),
  };
}

/** How much of what varies each factor explains: the square of its correlation. */
function ranked(seen: readonly Seen[]): Spread['matters'] {
  const timed = seen.filter(({ time }) => time !== undefined);
  return SPREAD_FACTORS.map((factor) => ({
    factor,
    margin:
      correlation(
        seen.map(({ build }) => build[factor]),
        seen.map(({ margin }) => margin),
      ) ** 2,
    time:
      correlation(
        timed.map(({ build }) => build[factor]),
        timed.map(({ time }) => time ?? 0),
      ) ** 2,
  })).sort((a, b) => b.margin + b.time - a.margin - a.time);
}

/** Counts over all builds how each rung and check fared. */
class Tally {
  private readonly rows = new Map<string, { name: string; passes: number; enough: number; multiples: number[] }>();
  clean = 0;

  /** Counts one build and returns its least margin: multiple over what is wanted. */
  count(result: Judgement): number {
    let least = 20;
    let gives = false;
    for (const situation of SITUATIONS) {
      for (const rung of result.ladders[situation].rungs) {
        if (rung.multiple === undefined) continue;
        // Out of reach in this build: it cannot give way there.
        if (rung.outOfReach) {
          this.row(`${situation}:${rung.id}`, `${rung.name}, ${situation}`, 'enough', undefined);
          continue;
        }
        this.row(`${situation}:${rung.id}`, `${rung.name}, ${situation}`, rung.verdict, rung.multiple);
        least = Math.min(least, rung.multiple / rung.wants);
        gives ||= rung.verdict === 'gives way';
      }
    }
    for (const check of result.checks) {
      if (check.verdict === 'not known') continue;
      this.row(check.id, check.name, check.verdict, check.multiple);
      if (check.multiple !== undefined && check.id === 'in-time') least = Math.min(least, check.multiple);
      gives ||= check.verdict === 'gives way';
    }
    if (!gives) this.clean++;
    return least;
  }

  private row(id: string, name: string, verdict: string, multiple: number | undefined): void {
    const row = this.rows.get(id) ?? { name, passes: 0, enough: 0, multiples: [] };
    if (verdict !== 'gives way') row.passes++;
    if (verdict === 'enough') row.enough++;
    if (multiple !== undefined) row.multiples.push(multiple);
    this.rows.set(id, row);
  }

  result(): readonly Passing[] {
    return [...this.rows]
      .map(([id, { name, passes, enough, multiples }]) => ({
        id,
        name,
        passes,
        enough,
        band: multiples.length > 0 ? bandOf(multiples) : undefined,
      }))
      .sort((a, b) => a.passes - b.passes || a.enough - b.enough || (a.band?.low ?? 99) - (b.band?.low ?? 99));
  }
}

/** How fast a run goes at a time; as at its end afterwards. */
function speedAt(samples: readonly RunSample[], time: number): number {
  const i = samples.findIndex((sample) => sample.time >= time);
  if (i < 0) return samples.at(-1)!.speed;
  if (i === 0) return samples[0]!.speed;
  const [a, b] = [samples[i - 1]!, samples[i]!];
  return a.speed + ((b.speed - a.speed) * (time - a.time)) / Math.max(b.time - a.time, 1e-12);
}

function forceAt(points: readonly { speed: number; force: number }[], speed: number): number {
  const i = points.findIndex((point) => point.speed >= speed);
  if (i < 0) return 0;
  if (i === 0) return points[0]!.force;
  const [a, b] = [points[i - 1]!, points[i]!];
  const share = b.speed === a.speed ? 0 : (speed - a.speed) / (b.speed - a.speed);
  return Math.max(0, a.force + share * (b.force - a.force));
}
