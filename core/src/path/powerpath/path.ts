import type { Drive } from '../../models/controller/drive.js';
import type { Figure, Lack, Need } from '../../plan/figures/figure.js';
import type { ResolvedJob } from './resolvedJob.js';
import type { Dragged } from '../../models/load/dragged.js';
import { worstPlace, type Asked, type Load } from '../../models/load/load.js';
import type { MotorAudit } from '../../models/motor/audit.js';
import type { MotorThermal } from '../../models/motor/heat.js';
import type { PackFigures } from '../../models/pack/pack.js';
import type { Part, StartStyle } from '../../plan/document/part.js';
import type { Holder, Job, MechanismKind } from '../../plan/document/load.js';
import type { DcDrive } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import type { Breaker } from '../../models/protection/breaker.js';
import type { Train } from '../../models/reduction/train.js';
import type { PathMemory } from './memory.js';
import type { StageParts } from './stageParts.js';

export interface PathPack {
  readonly figures: PackFigures;
  readonly charge: number;
  readonly others: number;
  readonly resistance: number;
  readonly full: number;
  readonly floor: number;
  readonly dischargeLimit: number;
  readonly chargeLimit: number;
  /** Charge of a full pack, A·s; absent where it is not known. */
  readonly capacity: number | undefined;
  readonly capacityExponent: number;
  readonly usable: number;
  /** Volts at which the robot's computers give up. */
  readonly brownOut: number;
}

export interface PathProtection {
  readonly breaker?: Breaker;
  readonly gauge: number;
  /** Both ways, plugs included, Ω. */
  readonly wireResistance: number;
  readonly connectorRated?: number;
}

/** How the day goes: s, s, and how many matches in a row. */
export interface MatchFigures {
  readonly length: number;
  readonly rest: number;
  readonly rounds: number;
}

/** How wet and dirty it is where the job is done, and what the parts it meets say they stand. */
export interface Surroundings {
  readonly wet?: Job['wet'];
  readonly dirt?: Job['dirt'];
  readonly counts: NonNullable<Job['surroundings']>;
  readonly parts: readonly Pick<Part, 'name' | 'sealing' | 'dirt'>[];
}

/** What turns the output: motors behind speed controllers, a stepping motor, a position servo. */
export type MachineKind = 'dc' | 'step' | 'servo';

/** One job of one mechanism with every figure resolved: what every machine's path holds. */
export interface PowerPath {
  /** What was worked out on this very path: see `oncePer`. */
  readonly memory: PathMemory;
  readonly machine: MachineKind;
  readonly mechanismId: string;
  readonly mechanismKind: MechanismKind;
  readonly job: Job;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly lacks: Readonly<Partial<Record<Need, readonly Lack[]>>>;
  /** Motors (or servos) in all on this output. */
  readonly motors: number;
  /** How many of them have a train of their own; absent where all turn one. */
  readonly apart?: number;
  readonly pack: PathPack;
  /** Pack at rest, lowered by what the rest of the robot draws, V. */
  readonly restVoltage: number;
  readonly main?: PathProtection;
  readonly branch: PathProtection & { readonly together: boolean };
  readonly match: MatchFigures;
  readonly stages: readonly Stage[];
  /** What the stages are made of, in the same order. */
  readonly stageParts: readonly StageParts[];
  /** The stages and, last, what the output itself loses. */
  readonly train: Train;
  /** Units of q per radian of the output shaft: metres for a wheel or drum, 1 for what turns. */
  readonly radius: number;
  readonly load: Load;
  readonly asked: Asked;
  readonly holder: Holder;
  /** Present where something falls when the power goes. */
  readonly falls?: ResolvedJob['falls'];
  /** Present where the output hangs on a rope of known strength. */
  readonly rope?: ResolvedJob['rope'];
  readonly thrown?: ResolvedJob['thrown'];
  readonly buckling?: ResolvedJob['buckling'];
  readonly turning?: ResolvedJob['turning'];
  readonly settling?: ResolvedJob['settling'];
  readonly spins?: ResolvedJob['spins'];
  /** Motors that only turn along. */
  readonly dragged?: Dragged;
  readonly jam?: number;
  /** Present where it is wet or dirty. */
  readonly surroundings?: Surroundings;
  /** What the parts say of how they go together. */
  readonly fitting?: {
    readonly shaft: number | undefined;
    /** Of the first stage. */
    readonly bore: number | undefined;
    readonly mount: string | undefined;
    readonly stageMount: string | undefined;
    /** Timed for one sense of rotation, and whether it is set the other way. */
    readonly timed: boolean;
    readonly against: boolean;
  };
}

/** Direct-current motors behind their controllers: all that limits, motion and sweeps read. */
export interface DcPath extends PowerPath {
  readonly machine: 'dc';
  readonly drive: Drive;
  readonly controller: {
    readonly lowestVoltage: number;
    readonly highestVoltage: number;
    readonly erpmLimit: number;
    readonly drives: readonly string[];
    readonly startStyle: StartStyle;
    /** rad/s of the field */
    readonly leastErpm: number;
    readonly dutyStep: number;
    readonly resistance: number;
    readonly switching: number;
    /** Of one motor, A; absent where its sheet does not say. */
    readonly continuousCurrent: number | undefined;
    /** Limits that are set for this mechanism above what the controller's sheet gives, A. */
    readonly overSheet: readonly { readonly limit: string; readonly set: number; readonly sheet: number }[];
  };
  /** What is set in the controller for this mechanism. */
  readonly control: {
    readonly rampTime: number;
    readonly rollBack: number;
    readonly dragOffset: number;
    /** rad of the field. */
    readonly timing: number;
    /** Of a turn of the shaft the encoder sits on; absent where there is none. */
    readonly encoderCounts: number | undefined;
    readonly encoderOn: NonNullable<DcDrive['encoderOn']>;
    readonly idle: NonNullable<DcDrive['idle']>;
    readonly mode: NonNullable<DcDrive['control']>;
  };
  readonly motor: {
    readonly type: 'brushed' | 'brushless';
    readonly audit: MotorAudit;
    readonly thermal: MotorThermal;
    readonly continuousCurrent: number;
    /** Of the shaft: pole pairs times the gear inside. */
    readonly polePairs: number | undefined;
    readonly sensors: boolean;
    readonly shaftDiameter: number | undefined;
    /** V and rad/s it may be given and turn at; `undefined` where there is no telling. */
    readonly highestVoltage: number | undefined;
    readonly highestSpeed: number | undefined;
    /** s at the steady current and the free speed; absent without brushes. */
    readonly brushLife: number | undefined;
    /** N·m */
    readonly detent: number;
  };
}

/** Where a load is worst for what is asked of it. */
interface WorstPlaces {
  readonly asked: Asked;
  working?: number;
  starting?: number;
  holding?: number;
  driven?: number;
}

/** By load: every total of every drive asks for the same ones, and none of them depends on what drives it. */
const worstKnown = new WeakMap<Load, WorstPlaces>();

function worstOf({ load, asked }: PowerPath): WorstPlaces {
  let places = worstKnown.get(load);
  if (places?.asked !== asked) worstKnown.set(load, (places = { asked }));
  return places!;
}

/**
 * The place of q at which the load resists most while working.
 *
 * @example worstWorkingPlace(path) //=> 0
 */
export const worstWorkingPlace = (path: PowerPath): number => {
  const { asked, load } = path;
  return (worstOf(path).working ??= worstPlace(asked.travel, load, (q) => load.force(q, asked.speed)));
};

/**
 * The place of q at which starting is hardest.
 *
 * @example worstStartingPlace(path) //=> 0
 */
export const worstStartingPlace = (path: PowerPath): number => {
  const { asked, load } = path;
  return (worstOf(path).starting ??= worstPlace(
    asked.travel,
    load,
    (q) => load.force(q, 0) + load.inertia(q) * asked.acceleration,
  ));
};

/**
 * The place of q at which holding is hardest, or the one it is held at.
 *
 * @example worstHoldingPlace(path) //=> 0
 */
export const worstHoldingPlace = (path: PowerPath): number => {
  const { asked, load } = path;
  return (
    asked.holdPlace ?? (worstOf(path).holding ??= worstPlace(asked.travel, load, (q) => Math.abs(load.holdForce(q))))
  );
};

/**
 * What has to be held at rest, friction left out, whichever way it pulls: N or N·m. 0 where friction holds it anyway.
 *
 * @example heldForce(path) //=> 196.1
 */
export function heldForce(path: PowerPath): number {
  const pulls = Math.abs(path.load.holdForce(worstHoldingPlace(path)));
  return pulls <= (path.load.rest?.force ?? 0) ? 0 : pulls;
}

/**
 * The place of q at which the load pushes on hardest while it is let go.
 *
 * @example worstDrivenPlace(path) //=> 0
 */
export const worstDrivenPlace = (path: PowerPath): number => {
  const { asked, load } = path;
  return (worstOf(path).driven ??= worstPlace(asked.travel, load, (q) => -load.force(q, 0)));
};

/**
 * Motor speed for a speed of q.
 *
 * @example motorSpeed(path, 0.844) //=> 345.3
 */
export const motorSpeed = (path: PowerPath, speed: number): number => (speed * path.train.total) / path.radius;

/**
 * The lacks among some needs, each once.
 *
 * @example lacksOf(path, ['motor', 'pack']) //=> []
 */
export function lacksOf({ lacks }: PowerPath, needs: readonly Need[]): readonly Lack[] {
  // Asked for every limit and check of every keystroke, and nearly always there is none.
  for (const need of needs) if (lacks[need]) return needs.flatMap((one) => lacks[one] ?? []);
  return NONE;
}

const NONE: readonly Lack[] = [];

/**
 * The same path with another total reduction; losses stay. Sweeps use it.
 *
 * @example withTotal(path, 12).train.total //=> 12
 */
export function withTotal<P extends PowerPath>(path: P, total: number): P {
  return { ...path, memory: new Map(), train: { ...path.train, total } };
}
