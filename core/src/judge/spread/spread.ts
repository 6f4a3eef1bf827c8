import { judge, type Judgement } from '../evaluate/mechanism.js';
import { forceReach, reachOf } from '../evaluate/reach.js';
import { SITUATIONS, type SituationId } from '../limits/situation.js';
import type { Verdict } from '../evaluate/verdict.js';
import type { RunSample } from '../motion/run.js';
import type { Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
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
    if (arrived && span.time > 0) alongTimes(arrived.samples, span.time / GRID, speeds);
    const forceAt = span.speed > 0 ? forceReach(path) : undefined;
    if (forceAt) forces.forEach((list, j) => list.push(forceAt((span.speed * j) / GRID)));
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

interface Row {
  readonly id: string;
  readonly name: string;
  passes: number;
  enough: number;
  readonly multiples: number[];
}

const newRow = (id: string, name: string): Row => ({ id, name, passes: 0, enough: 0, multiples: [] });

/** Counts over all builds how each rung and check fared. */
class Tally {
  /** By situation (a check has none) and id: nothing is joined into a key 40 times a build. */
  private readonly rows = new Map<SituationId | 'check', Map<string, Row>>();
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
          this.add(situation, rung, 'enough', undefined);
          continue;
        }
        this.add(situation, rung, rung.verdict, rung.multiple);
        least = Math.min(least, rung.multiple / rung.wants);
        gives ||= rung.verdict === 'gives way';
      }
    }
    for (const check of result.checks) {
      if (check.verdict === 'not known') continue;
      this.add('check', check, check.verdict, check.multiple);
      // What never arrives has no time to set against what is allowed.
      if (check.id === 'in-time')
        least = Math.min(least, check.multiple ?? (check.verdict === 'gives way' ? 0 : Infinity));
      gives ||= check.verdict === 'gives way';
    }
    if (!gives) this.clean++;
    return least;
  }

  private add(
    where: SituationId | 'check',
    { id, name }: { readonly id: string; readonly name: string },
    verdict: Verdict,
    multiple: number | undefined,
  ): void {
    let rows = this.rows.get(where);
    if (!rows) this.rows.set(where, (rows = new Map<string, Row>()));
    let row = rows.get(id);
    if (!row)
      rows.set(id, (row = where === 'check' ? newRow(id, name) : newRow(`${where}:${id}`, `${name}, ${where}`)));
    if (verdict !== 'gives way') row.passes++;
    if (verdict === 'enough') row.enough++;
    if (multiple !== undefined) row.multiples.push(multiple);
  }

  result(): readonly Passing[] {
    return [...this.rows.values()]
      .flatMap((rows) => [...rows.values()])
      .map(({ id, name, passes, enough, multiples }) => ({
        id,
        name,
        passes,
        enough,
        band: multiples.length > 0 ? bandOf(multiples) : undefined,
      }))
      .sort((a, b) => a.passes - b.passes || a.enough - b.enough || (a.band?.low ?? 99) - (b.band?.low ?? 99));
  }
}

/** Adds to each list how fast a run goes at its time, one step after the other; as at its end afterwards. */
function alongTimes(samples: readonly RunSample[], step: number, lists: readonly number[][]): void {
  let i = 0;
  lists.forEach((list, j) => {
    const time = step * j;
    while (i < samples.length && samples[i]!.time < time) i++;
    const b = samples[i] ?? samples.at(-1)!;
    const a = samples[i - 1];
    list.push(
      a && i < samples.length
        ? a.speed + ((b.speed - a.speed) * (time - a.time)) / Math.max(b.time - a.time, 1e-12)
        : b.speed,
    );
  });
}
