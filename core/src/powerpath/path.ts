import type { Drive } from '../controller/drive.js';
import type { Figure, Lack, Need } from '../figures/figure.js';
import type { Asked, Load } from '../load/load.js';
import type { MotorAudit } from '../motor/audit.js';
import type { MotorThermal } from '../motor/heat.js';
import type { PackFigures } from '../pack/pack.js';
import type { MechanismKind, Holder } from '../plan/plan.js';
import type { Job } from '../plan/job.js';
import type { Stage } from '../plan/stage.js';
import type { Breaker } from '../protection/breaker.js';
import type { Train } from '../reduction/train.js';

export interface PathPack {
  readonly figures: PackFigures;
  readonly charge: number;
  readonly others: number;
  readonly resistance: number;
  readonly full: number;
  readonly floor: number;
  readonly dischargeLimit: number;
}

export interface PathProtection {
  readonly breaker?: Breaker;
  readonly gauge: number;
  readonly wireResistance: number;
}

/** One job of one mechanism with every figure resolved: all that limits, motion and sweeps read. */
export interface PowerPath {
  readonly mechanismId: string;
  readonly mechanismKind: MechanismKind;
  readonly job: Job;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly lacks: Readonly<Partial<Record<Need, readonly Lack[]>>>;
  readonly drive: Drive;
  readonly pack: PathPack;
  readonly main?: PathProtection;
  readonly branch: PathProtection & { readonly together: boolean };
  readonly controller: {
    readonly lowestVoltage: number;
    readonly highestVoltage: number;
    readonly erpmLimit: number;
    readonly drives: readonly string[];
  };
  readonly motor: {
    readonly type: 'brushed' | 'brushless';
    readonly audit: MotorAudit;
    readonly thermal: MotorThermal;
    readonly continuousCurrent: number;
    readonly polePairs: number | undefined;
  };
  readonly stages: readonly Stage[];
  /** The stages and, last, what the output itself loses. */
  readonly train: Train;
  /** Metres of q per radian of the output shaft. */
  readonly radius: number;
  readonly load: Load;
  readonly asked: Asked;
  readonly holder: Holder;
  /** Present where the output hangs on a rope of known strength. */
  readonly rope?: { readonly strength: number; readonly knotted: boolean };
}

/** Motor speed for a speed of q. */
export const motorSpeed = (path: PowerPath, speed: number): number => (speed * path.train.total) / path.radius;

/** The lacks among some needs, each once. */
export function lacksOf(path: PowerPath, needs: readonly Need[]): readonly Lack[] {
  return needs.flatMap((need) => path.lacks[need] ?? []);
}

/** The same path with another total reduction; losses stay. Sweeps use it. */
export function withTotal(path: PowerPath, total: number): PowerPath {
  return { ...path, train: { ...path.train, total } };
}
