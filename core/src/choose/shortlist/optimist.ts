import { drivePoint } from '../../models/controller/drivePoint.js';
import { runOf } from '../../judge/evaluate/mechanism.js';
import type { CheckId } from '../../judge/limits/check.js';
import { checkOf } from '../../judge/evaluate/check.js';
import { worstOver } from '../../models/load/load.js';
import { machineOf } from '../../judge/machine/table.js';
import type { Run } from '../../judge/motion/run.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { slowestOf } from '../../judge/evaluate/measure.js';
import type { Figures } from '../../plan/document/want.js';
import { pathAt, type Trial, type TrialJob } from './trial.js';

/**
 * The best that a drive at a total could turn out to be: no figure of the full judgement is better. The margin is that
 * of the rungs looked at, the time one that no motor of this force and speed can be under.
 */
export function atBest(trial: Trial, total: number, jobId: string, multiple: number, stock: Figures): Figures {
  const path = pathAt(jobOf(trial, jobId), trial, total);
  const slow = slowestOf(path);
  return {
    ...stock,
    time: path.machine === 'dc' ? leastTime(path) : 0,
    current: path.machine === 'dc' ? leastCurrent(path) : 0,
    margin: multiple,
    slow,
  };
}

const jobOf = ({ jobs }: Trial, jobId: string): TrialJob => jobs.find(({ path }) => path.job.id === jobId) ?? jobs[0]!;

/**
 * A time that the travel cannot take less than: it starts from rest, no push is greater than that at rest, and no speed
 * greater than the free one unless the load drives somewhere on the way. 0 where the end is no place.
 *
 * @example leastTime(path) //=> 0.9618
 */
export function leastTime(path: DcPath): number {
  const { asked, load, drive, train, radius } = path;
  const { travel } = asked;
  if (travel === undefined) return 0;
  const resists = -worstOver(travel, load, (q) => -load.force(q, 0));
  const inertia = -worstOver(travel, load, (q) => -load.inertia(q));
  const lever = train.total / radius;
  const { motor, motors } = drive;
  const fastest = resists >= 0 ? drive.restVoltage / motor.backEmfConstant / lever : Infinity;
  const push = motors * motor.torqueConstant * drivePoint(drive, 0).motorCurrent * lever * train.efficiency;
  const acceleration = (push - resists) / inertia;
  if (!(fastest > 0 && acceleration > 0)) return 0;
  const untilFast = fastest / acceleration;
  const least =
    0.5 * fastest * untilFast < travel ? travel / fastest + 0.5 * untilFast : Math.sqrt((2 * travel) / acceleration);
  return Number.isFinite(least) ? least : 0;
}

/** Samples of a run straddle a speed: what flows at it may be missed by so much. */
const BETWEEN_SAMPLES = 0.98;

/**
 * A current that the pack gives at least once in a run that is in time: full effort starts at rest, and passes every
 * speed up to the mean one that the travel needs. 0 where the motion is commanded slower than the drive would go.
 *
 * @example leastCurrent(path) //=> 40
 */
export function leastCurrent({ asked, control, drive, train, radius }: DcPath): number {
  const { travel, time, profile } = asked;
  if (travel === undefined || profile === 'trapezoid' || control.rampTime > 0) return 0;
  const mean = travel / time;
  const at = (speed: number): number => {
    const { supplyCurrent, heldBy } = drivePoint(drive, (speed * train.total) / radius);
    // A limit that holds over a stretch of speeds is met by some sample, or found between two.
    return drive.motors * supplyCurrent * (heldBy === 'supply' ? 1 : BETWEEN_SAMPLES);
  };
  const least = Math.max(drive.motors * drivePoint(drive, 0).supplyCurrent, at(mean / 2), at(mean));
  return Number.isFinite(least) ? least : 0;
}

/** What a job's run says: why it fails and how nearly, or its time and current. */
export type Ran = Fails | { readonly figures: Figures };
export interface Fails {
  readonly gives: string;
  readonly multiple: number;
}

/** Checks that look at whole days of matches: they take as long as a run, and are left until it is worth it. */
const OF_THE_DAY: readonly CheckId[] = ['match-heat', 'match-breakers', 'charge'];

/** Runs the job that is compared, and looks at the checks that look at its run alone. */
export function runCompared(trial: Trial, total: number, jobId: string): Ran {
  const path = pathAt(jobOf(trial, jobId), trial, total);
  const run = runOf(path);
  const fails = failing(path, run, (id) => !OF_THE_DAY.includes(id));
  if (fails) return fails;
  if (!run) return { figures: {} };
  return {
    figures: { current: run.peakSupplyCurrent, time: run.outcome === 'arrived' ? run.time : undefined },
  };
}

/** Runs the other jobs, and gives back why one fails; `undefined` where none does. */
export function othersFail(trial: Trial, total: number, jobId: string): Fails | undefined {
  const compared = jobOf(trial, jobId);
  for (const job of trial.jobs) {
    if (job === compared) continue;
    const path = pathAt(job, trial, total);
    const fails = failing(path, runOf(path), () => true);
    if (fails) return fails;
  }
  return undefined;
}

function failing(path: AnyPath, run: Run | undefined, looks: (id: CheckId) => boolean): Fails | undefined {
  for (const rule of machineOf(path).checks) {
    if (!rule.run || rule.stage !== undefined || !looks(rule.id) || !rule.applies(path)) continue;
    const check = checkOf(rule, path, run);
    if (check.verdict === 'gives way') return { gives: rule.name, multiple: check.multiple ?? 0 };
  }
  return undefined;
}
