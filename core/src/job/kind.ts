import type { FigureCollector } from '../figures/collector.js';
import type { Place } from '../figures/figure.js';
import type { FigureName } from '../figures/table.js';
import type { Asked, Load } from '../load/load.js';
import type { ShotFigures } from '../load/shot.js';
import type { Job } from '../plan/job.js';
import type { Output } from '../plan/plan.js';
import type { PowerPath } from '../powerpath/path.js';
import type { Expression } from '../worked/expression.js';

/** The load side of a path: how the output turns into q, what resists, and what is asked. */
export interface ResolvedJob {
  /** Units of q per radian of the output shaft: metres for a wheel or drum, 1 for what turns. */
  readonly radius: number;
  /** What the output itself leaves of the force, 0…1; nothing is lost where absent. */
  readonly outputEfficiency?: number;
  readonly load: Load;
  readonly asked: Asked;
  readonly rope?: { readonly strength: number; readonly knotted: boolean };
  readonly shot?: ShotFigures;
  readonly buckling?: { readonly diameter: number; readonly length: number; readonly endFactor: number };
  readonly settling?: { readonly window: number; readonly counts: number | undefined; readonly backlash: number };
  /** Something falls when the power goes. */
  readonly lifted?: boolean;
  /** How long it may stall at full effort, s. */
  readonly jam?: number;
}

export interface Places {
  readonly job: Place;
  readonly output: Place;
}

/** The formulas behind a job's numbers, built from a path's figures. All on q. */
export interface JobTerms {
  radius(path: PowerPath): Expression;
  /** The load without friction at a place. */
  hold(path: PowerPath, place: number): Expression;
  /** What resists while moving, at a place and the speed the job needs. */
  resisting(path: PowerPath, place: number): Expression;
  inertia(path: PowerPath): Expression;
  /** Absent where the job has no end in place. */
  travel?(path: PowerPath): Expression;
  /** Speed it is brought to, where it ends at one. */
  target?(path: PowerPath): Expression;
  /** Torque that brings it back after a go. */
  recovery?(path: PowerPath): Expression;
}

/** One kind of job: one file each. */
export interface JobKind<J extends Job = Job, O extends Output = Output> {
  readonly output: O['kind'];
  read(job: J, output: O, at: Places, collect: FigureCollector): ResolvedJob;
  /** The figure that mends by being lighter. */
  readonly heavy: FigureName;
  /** The figure of the radius, where the output has one. */
  readonly radiusFigure?: FigureName;
  /** The output as the strip names it, what its force is called, and its size. */
  readonly outputTitle: string;
  readonly outputWord: string;
  outputDetail(path: PowerPath): string;
  /** The load in a few words. */
  detail(path: PowerPath): string;
  readonly terms: JobTerms;
  /** Seconds the working situation lasts, where it is not the job's time. */
  workingSeconds?(path: PowerPath): Expression;
}
