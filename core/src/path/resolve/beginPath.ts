import { FigureCollector } from '../../plan/figures/collector.js';
import { Memory } from '../../plan/figures/memory.js';
import { choiceAt, jobAt, type Place } from '../../plan/document/place.js';
import type { FigureName } from '../../plan/figures/table.js';
import { resolveJob } from '../job/table.js';
import type { Job } from '../../plan/document/load.js';
import { apartOf, currentChoice, partIdsOf, type Choice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Load } from '../../models/load/load.js';
import type { ResolvedJob } from '../powerpath/resolvedJob.js';
import { trainOf } from '../../models/reduction/train.js';
import type { PowerPath } from '../powerpath/path.js';
import { resolveStage } from './resolveStages.js';
import { resolveStageParts } from './resolveStageParts.js';

/** Moves a figure's value. */
export type Adjust = (name: FigureName, value: number) => number;

/** One job of a mechanism about to be put together: where everything is in the plan. */
export interface Begun {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly choice: Choice;
  readonly job: Job;
  readonly collect: FigureCollector;
  readonly choiceAt: Place;
  readonly jobAt: Place;
}

/** Throws where the mechanism has no such job. */
export function beginPath(plan: Plan, mechanism: Mechanism, jobId: string, adjust?: Adjust): Begun {
  const choice = currentChoice(mechanism);
  const job = mechanism.jobs.find(({ id }) => id === jobId);
  if (!job) throw new Error(`mechanism ${mechanism.name} has no job ${jobId}`);
  return {
    plan,
    mechanism,
    choice,
    job,
    collect: new FigureCollector(adjust),
    choiceAt: choiceAt(plan, mechanism),
    jobAt: jobAt(plan, mechanism, jobId),
  };
}

const STAGES = new Memory();
const STAGE_PARTS = new Memory();
/** What is worked out from all of them is remembered by this very list. */
const ALL_PARTS = new Memory();
const JOBS = new Memory();

export type LoadSide = Omit<
  PowerPath,
  'machine' | 'motors' | 'figures' | 'lacks' | 'pack' | 'restVoltage' | 'main' | 'branch'
>;

/** The stages, the output and the job: what every machine has behind it. */
export function resolveLoadSide({ plan, mechanism, choice, job, collect, choiceAt, jobAt }: Begun): LoadSide {
  const stages = choice.stages.map((stage, i) =>
    collect.once(STAGES, [stage, ...choiceAt, i], () => resolveStage(stage, [...choiceAt, 'stages', i], collect)),
  );
  const apart = apartOf(choice.drive);
  const at = { job: jobAt, output: [...choiceAt, 'output'], apart };
  const resolved = collect.once(JOBS, [job, choice.output, apart, ...jobAt, ...choiceAt], () =>
    resolveJob(job, choice.output, at, collect),
  );
  const { outputEfficiency = 1 } = resolved;
  const output = { ratio: 1, efficiency: outputEfficiency, backEfficiency: Math.max(0, 2 - 1 / outputEfficiency) };
  const { match = {} } = plan;
  const { wet, dirt } = job;
  return {
    memory: new Map(),
    mechanismId: mechanism.id,
    mechanismKind: mechanism.kind,
    job,
    surroundings:
      wet || dirt
        ? {
            wet,
            dirt,
            counts: job.surroundings ?? 'must',
            parts: partIdsOf(choice.drive).flatMap((id) => plan.parts[id]?.part ?? []),
          }
        : undefined,
    match: {
      length: collect.take('match.length', match.length, ['match', 'length']),
      rest: collect.take('match.rest', match.rest, ['match', 'rest']),
      rounds: collect.take('match.rounds', match.rounds, ['match', 'rounds']),
    },
    stages: choice.stages,
    stageParts: collect.once(ALL_PARTS, [choice.stages, ...choiceAt], () =>
      choice.stages.map((stage, i) =>
        collect.once(STAGE_PARTS, [stage, ...choiceAt, i], () =>
          resolveStageParts(stage, i, [...choiceAt, 'stages', i], collect),
        ),
      ),
    ),
    train: trainOf([...stages, output]),
    holder: ('holder' in choice.output ? choice.output.holder : undefined) ?? 'nothing',
    radius: resolved.radius,
    load: heldAgainst(resolved, job, jobAt, collect),
    asked: resolved.asked,
    falls: resolved.falls,
    apart,
    rope: resolved.rope,
    thrown: resolved.thrown,
    buckling: resolved.buckling,
    turning: resolved.turning,
    settling: resolved.settling,
    spins: resolved.spins,
    jam: resolved.jam,
  };
}

/** The load with what pushes on it from outside while it is held: away from rest, whichever way it is held already. */
function heldAgainst({ load, asked, thrown }: ResolvedJob, job: Job, at: Place, collect: FigureCollector): Load {
  // What is thrown is not held.
  if (thrown) return load;
  const figure = load.unit === 'm' ? 'job.heldAgainst' : 'job.heldAgainstTurn';
  const side = collect.takeOptional(figure, job.heldAgainst, [...at, 'heldAgainst']);
  if (!side) return load;
  const onQ = side * asked.perCoordinate;
  return {
    ...load,
    holdForce: (q) => {
      const own = load.holdForce(q);
      return own < 0 ? own - onQ : own + onQ;
    },
  };
}

/**
 * A path: the load side, and what turns it. Put together by assigning, since this is done for every build and candidate
 * and a spread that adds to what it spreads costs some thirty times as much.
 */
export const asPath = <P extends PowerPath, Own extends keyof LoadSide = never>(
  side: LoadSide,
  machine: Omit<P, Exclude<keyof LoadSide, Own>>,
): P => Object.assign(side as LoadSide & P, machine);

/** Bore and holes of the first stage, as the motor meets them. */
export function resolveFirstStage({ choice }: Begun) {
  const [first] = choice.stages;
  return { bore: first?.bore?.si, stageMount: first?.mount };
}
