import { drivePoint } from '../controller/drivePoint.js';
import { runOf } from '../evaluate/mechanism.js';
import { checkOf } from '../limits/check.js';
import { worstOver } from '../load/load.js';
import { machineOf } from '../machine/table.js';
import type { DcPath } from '../powerpath/path.js';
import type { AnyPath } from '../powerpath/resolve.js';
import { slowestOf } from '../wants/measure.js';
import type { Figures } from '../wants/wants.js';
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
    current: 0,
    margin: multiple,
    ...(slow === undefined ? {} : { slow }),
  };
}

const jobOf = ({ jobs }: Trial, jobId: string): TrialJob => jobs.find(({ path }) => path.job.id === jobId) ?? jobs[0]!;

/**
 * A time that the travel cannot take less than: no push is greater than that at rest, no speed greater than the free
 * one, and it starts from rest. 0 where the load may drive, or where the end is no place.
 */
export function leastTime(path: DcPath): number {
  const { asked, load, drive, train, radius } = path;
  const { travel } = asked;
  if (travel === undefined) return 0;
  const resists = -worstOver(travel, load, (q) => -load.force(q, 0));
  const inertia = -worstOver(travel, load, (q) => -load.inertia(q));
  if (!(resists >= 0)) return 0;
  const lever = train.total / radius;
  const { motor, motors } = drive;
  const fastest = drive.restVoltage / motor.backEmfConstant / lever;
  const push = motors * motor.torqueConstant * drivePoint(drive, 0).motorCurrent * lever * train.efficiency;
  const acceleration = (push - resists) / inertia;
  if (!(fastest > 0 && acceleration > 0)) return 0;
  const untilFast = fastest / acceleration;
  const least =
    0.5 * fastest * untilFast < travel ? travel / fastest + 0.5 * untilFast : Math.sqrt((2 * travel) / acceleration);
  return Number.isFinite(least) ? least : 0;
}

/** What a job's run says: why it fails and how nearly, or its time and current. */
export type Ran = { readonly gives: string; readonly multiple: number } | { readonly figures: Figures };

/** Runs the job that is compared. */
export const runCompared = (trial: Trial, total: number, jobId: string): Ran =>
  runJob(jobOf(trial, jobId), trial, total);

/** Runs the others, and gives back why one fails; `undefined` where none does. */
export function othersFail(trial: Trial, total: number, jobId: string): Extract<Ran, { gives: string }> | undefined {
  const compared = jobOf(trial, jobId);
  for (const job of trial.jobs) {
    const ran = job === compared ? undefined : runJob(job, trial, total);
    if (ran && 'gives' in ran) return ran;
  }
  return undefined;
}

function runJob(job: TrialJob, trial: Trial, total: number): Ran {
  const path: AnyPath = pathAt(job, trial, total);
  const run = runOf(path);
  for (const rule of machineOf(path).checks) {
    if (!rule.run || rule.stage !== undefined || !rule.applies(path)) continue;
    const check = checkOf(rule, path, run);
    if (check.verdict === 'gives way') return { gives: rule.name, multiple: check.multiple ?? 0 };
  }
  if (!run) return { figures: {} };
  return {
    figures: { current: run.peakSupplyCurrent, ...(run.outcome === 'arrived' ? { time: run.time } : {}) },
  };
}
