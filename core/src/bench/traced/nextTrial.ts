import { trialSheet, type TrialKind } from '../trials/trials.js';
import { headlineOf, judge } from '../../judge/evaluate/mechanism.js';
import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { resolvePath, type Adjust } from '../../path/resolve/resolvePath.js';
import { CAUSE, CAUSES, moved, type CauseId } from './causes.js';
import { sharesOf } from './trace.js';

/** A trial that would narrow what is known of a mechanism. */
export interface WorthDoing {
  readonly kind: TrialKind;
  readonly why: string;
  /** Least multiple as it may be, one standard deviation either way: now, and with this measured. */
  readonly now: readonly [low: number, high: number];
  readonly then: readonly [low: number, high: number];
  readonly minutes: number;
}

/** What a trial leaves of a figure's standard deviation. */
const LEFT = 0.15;
/** Less of a narrowing than this is not worth a trial. */
const WORTH = 0.02;

/** The multiple that a job's verdict stands on. */
function leastMultiple(plan: Plan, mechanismId: string, jobId: string, adjust?: Adjust): number {
  const path = resolvePath(plan, mechanismById(plan, mechanismId), jobId, adjust);
  return headlineOf([judge(path)]).multiple ?? Infinity;
}

/** Whether what a cause moves was measured already: all of its figures that the path has. */
function isMeasured(plan: Plan, mechanismId: string, jobId: string, cause: CauseId): boolean {
  const { figures } = resolvePath(plan, mechanismById(plan, mechanismId), jobId);
  const own = Object.values(figures).filter(({ key }) => key in CAUSE[cause].moves);
  return own.length > 0 && own.every(({ source }) => source === 'measured');
}

/**
 * Trials of a job of a mechanism, the one that narrows the verdict most for a minute's work in front: each cause is moved by
 * one standard deviation, and what that does to the least multiple is what measuring it would save.
 *
 * @throws where the plan has no such mechanism or job
 * @example trialsWorthDoing(plan, 'lift', 'raise')[0].minutes > 0 //=> true
 */
export function trialsWorthDoing(plan: Plan, mechanismId: string, jobId: string): readonly WorthDoing[] {
  const middle = leastMultiple(plan, mechanismId, jobId);
  if (!Number.isFinite(middle)) return [];
  const shares = sharesOf(plan, mechanismId, jobId);
  const swings = CAUSES.map((cause) => {
    const up = leastMultiple(plan, mechanismId, jobId, moved(cause, 1, shares));
    const down = leastMultiple(plan, mechanismId, jobId, moved(cause, -1, shares));
    const swing = Number.isFinite(up - down) ? Math.abs(up - down) / 2 : 0;
    return { cause, swing: isMeasured(plan, mechanismId, jobId, cause) ? LEFT * swing : swing };
  });
  const all = Math.hypot(...swings.map(({ swing }) => swing));
  const trials = new Map<TrialKind, CauseId[]>();
  for (const { cause } of swings)
    if (!isMeasured(plan, mechanismId, jobId, cause)) {
      const { trial } = CAUSE[cause];
      if (trial) trials.set(trial, [...(trials.get(trial) ?? []), cause]);
    }
  return [...trials]
    .map(([kind, causes]): WorthDoing & { readonly gain: number } => {
      const left = Math.hypot(...swings.map(({ cause, swing }) => (causes.includes(cause) ? LEFT * swing : swing)));
      const { minutes, people } = trialSheet(kind);
      return {
        kind,
        why: causes.map((cause) => CAUSE[cause].name).join(' and '),
        now: [middle - all, middle + all],
        then: [middle - left, middle + left],
        minutes,
        gain: (all - left) / (minutes * people),
      };
    })
    .filter(({ now, then }) => now[1] - now[0] - (then[1] - then[0]) > WORTH * middle)
    .sort((a, b) => b.gain - a.gain);
}
