import { mechanismById } from '../../plan/document/place.js';
import type { Verdict } from '../../judge/evaluate/verdict.js';
import type { Change } from '../../plan/document/change.js';
import type { Figures } from '../../plan/document/want.js';
import { measure } from '../../judge/evaluate/measure.js';
import type { CommonHere } from '../../plan/document/stockOf.js';
import { applyChanges } from '../../plan/document/change.js';
import { totalChanges, type Trial } from './trial.js';

/** A design that holds: what it is made of, what puts it into the plan, and what it measures. */
export interface Found {
  readonly key: string;
  readonly group?: string;
  readonly motor: string;
  readonly motors: number;
  readonly controller?: string;
  readonly pack?: string;
  readonly total: number;
  /** What the total is made of, once it is in teeth. */
  readonly train?: string;
  readonly changes: readonly Change[];
  readonly figures: Figures;
  readonly verdict: Verdict;
  /** What gives first, and at how many times the job. */
  readonly first: string;
  readonly multiple?: number;
}

/** A candidate judged in full: it holds, or why it fell out. */
export type Judged = { readonly holds: Found } | { readonly fell: string };

/** The same for any changes: judged as the mechanism's screen would judge the plan with them. */
export function judgeChanges(
  trial: Pick<Trial, 'plan' | 'mechanism' | 'option'>,
  changes: readonly Change[],
  total: number,
  jobId: string,
  commonHere: CommonHere,
  used: ReadonlyMap<string, number>,
): Judged {
  const { plan, mechanism, option } = trial;
  const changed = applyChanges(plan, changes);
  const there = mechanismById(changed, mechanism.id);
  const { headline, figures, unknown } = measure(changed, there, jobId, commonHere, used);
  if (headline.verdict === 'gives way')
    return { fell: headline.situation ? `${headline.name}, ${headline.situation}` : headline.name };
  if (unknown !== undefined || headline.verdict === 'not known')
    return { fell: `not known: ${unknown ?? headline.name}` };
  const { group, motor, motors, controller, pack } = option;
  return {
    holds: {
      key: `${option.key}\n${total}`,
      group,
      motor,
      motors,
      controller,
      pack,
      total,
      changes: [...option.changes, ...changes],
      figures,
      verdict: headline.verdict,
      first: headline.name,
      multiple: headline.multiple,
    },
  };
}

/** Judges a drive at a total. */
export function judgeAt(
  trial: Trial,
  total: number,
  jobId: string,
  commonHere: CommonHere,
  used: ReadonlyMap<string, number>,
): Judged {
  const changes = trial.open ? totalChanges(trial.plan, trial.mechanism, total / trial.kept, trial.efficiency) : [];
  return judgeChanges(trial, changes, total, jobId, commonHere, used);
}
