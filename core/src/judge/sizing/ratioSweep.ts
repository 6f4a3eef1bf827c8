import { mechanismById } from '../../plan/document/place.js';
import { drivePoint } from '../../models/controller/drivePoint.js';
import { judge } from '../evaluate/mechanism.js';
import { forceOf } from '../limits/electric/electricLimit.js';
import { SITUATIONS, situationOf, type SituationId } from '../limits/situation.js';
import type { Verdict } from '../evaluate/verdict.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import { lacksOf, withTotal } from '../../path/powerpath/path.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { tuneTotal } from './tuneTotal.js';

/** What a mechanism does in one job at one total that its train can make. */
export interface RatioPoint {
  readonly total: number;
  /** What brings the train to this total. */
  readonly change: Change;
  /** Of this job: the worst over its situations and checks. */
  readonly verdict: Verdict;
  readonly first?: { readonly name: string; readonly multiple: number; readonly situation: SituationId };
  /** The check that fails, where one does. */
  readonly fails?: string;
  /** Absent where it does not arrive. */
  readonly time?: number;
  /** Present with a run: of one motor, A. */
  readonly peakMotorCurrent?: number;
  readonly rmsMotorCurrent?: number;
  /** Of all motors, A. */
  readonly peakSupplyCurrent?: number;
  /** Copper heat of one go in all motors, J; absent for motors that take pulses. */
  readonly heat?: number;
  readonly packEnergy?: number;
  readonly leastPackVoltage?: number;
}

/**
 * Judges a job at totals the tuning stage can make, log-spaced from `low` to `high`, one a step; of whole teeth each
 * total once. Gives nothing where no stage can move.
 */
export function* sweepMechanism(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  low: number,
  high: number,
  count: number,
): Generator<RatioPoint> {
  const mechanism = mechanismById(plan, mechanismId);
  const path = resolvePath(plan, mechanism, jobId);
  let before = 0;
  for (let i = 0; i < count; i++) {
    const wanted = low * (high / low) ** (i / (count - 1));
    const change = tuneTotal(plan, mechanism, path, wanted);
    if (!change) return;
    const changed = applyChanges(plan, [change]);
    const tuned = resolvePath(changed, mechanismById(changed, mechanismId), jobId);
    const { total } = tuned.train;
    if (!Number.isFinite(total) || total === before) continue;
    before = total;
    yield pointOf(tuned, change);
  }
}

function pointOf(path: AnyPath, change: Change): RatioPoint {
  const { run, ladders, checks, verdict } = judge(path);
  const firsts = SITUATIONS.flatMap((situation) => {
    const { first } = ladders[situation];
    return first?.multiple === undefined ? [] : [{ name: first.name, multiple: first.multiple, situation }];
  });
  const first = firsts.sort((a, b) => a.multiple - b.multiple)[0];
  const fails = checks.find((check) => check.verdict === 'gives way')?.name;
  return {
    total: path.train.total,
    change,
    verdict,
    first,
    fails,
    time: run?.outcome === 'arrived' ? run.time : undefined,
    ...(run
      ? {
          peakMotorCurrent: run.peakMotorCurrent,
          rmsMotorCurrent: run.rmsMotorCurrent,
          peakSupplyCurrent: run.peakSupplyCurrent,
          packEnergy: run.packEnergy,
          leastPackVoltage: run.leastPackVoltage,
        }
      : {}),
    heat:
      run && path.machine === 'dc'
        ? path.motors * run.rmsMotorCurrent ** 2 * run.time * path.drive.motor.resistance
        : undefined,
  };
}

/** Totals worth knowing on a sweep, and what two schools would take. */
export interface SweepMarks {
  readonly fastest?: number;
  readonly coolest?: number;
  readonly leastCurrent?: number;
  /** Where the first thing gives at the greatest multiple. */
  readonly mostRobust?: number;
  /** The deepest total that still does the job: slow but sure. */
  readonly deepest?: number;
  /** The quickest total at which nothing gives way. */
  readonly quickest?: number;
  /** Totals whose time is within 5 % of the shortest: here the ratio hardly matters. */
  readonly plateau?: readonly [low: number, high: number];
}

/** Times this near are the same. */
const ALIKE = 0.005;
/** How far from the shortest time a total is still on the plateau. */
const PLATEAU = 0.05;

export function sweepMarks(points: readonly RatioPoint[]): SweepMarks {
  const arriving = points.filter((point) => point.time !== undefined);
  const sound = arriving.filter(({ verdict }) => verdict !== 'gives way');
  // A job that ends by time takes as long at every total: none is the fastest.
  const times = arriving.map(({ time }) => time!);
  const differs = Math.max(...times) > Math.min(...times) * (1 + ALIKE);
  const fastest = differs ? leastOf(arriving, ({ time }) => time) : undefined;
  const coolest = leastOf(arriving, ({ heat }) => heat);
  const leastCurrent = leastOf(arriving, ({ peakSupplyCurrent }) => peakSupplyCurrent);
  const mostRobust = leastOf(points, ({ first }) => (first ? -first.multiple : undefined));
  const quickest = leastOf(sound, ({ time }) => time);
  const deepest = sound.at(-1);
  const flat = fastest ? plateauAround(points, fastest) : undefined;
  return {
    fastest: fastest?.total,
    coolest: coolest?.total,
    leastCurrent: leastCurrent?.total,
    mostRobust: mostRobust?.total,
    deepest: deepest?.total,
    quickest: quickest?.total,
    plateau: flat,
  };
}

/** The first of the points whose value is least, beyond rounding; one without a value is passed over. */
function leastOf(points: readonly RatioPoint[], of: (point: RatioPoint) => number | undefined): RatioPoint | undefined {
  let best: RatioPoint | undefined;
  let least = Infinity;
  for (const point of points) {
    const value = of(point);
    if (value === undefined || value >= least - 1e-9 * Math.abs(least)) continue;
    [best, least] = [point, value];
  }
  return best;
}

/** The neighbours of the fastest, both ways, as long as they are about as fast. */
function plateauAround(points: readonly RatioPoint[], fastest: RatioPoint): readonly [number, number] | undefined {
  const enough = (point: RatioPoint | undefined) =>
    point?.time !== undefined && point.time <= fastest.time! * (1 + PLATEAU);
  let low = points.indexOf(fastest);
  let high = low;
  while (enough(points[low - 1])) low--;
  while (enough(points[high + 1])) high++;
  return high > low ? [points[low]!.total, points[high]!.total] : undefined;
}

/**
 * The total beyond which the wheels slip before the motors have given all they can at rest: deeper pulls no more.
 * `undefined` where nothing slips, or a figure is missing.
 *
 * @example tractionTotal(path) //=> undefined
 */
export function tractionTotal(path: AnyPath): number | undefined {
  if (path.machine !== 'dc' || path.load.traction === undefined) return undefined;
  const needs = ['motor', 'pack', 'wiring', 'controller', 'train', 'output', 'traction', 'load'] as const;
  if (lacksOf(path, needs).length > 0) return undefined;
  const one = withTotal(path, 1);
  const pull = forceOf(
    one,
    { ...situationOf(one, 'starting'), acceleration: 0 },
    drivePoint(one.drive, 0).motorCurrent,
  );
  return pull > 0 ? path.load.traction / pull : undefined;
}

/** Two schools of choosing a total, each with its reasons. Neither is right for every mechanism. */
export const RATIO_SCHOOLS: readonly {
  readonly id: 'deepest' | 'quickest';
  readonly name: string;
  readonly reasons: string;
}[] = [
  {
    id: 'deepest',
    name: 'deep and slow but sure',
    reasons:
      'The deepest total that still does the job: least current, least heat, and the most left over for friction, a worn chain or a low pack. What is gained in speed beyond the job is rarely used.',
  },
  {
    id: 'quickest',
    name: 'as fast as the pack allows',
    reasons:
      'The quickest total at which nothing gives way: cycles win, and margin that is never used is mass and money. It asks for figures one can trust, since little is left over.',
  },
];
