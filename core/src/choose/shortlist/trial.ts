import { mechanismById, choiceAt } from '../../plan/document/place.js';
import { digits } from '../../plan/words/show.js';
import { idleBecause } from '../../judge/evaluate/ladder.js';
import type { CheckId, CheckRule } from '../../judge/limits/check.js';
import { checkOf } from '../../judge/evaluate/check.js';
import type { Limit } from '../../judge/limits/limit.js';
import { SITUATION_NEEDS, SITUATIONS, situationOf, type Situation } from '../../judge/limits/situation.js';
import { machineOf } from '../../judge/machine/table.js';
import { FigureCollector } from '../../plan/figures/collector.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Stage } from '../../plan/document/stage.js';
import { estimatedStageMass } from '../../judge/ledger/stageMass.js';
import { lacksOf, withTotal } from '../../path/powerpath/path.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { resolveStage } from '../../path/resolve/resolveStages.js';
import type { DriveOption } from './drives.js';
import type { ShortlistQuery } from './query.js';

/** A job of a drive on trial: its path with the total left open, and what its rungs are asked. */
export interface TrialJob {
  readonly path: AnyPath;
  readonly asked: readonly { readonly situation: Situation; readonly limits: readonly Limit<AnyPath>[] }[];
  /** Checks that need no run and look at no teeth. */
  readonly checks: readonly CheckRule<AnyPath>[];
}

/** A drive put into the plan, with one open ratio in place of its wheels. */
export interface Trial {
  readonly option: DriveOption;
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly jobs: readonly TrialJob[];
  /** What the open ratio keeps of the power. */
  readonly efficiency: Quantity;
  /** Whether the total may be chosen; a servo and a drop-in keep theirs. */
  readonly open: boolean;
  /** Total over the open ratio: what stages that stay give. */
  readonly kept: number;
}

/** The open ratio's id in the plan. */
const OPEN = 's1';

/** Checks that say the same at every total and for every number of motors. */
const WHATEVER_THE_TOTAL: readonly CheckId[] = ['motor-kind', 'volts-full'];

/** What stays behind an open ratio: a screw or a worm belongs to what it moves. */
export const stays = ({ kind }: Stage): boolean => kind === 'screw' || kind === 'worm';

/**
 * Whether a search may choose the total at all.
 *
 * @example totalIsOpen(mast, { scope: 'everything' }) //=> true
 */
export const totalIsOpen = (mechanism: Mechanism, query: Pick<ShortlistQuery, 'scope'>): boolean =>
  query.scope === 'everything' && currentChoice(mechanism).drive.kind !== 'servo';

/** Two stages in teeth, where there is no train to go by. */
const TWO_STAGES = 0.9;

/** What an open ratio keeps of the power: as much as the wheels that are there, whose place it takes. */
function openEfficiency(mechanism: Mechanism): Quantity {
  const { stages } = currentChoice(mechanism);
  const there = stages.filter((stage) => !stays(stage));
  const collect = new FigureCollector();
  const kept = there.map((stage) => resolveStage(stage, [], collect).efficiency);
  const product = kept.reduce((all, efficiency) => all * efficiency, 1);
  const [value, from] =
    there.length > 0 && product > 0
      ? [product, 'as the stages that were there']
      : [TWO_STAGES, 'as two stages in teeth'];
  return { ...quantityOf(value, `${digits(100 * value)} %`, 'estimated'), from };
}

/** What an open ratio weighs: as much as the wheels whose place it takes; where there are none it is guessed as any stage is. */
function openMass(mechanism: Mechanism): Quantity | undefined {
  const masses = currentChoice(mechanism)
    .stages.filter((stage) => !stays(stage))
    .map((stage) => stage.mass?.si ?? estimatedStageMass(stage) ?? 0);
  const mass = masses.reduce((sum, one) => sum + one, 0);
  return mass > 0
    ? { ...quantityOf(mass, `${digits(mass)} kg`, 'estimated'), from: 'as the stages that were there' }
    : undefined;
}

/** The changes that give an open train this total; its losses and its mass are those of the train that is there. */
export function totalChanges(
  plan: Plan,
  mechanism: Mechanism,
  ratio: number,
  efficiency: Quantity = openEfficiency(mechanism),
): readonly Change[] {
  const choice = currentChoice(mechanism);
  const at = choiceAt(plan, mechanism);
  const mass = openMass(mechanism);
  const open: Stage = {
    id: OPEN,
    kind: 'ratio',
    ratio: quantityOf(ratio, `${digits(ratio, 4)}:1`, 'estimated'),
    efficiency,
    ...(mass ? { mass } : {}),
  };
  const kept = choice.stages.filter(stays).map((stage) => (stage.id === OPEN ? { ...stage, id: 'kept' } : stage));
  return [
    { at: [...at, 'stages'], to: [open, ...kept] },
    { at: [...at, 'tuning'], to: OPEN },
  ];
}

/** Puts a drive on trial: resolved once for each job, so that totals are tried on what is resolved. */
export function trialOf(plan: Plan, mechanism: Mechanism, query: ShortlistQuery, option: DriveOption): Trial {
  const open = totalIsOpen(mechanism, query);
  const efficiency = openEfficiency(mechanism);
  const changed = applyChanges(plan, [
    ...option.changes,
    ...(open ? totalChanges(plan, mechanism, 1, efficiency) : []),
  ]);
  const there = mechanismById(changed, mechanism.id);
  const jobs = there.jobs.map((job) => trialJob(resolvePath(changed, there, job.id)));
  return {
    option,
    plan: changed,
    mechanism: there,
    jobs,
    open,
    efficiency,
    kept: open ? jobs[0]!.path.train.total : 1,
  };
}

function trialJob(path: AnyPath): TrialJob {
  const machine = machineOf(path);
  const asked = SITUATIONS.flatMap((id) => {
    if (lacksOf(path, SITUATION_NEEDS[id]).length > 0) return [];
    const situation = situationOf(path, id);
    if (idleBecause(path, situation)) return [];
    const limits = machine.limits.filter(
      (limit) =>
        // A limit of teeth knows its own wheels, which an open ratio does not have.
        limit.stage === undefined &&
        limit.situations.includes(id) &&
        limit.applies(path) &&
        lacksOf(path, limit.needs(id)).length === 0,
    );
    return [{ situation, limits }];
  });
  const checks = machine.checks.filter(
    (rule) => !rule.run && rule.stage === undefined && rule.link !== 'stage' && rule.applies(path),
  );
  return { path, asked, checks };
}

/** The path of a job at a total. */
export const pathAt = ({ path }: TrialJob, { open }: Trial, total: number): AnyPath =>
  open ? withTotal(path, total) : path;

/** Why a drive cannot do it at any total; `undefined` where that is not said yet. */
export function neverBecause({ jobs }: Trial): string | undefined {
  for (const { path } of jobs) {
    const [lack] = SITUATIONS.flatMap((id) => lacksOf(path, SITUATION_NEEDS[id]));
    if (lack) return `not known: ${lack.label}`;
    for (const rule of machineOf(path).checks) {
      if (!WHATEVER_THE_TOTAL.includes(rule.id) || !rule.applies(path)) continue;
      if (checkOf(rule, path, undefined).verdict === 'gives way') return rule.name;
    }
  }
  return undefined;
}

/** What can be told of a total without running it: the first thing under 1×, or the least multiple of all rungs. */
export type Glance = { readonly gives: string } | { readonly multiple: number };

/**
 * Looks at the rungs and checks that need no run, by the very functions the screen is judged by. A rung under its floor
 * or a check that fails makes the whole mechanism give way, so nothing that holds is ever ruled out here.
 */
export function glance(trial: Trial, total: number): Glance {
  let least = Infinity;
  let gives: string | undefined;
  for (const job of trial.jobs) {
    const path = pathAt(job, trial, total);
    for (const { situation: resolved, limits } of job.asked) {
      const situation = trial.open ? { ...resolved, motorSpeed: (resolved.speed * total) / path.radius } : resolved;
      for (const limit of limits) {
        const multiple = Math.max(0, limit.capacity(path, situation)) / situation.demand;
        if (!(multiple < least)) continue;
        if (multiple < (limit.floor?.(path) ?? 1)) gives = `${limit.name}, ${situation.id}`;
        least = multiple;
      }
    }
  }
  if (gives !== undefined) return { gives };
  for (const job of trial.jobs) {
    const path = pathAt(job, trial, total);
    for (const rule of job.checks)
      if (checkOf(rule, path, undefined).verdict === 'gives way') return { gives: rule.name };
  }
  return { multiple: least };
}
