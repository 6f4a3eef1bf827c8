import type { DcPath } from '../../path/powerpath/path.js';
import { freeSpeedAt } from '../../models/motor/peaks.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import type { MotorPart } from '../../plan/document/part.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { resolveDcPath } from '../../path/resolve/resolvePath.js';

/** What is kept the same when drives are compared: nothing but the job, how fast the output can go, the motor's can, or its grams. */
export const LIKES = [
  {
    id: 'job',
    name: 'the same job',
    says: 'each with whatever total suits it: what does the job best, whether or not the drives are of a size',
  },
  {
    id: 'speed',
    name: 'the same wheel speed',
    says: 'each geared so that the output, unloaded, is as fast as today: what it then gives at the slow end is compared',
  },
  {
    id: 'can',
    name: 'the same can',
    says: 'only motors whose can is as wide as today’s within a tenth, so that it goes in the same hole',
  },
  {
    id: 'can and speed',
    name: 'the same can and wheel speed',
    says: 'both at once: what goes in the same hole, geared so that the output, unloaded, is as fast as today',
  },
  {
    id: 'mass',
    name: 'the same mass',
    says: 'only motors as heavy as today’s within a seventh: what the same grams give',
  },
] as const;
export type Like = (typeof LIKES)[number]['id'];

/** Cans as wide as each other within this share go for the same. */
const SAME_CAN = 0.1;

/**
 * Whether two motors have the same can; `undefined` where the width of one is not known.
 *
 * @example sameCan({ canDiameter: { si: 0.036 } }, { canDiameter: { si: 0.035 } }) //=> true
 */
export function sameCan(
  a: { readonly canDiameter?: Pick<NonNullable<MotorPart['canDiameter']>, 'si'> },
  b: { readonly canDiameter?: Pick<NonNullable<MotorPart['canDiameter']>, 'si'> },
): boolean | undefined {
  if (!a.canDiameter || !b.canDiameter) return undefined;
  const [least, most] = [a.canDiameter.si, b.canDiameter.si].sort((x, y) => x - y);
  return least! >= (1 - SAME_CAN) * most!;
}

/** Motors as heavy as each other within this share go for the same. */
const SAME_MASS = 0.15;

/**
 * Whether two motors are as heavy; `undefined` where the mass of one is not known.
 *
 * @example sameMass({ mass: { si: 0.4 } }, { mass: { si: 0.36 } }) //=> true
 */
export function sameMass(
  a: { readonly mass?: Pick<NonNullable<MotorPart['mass']>, 'si'> },
  b: { readonly mass?: Pick<NonNullable<MotorPart['mass']>, 'si'> },
): boolean | undefined {
  if (!a.mass || !b.mass) return undefined;
  const [least, most] = [a.mass.si, b.mass.si].sort((x, y) => x - y);
  return least! >= (1 - SAME_MASS) * most!;
}

/** Whether the output is to be as fast as today: the total follows from the motor then. */
export const likeInSpeed = (like: Like | undefined): boolean => like === 'speed' || like === 'can and speed';

/** Whether only motors with the can of the one that is there are taken. */
export const likeInCan = (like: Like | undefined): boolean => like === 'can' || like === 'can and speed';

/** Whether a motor may stand beside another where they are to be alike; unknown is not alike. */
export function alike(like: Like, own: MotorPart | undefined, other: MotorPart): boolean {
  if (likeInCan(like)) return own !== undefined && sameCan(own, other) === true;
  return like !== 'mass' || (own !== undefined && sameMass(own, other) === true);
}

/** Speed of the output with nothing to move, rad/s of the last shaft; `undefined` where the drive is not known. */
export function unloadedOutput({ drive, train, lacks }: DcPath): number | undefined {
  if (lacks.motor || lacks.pack || lacks.train) return undefined;
  return freeSpeedAt(drive.motor, drive.restVoltage) / train.total;
}

/** The same of a mechanism as its choice in force is, whatever its job; `undefined` too where it is no plain motor. */
export function outputSpeedNow(plan: Plan, mechanism: Mechanism): number | undefined {
  const [job] = mechanism.jobs;
  if (!job || currentChoice(mechanism).drive.kind !== 'dc') return undefined;
  return unloadedOutput(resolveDcPath(plan, mechanism, job.id));
}

/**
 * The total at which a motor turns the output, unloaded, at a speed.
 *
 * @param output rad/s of the last shaft
 * @param volts at the motor
 * @example totalForSpeed(motor, 12, freeSpeedAt(motor, 12) / 8) //=> 8
 */
export const totalForSpeed = (motor: MotorConstants, volts: number, output: number): number =>
  freeSpeedAt(motor, volts) / output;
