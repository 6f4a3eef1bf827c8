import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { timesText } from '../../judge/evaluate/sentence.js';
import { standingOf } from '../../judge/evaluate/shortfall.js';
import { compareVerdicts } from '../../judge/evaluate/verdict.js';
import { SITUATIONS } from '../../judge/limits/situation.js';
import { tuneTotal } from '../../judge/sizing/tuneTotal.js';
import { freeSpeedAt } from '../../models/motor/peaks.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { mechanismById } from '../../plan/document/place.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { stays, totalChanges } from '../shortlist/trial.js';
import { digits } from '../../plan/words/show.js';
import { designOf } from './place.js';

/** A mechanism with its total free: the one that does all jobs best. */
export interface GearedOverJobs {
  /** None where the total that is there is the best. */
  readonly changes: readonly Change[];
  readonly total: number;
  readonly headline: Headline;
  /** What even the best total comes to, "0.8×", where none does all jobs; absent where one does, or it fails in something no total mends. */
  readonly best?: string;
}

/** How something that is compared is geared: as suits it over all jobs, or to a total. */
export type Gear = 'over all jobs' | number;

/** The changes of something that is compared, its gearing among them, and what is to be said of that. */
export function withGear(
  plan: Plan,
  mechanismId: string,
  { changes, gear }: { readonly changes: readonly Change[]; readonly gear?: Gear },
): { readonly changes: readonly Change[]; readonly note?: string } {
  if (gear === undefined) return { changes };
  const changed = applyChanges(plan, changes);
  if (gear === 'over all jobs') {
    const geared = gearOverJobs(changed, mechanismId);
    return {
      changes: [...changes, ...geared.changes],
      note:
        geared.best === undefined ? undefined : `no total found, best ${geared.best} at ${digits(geared.total, 3)}:1`,
    };
  }
  const mechanism = mechanismById(changed, mechanismId);
  if (!Number.isFinite(gear)) return { changes };
  const path = resolvePath(changed, mechanism, mechanism.jobs[0]!.id);
  return { changes: [...changes, ...changesTo(changed, mechanism, path, gear)] };
}

/** Totals are tried so far apart first, then nearer and nearer about the best. */
const STEP = 1.4;
const NEARER = 4;
/** A stage that comes nearer to a total than this makes it. */
const MISSED = 0.06;
/** The deepest total that is tried where no job asks for a speed. */
const DEEPEST = 1000;

/**
 * The total with which a drive does all jobs of its mechanism best, from 1:1 on: the best verdict, then the greatest of the
 * least multiples. The stage that moves makes it in whole teeth; what that cannot reach becomes an open ratio, and at 1:1 the
 * stages go. A servo has its gears within it: its mechanism has no total to choose.
 *
 * @example gearOverJobs(plan, 'lift').total //=> 9.75
 */
export function gearOverJobs(plan: Plan, mechanismId: string): GearedOverJobs {
  const mechanism = mechanismById(plan, mechanismId);
  const paths = mechanism.jobs.map((job) => resolvePath(plan, mechanism, job.id));
  const today = paths[0]!.train.total;
  const tried = new Map<string, Tried>();
  const at = (total: number): Tried => {
    const changes = changesTo(plan, mechanism, paths[0]!, total);
    const key = JSON.stringify(changes);
    const known = tried.get(key) ?? triedWith(plan, mechanismId, changes);
    tried.set(key, known);
    return known;
  };
  let best = triedWith(plan, mechanismId, []);
  const better = (one: Tried): void => {
    if (isBetter(one, best)) best = one;
  };
  const [low, high] = [Math.min(keptOf(mechanism, paths[0]!), today), Math.max(deepest(paths), today)];
  const steps = Math.max(1, Math.ceil(Math.log(high / low) / Math.log(STEP)));
  for (let i = 0; i <= steps; i++) better(at(low * (high / low) ** (i / steps)));
  better(triedWith(plan, mechanismId, direct(plan, mechanismId)));
  let step = STEP;
  for (let i = 0; i < NEARER; i++) {
    step = Math.sqrt(step);
    const middle = best.total;
    for (const total of [middle / step, middle * step]) if (total >= low && total <= high) better(at(total));
  }
  const { changes, total, headline } = best;
  const { verdict, multiple, shortfall } = headline;
  const short = verdict === 'gives way' && multiple !== undefined && multiple < 1;
  return { changes, total, headline, best: short ? timesText({ multiple, shortfall }) : undefined };
}

interface Tried {
  readonly changes: readonly Change[];
  readonly total: number;
  readonly headline: Headline;
  /** Least standing over all jobs: what tells apart what has one verdict. */
  readonly least: number;
}

function triedWith(plan: Plan, mechanismId: string, changes: readonly Change[]): Tried {
  const changed = applyChanges(plan, changes);
  const mechanism = mechanismById(changed, mechanismId);
  const { headline, path, all } = judgedOver(changed, mechanism, mechanism.jobs[0]!.id);
  let least = Infinity;
  for (const { ladders, checks } of all) {
    for (const id of SITUATIONS) {
      const { first } = ladders[id];
      least = Math.min(least, (first && standingOf(first)) ?? Infinity);
    }
    for (const { verdict, multiple } of checks)
      if (verdict === 'gives way') least = Math.min(least, multiple ?? Infinity);
  }
  return { changes, total: path.train.total, headline, least };
}

/** The better verdict, and of one verdict the greater least multiple; of alike ones the total that was there first. */
function isBetter(one: Tried, than: Tried): boolean {
  const by = compareVerdicts(one.headline.verdict, than.headline.verdict);
  return by < 0 || (by === 0 && one.least > than.least * (1 + 1e-9));
}

/** The total at which the slowest job would take the motor's free speed: deeper than that nothing reaches its speed. */
function deepest(paths: readonly AnyPath[]): number {
  const totals = paths.flatMap((path) => {
    if (path.machine !== 'dc' || path.lacks.motor || path.lacks.pack) return [];
    const total = (freeSpeedAt(path.drive.motor, path.drive.restVoltage) * path.radius) / path.asked.speed;
    return Number.isFinite(total) && total > 0 ? [total] : [];
  });
  return totals.length > 0 ? Math.min(DEEPEST, Math.max(...totals)) : DEEPEST;
}

/**
 * What brings a mechanism to a total: the stage that moves in whole teeth, or an open ratio in the place of its wheels where
 * that does not come near.
 */
function changesTo(plan: Plan, mechanism: Mechanism, path: AnyPath, total: number): readonly Change[] {
  const tuned = tuneTotal(plan, mechanism, path, total);
  if (tuned) {
    const made = applyChanges(plan, [tuned]);
    const there = resolvePath(made, mechanismById(made, mechanism.id), path.job.id).train.total;
    if (Math.abs(there / total - 1) <= MISSED) return [tuned];
  }
  const kept = keptOf(mechanism, path);
  return totalChanges(plan, mechanism, total / kept);
}

/** What the stages that stay give of the total. */
function keptOf(mechanism: Mechanism, path: AnyPath): number {
  return currentChoice(mechanism).stages.reduce(
    (all, stage, i) => (stays(stage) ? all * path.train.stages[i]!.ratio : all),
    1,
  );
}

/** Nothing between the motor and what it turns but a screw or a worm. */
function direct(plan: Plan, mechanismId: string): readonly Change[] {
  const { choice, choiceAt } = designOf(plan, mechanismId);
  return [
    { at: [...choiceAt, 'stages'], to: choice.stages.filter(stays) },
    { at: [...choiceAt, 'tuning'], to: undefined },
  ];
}
