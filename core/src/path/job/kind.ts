import type { Words } from '../../plan/words/phrase.js';
import type { FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { FigureName } from '../../plan/figures/table.js';
import type { Job, Output } from '../../plan/document/load.js';
import type { PowerPath } from '../powerpath/path.js';
import type { ResolvedJob } from '../powerpath/resolvedJob.js';
import type { Expression } from '../worked/expression.js';

export interface Places {
  readonly job: Place;
  readonly output: Place;
  /** How many motors have a train and a wheel of their own. */
  readonly apart?: number;
}

/** The formulas behind a job's numbers, built from a path's figures. All on q. */
export interface JobTerms {
  radius(path: PowerPath): Expression;
  /** The load without friction at a place. */
  hold(path: PowerPath, place: number): Expression;
  /** What resists while moving, at a place and the speed the job needs. */
  resisting(path: PowerPath, place: number): Expression;
  inertia(path: PowerPath): Expression;
  /** What the tyres carry; absent where nothing can slip. */
  carried?(path: PowerPath): Expression;
  /** Absent where the job has no end in place. */
  travel?(path: PowerPath): Expression;
  /** Speed it is brought to, where it ends at one. */
  target?(path: PowerPath): Expression;
  /** Torque that brings it back after a go. */
  recovery?(path: PowerPath): Expression;
}

/** One kind of job: one file each. */
export interface JobKindSpec<J extends Job = Job, O extends Output = Output> {
  readonly output: O['kind'];
  read(job: J, output: O, at: Places, collect: FigureCollector): ResolvedJob;
  /** The figure that mends by being lighter. */
  readonly heavy: FigureName;
  /** The figure of the radius, where the output has one. */
  readonly radiusFigure?: FigureName;
  /** The output as the strip names it, what its force is called, and its size. */
  readonly outputTitle: string;
  readonly outputWord: string;
  outputDetail(path: PowerPath): Words;
  /** The load in a few words. */
  detail(path: PowerPath): Words;
  readonly terms: JobTerms;
  /** Seconds the working situation lasts, where it is not the job's time. */
  workingSeconds?(path: PowerPath): Expression;
}
