import type { FigureCollector } from '../../plan/figures/collector.js';
import type { Job, JobKind, MechanismKind, Output } from '../../plan/document/load.js';
import type { ResolvedJob } from '../powerpath/resolvedJob.js';
import { grip, gripWish } from './grip.js';
import { convey, rollerWish } from './convey.js';
import type { JobKindSpec, Places } from './kind.js';
import { climbWish, haul, liftWish, raise } from './rope.js';
import { throwerWish, throwPiece } from './throw.js';
import { carriageWish, slide } from './slide.js';
import { legWish, stride } from './stride.js';
import { armWish, swing } from './swing.js';
import { turn, turntableWish } from './turn.js';
import { skidTurn } from './skid.js';
import { driveBaseWish, push, sprint } from './wheels.js';
import type { WishKind } from './wish.js';

/** Every kind of job. A new one is one new file and one line here. */
const KINDS = {
  sprint,
  push,
  skid: skidTurn,
  raise,
  swing,
  haul,
  throw: throwPiece,
  convey,
  turn,
  slide,
  grip,
  stride,
} satisfies { readonly [K in JobKind]: { readonly output: Output['kind'] } };

interface MechanismJobs {
  /** The first one first. */
  readonly jobs: readonly JobKind[];
  /** Those it may do beside them. */
  readonly also?: readonly JobKind[];
  /** What it ends in. */
  readonly output: Output['kind'];
  /** It rolls or spins on, and has no end to stop at. */
  readonly endless: boolean;
  /** What turns has a friction of its own, which a trial of the whole mechanism finds. */
  readonly ownFriction: boolean;
}

/** What a kind of mechanism does. */
export const MECHANISM_JOBS: Readonly<Record<MechanismKind, MechanismJobs>> = {
  'drive-base': { jobs: ['sprint', 'push'], also: ['skid'], output: 'wheels', endless: true, ownFriction: false },
  lift: { jobs: ['raise'], output: 'drum', endless: false, ownFriction: false },
  arm: { jobs: ['swing'], output: 'arm', endless: false, ownFriction: true },
  climb: { jobs: ['haul'], output: 'drum', endless: false, ownFriction: false },
  thrower: { jobs: ['throw'], output: 'flywheel', endless: true, ownFriction: true },
  roller: { jobs: ['convey'], output: 'roller', endless: true, ownFriction: false },
  turntable: { jobs: ['turn'], output: 'turntable', endless: false, ownFriction: true },
  carriage: { jobs: ['slide'], output: 'carriage', endless: false, ownFriction: false },
  grip: { jobs: ['grip'], output: 'grip', endless: false, ownFriction: false },
  leg: { jobs: ['stride'], output: 'leg', endless: false, ownFriction: false },
};

/**
 * Every job a kind of mechanism may do.
 *
 * @example jobsOf('drive-base') //=> ['sprint', 'push', 'skid']
 */
export const jobsOf = (kind: MechanismKind): readonly JobKind[] => [
  ...MECHANISM_JOBS[kind].jobs,
  ...(MECHANISM_JOBS[kind].also ?? []),
];

/**
 * What is known of a kind of job.
 *
 * @example jobKindOf('raise').outputTitle //=> 'Drum'
 */
export const jobKindOf = (kind: JobKind): JobKindSpec => KINDS[kind] as unknown as JobKindSpec;

/** Reads a job and the output that does it. Throws where the document pairs a job with another kind of output. */
export function resolveJob(job: Job, output: Output, at: Places, collect: FigureCollector): ResolvedJob {
  const kind = jobKindOf(job.kind);
  if (output.kind !== kind.output) throw new Error(`this job needs ${kind.output} at its output, not ${output.kind}`);
  return kind.read(job, output, at, collect);
}

/** Every kind of mechanism, as the dialog offers them. */
export const WISHES: Readonly<Record<MechanismKind, WishKind>> = {
  'drive-base': driveBaseWish,
  lift: liftWish,
  arm: armWish,
  climb: climbWish,
  thrower: throwerWish,
  roller: rollerWish,
  turntable: turntableWish,
  carriage: carriageWish,
  grip: gripWish,
  leg: legWish,
};
