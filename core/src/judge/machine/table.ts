import type { CheckId, CheckRule } from '../limits/check.js';
import { CHECKS, SERVO_CHECKS, STEP_CHECKS } from '../limits/checks/table.js';
import type { Limit, LimitId } from '../limits/limit.js';
import { RUN_NEEDS, SERVO_RUN_NEEDS, STEP_RUN_NEEDS } from '../motion/needs.js';
import { LIMITS, SERVO_LIMITS, STEP_LIMITS } from '../limits/table.js';
import { runBy } from '../motion/runOf.js';
import { servoRun } from '../motion/servoRun.js';
import { stepRun } from '../motion/stepRun.js';
import type { DcPath, MachineKind } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';
import type { Machine } from './machine.js';

const dc: Machine<DcPath> = {
  limits: LIMITS,
  checks: CHECKS,
  leading: ['volts'],
  ceiling: { limit: 'volts', says: 'the voltage runs out first' },
  runNeeds: RUN_NEEDS,
  run: runBy,
};

const step: Machine<StepPath> = {
  limits: STEP_LIMITS,
  checks: STEP_CHECKS,
  leading: ['pull-out', 'peak-torque', 'hold-current'],
  runNeeds: STEP_RUN_NEEDS,
  run: stepRun,
};

const servo: Machine<ServoPath> = {
  limits: SERVO_LIMITS,
  checks: SERVO_CHECKS,
  leading: ['servo', 'servo-hold'],
  ceiling: { limit: 'servo', says: 'the servo stalls first' },
  runNeeds: SERVO_RUN_NEEDS,
  run: servoRun,
};

const MACHINES = { dc, step, servo } satisfies Record<MachineKind, unknown>;

/**
 * What is known of the machine a path is turned by. It takes this path's own kind.
 *
 * @example machineOf(path).limits.length > 0 //=> true
 */
export const machineOf = (path: AnyPath): Machine<AnyPath> =>
  // Each table is asked only with paths of its own kind, which the kind in the path itself sees to.
  MACHINES[path.machine] as unknown as Machine<AnyPath>;

/**
 * The limit of an id. Throws for one that this machine does not have.
 *
 * @example limitOf(path, 'supply').name //=> 'pack-side limit'
 */
export function limitOf(path: AnyPath, id: LimitId): Limit<AnyPath> {
  const found = machineOf(path).limits.find((limit) => limit.id === id);
  if (!found) throw new Error(`a ${path.machine} drive has no limit ${id}`);
  return found;
}

/**
 * The check of an id. Throws for one that this machine does not have.
 *
 * @example checkRule(path, 'in-time').name //=> 'in time'
 */
export function checkRule(path: AnyPath, id: CheckId): CheckRule<AnyPath> {
  const found = machineOf(path).checks.find((rule) => rule.id === id);
  if (!found) throw new Error(`a ${path.machine} drive has no check ${id}`);
  return found;
}

/** Every kind of machine, for tests and pages that go through them all. */
export const MACHINE_KINDS = Object.keys(MACHINES) as readonly MachineKind[];
