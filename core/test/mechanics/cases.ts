import {
  checkOf,
  CHECKS,
  ladderOf,
  LIMITS,
  resolvePath,
  runOf,
  SERVO_CHECKS,
  SERVO_LIMITS,
  SITUATIONS,
  STEP_CHECKS,
  STEP_LIMITS,
  type AnyPath,
  type CheckId,
  type CheckRule,
  type Limit,
  type LimitId,
  type MachineKind,
  type PowerPath,
  type SituationId,
} from '../../src/index.js';
import { WORKSHOP } from '../workshop/plans.js';
import { CHECK_MECHANICS } from './checks.js';
import { givesAt } from './limits.js';

/** The tables of core as they are: what is tested is derived from them, not from a copy of their names. */
export const LIMIT_TABLES = { dc: LIMITS, step: STEP_LIMITS, servo: SERVO_LIMITS } as Readonly<
  Record<MachineKind, readonly Limit<PowerPath>[]>
>;
export const CHECK_TABLES = { dc: CHECKS, step: STEP_CHECKS, servo: SERVO_CHECKS } as unknown as Readonly<
  Record<MachineKind, readonly CheckRule<PowerPath>[]>
>;

/** One number or answer of core's, and what plain mechanics make of it. */
export interface Case {
  readonly machine: MachineKind;
  readonly of: 'limit' | 'check';
  readonly id: LimitId | CheckId;
  readonly where: string;
  readonly expected: number | boolean;
  /** Share by which the two may differ: what plain steps, or core's own pieces, err by. */
  readonly within: number;
  /** What core says; `undefined` where it says nothing of it any more. */
  says(): number | boolean | undefined;
}

const LIMITS_WITHIN = 0.005;
const CHECKS_WITHIN = 0.01;
/** The day is counted in six pieces of a go; the capacity law bends between them. */
const COARSER: Readonly<Partial<Record<CheckId, number>>> = { charge: 0.03 };

/** Core's run of a path, once: what a case changes is the judging, not the motion. */
const runs = new WeakMap<AnyPath, ReturnType<typeof runOf>>();
function runOnce(path: AnyPath): ReturnType<typeof runOf> {
  if (!runs.has(path)) runs.set(path, runOf(path));
  return runs.get(path);
}

function limitCases(path: AnyPath, where: string): readonly Case[] {
  return SITUATIONS.flatMap((situation: SituationId) =>
    ladderOf(path, situation).rungs.flatMap((rung): Case[] => {
      // What is out of reach is never first: its capacity is nobody's answer.
      if (rung.outOfReach || rung.capacity === undefined || rung.capacity === 0) return [];
      const expected = givesAt(path, rung.id, situation, rung.capacity);
      if (expected === undefined) return [];
      const says = () => ladderOf(path, situation).rungs.find(({ id }) => id === rung.id)?.capacity;
      return [
        {
          machine: path.machine,
          of: 'limit',
          id: rung.id,
          where: `${where}, ${situation}`,
          expected,
          within: LIMITS_WITHIN,
          says,
        },
      ];
    }),
  );
}

function checkCases(path: AnyPath, where: string): readonly Case[] {
  return CHECK_TABLES[path.machine].flatMap((rule): Case[] => {
    if (!rule.applies(path)) return [];
    const expected = CHECK_MECHANICS[rule.id](path);
    const says = () => {
      const { multiple, verdict } = checkOf(rule, path, rule.run ? runOnce(path) : undefined);
      return multiple ?? (verdict === 'not known' ? undefined : verdict === 'enough');
    };
    if (expected === undefined) return [];
    const within = COARSER[rule.id] ?? CHECKS_WITHIN;
    return [{ machine: path.machine, of: 'check', id: rule.id, where, expected, within, says }];
  });
}

/** Every limit and check of every job in the workshop that plain mechanics have an answer to. */
export function allCases(): readonly Case[] {
  return Object.entries(WORKSHOP).flatMap(([name, plan]) =>
    plan.mechanisms.flatMap((mechanism) =>
      mechanism.jobs.flatMap((job) => {
        const path = resolvePath(plan, mechanism, job.id);
        const where = `${name}, ${mechanism.id}, ${job.name}`;
        return [...limitCases(path, where), ...checkCases(path, where)];
      }),
    ),
  );
}

/** Whether core and plain mechanics agree. */
export function agrees({ expected, within, says }: Case): boolean {
  const said = says();
  if (typeof expected === 'boolean' || typeof said !== 'number') return said === expected;
  return Math.abs(said - expected) <= within * Math.max(Math.abs(expected), 1e-9);
}
