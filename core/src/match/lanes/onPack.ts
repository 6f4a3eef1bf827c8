import { cellsOf } from '../../models/pack/cells.js';
import { cellRestVoltage } from '../../models/pack/restVoltage.js';
import { FigureCollector } from '../../plan/figures/collector.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import type { MotorThermal } from '../../models/motor/heat.js';
import { holdCurrentOf } from '../../judge/duty/cycle.js';
import type { Asked } from '../../models/load/load.js';
import type { ThrowFigures } from '../../models/load/throw.js';
import type { Run } from '../../judge/motion/run.js';
import { trapezoidOf } from '../../judge/motion/runOf.js';
import { brakingCurve, type BrakingCurve } from '../../judge/motion/stopThere.js';
import { systemOf, type MotionSystem } from '../../judge/motion/system.js';
import type { Trapezoid } from '../../judge/motion/trapezoid.js';
import { mechanismById } from '../../plan/document/place.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Chemistry } from '../../plan/document/part.js';
import type { MatchScript } from '../../plan/document/script.js';
import type { PackNode } from '../../plan/document/supply.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { PathRail } from '../../path/powerpath/servoPath.js';
import { holdingCurrent } from '../../models/protection/breaker.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { resolveSupply } from '../../path/resolve/resolveSupply.js';
import { runOf } from '../../judge/evaluate/mechanism.js';

/** A breaker in a match: what it carries for ever, and how fast it warms. */
export interface BreakerOn {
  readonly holds: number;
  readonly timeConstant: number;
}

/** The pack that all of a match hangs on, with the wire all share. */
export interface PackOn {
  /** Of the pack alone, and of the wire behind it that all share, Ω. */
  readonly resistance: number;
  readonly mainResistance: number;
  /** Charge of a full pack, A·s; absent where it is not known. */
  readonly capacity?: number;
  readonly capacityExponent: number;
  readonly usable: number;
  /** V under which the cells are harmed, and under which the boards give up. */
  readonly floor: number;
  readonly brownOut: number;
  readonly main?: BreakerOn;
  /** Decides what cold does to it. */
  readonly chemistry?: Chemistry;
  /** V at rest for a share of charge. */
  restAt(charge: number): number;
}

/** Motors behind speed controllers: they are marched. */
export interface MovedJob {
  readonly kind: 'moved';
  readonly system: MotionSystem;
  readonly asked: Asked;
  /** What holds the load afterwards, A of one motor; 0 where something else does. */
  readonly holdCurrent: number;
  readonly thrown?: ThrowFigures;
  /** Where the brakes go on, of a job that stops at its end. */
  readonly curve?: BrakingCurve;
  /** The commanded motion, where the job asks for one. */
  readonly trapezoid?: Trapezoid;
  /** Seconds with the pack to itself; absent where it does not arrive. */
  readonly alone?: number;
}

/** Pulses and servos: what they take over time is known beforehand, as power. */
export interface TimedJob {
  readonly kind: 'timed';
  readonly run: Pick<Run, 'time' | 'samples' | 'outcome'>;
  /** Seconds it may take; absent where pulses command it to take just that long. */
  readonly wanted?: number;
}

export type JobOn = MovedJob | TimedJob;

/** A lane with everything resolved; what cannot be marched says why. */
export interface LaneOn {
  readonly mechanism: string;
  readonly name: string;
  readonly jobs: ReadonlyMap<string, JobOn>;
  /** Ω in front of one motor's controller, past what all share. */
  readonly branchResistance: number;
  readonly branch?: BreakerOn & { readonly together: boolean };
  readonly motors: number;
  readonly brushless: boolean;
  /** Least volts its controller works at; absent where it has none of its own. */
  readonly lowestVoltage?: number;
  readonly thermal?: MotorThermal;
  readonly resistance?: number;
  /** What servos hang on, where something other than the pack feeds it: its volts, and the most it gives, A. */
  readonly rail?: { readonly id: string; readonly name: string; readonly voltage: number; readonly burst: number };
  /** Figures without which it stands still in the match. */
  readonly lacking?: string;
}

/** Everything a match needs of a plan, resolved once. */
export interface RobotOnPack {
  readonly pack: PackOn;
  readonly lanes: readonly LaneOn[];
}

const breakerOn = (breaker: Parameters<typeof holdingCurrent>[0] | undefined): BreakerOn | undefined =>
  breaker && holdingCurrent(breaker) > 0 && breaker.timeConstant > 0
    ? { holds: holdingCurrent(breaker), timeConstant: breaker.timeConstant }
    : undefined;

/** The pack of a robot; `undefined` where it has none, or a figure of it is missing. */
export function packOn(plan: Plan): PackOn | undefined {
  const node = plan.supply.find((one): one is PackNode => one.kind === 'pack');
  const part = node && plan.parts[node.part]?.part;
  if (!node || part?.kind !== 'pack') return undefined;
  const collect = new FigureCollector();
  const below = plan.supply.find((one) => one.kind === 'main') ?? node;
  const { pack, main } = resolveSupply(plan, below.id, 1, collect);
  if (collect.lacks().pack || !Number.isFinite(pack.resistance)) return undefined;
  return {
    resistance: pack.resistance,
    capacity: pack.capacity,
    capacityExponent: pack.capacityExponent,
    usable: pack.usable,
    floor: pack.floor,
    brownOut: pack.brownOut,
    mainResistance: Number.isFinite(main?.wireResistance) ? main!.wireResistance : 0,
    main: breakerOn(main?.breaker),
    chemistry: part.chemistry,
    restAt: (charge) => cellsOf(part) * cellRestVoltage(part.chemistry, charge),
  };
}

/** A robot with the lanes of a script; `undefined` where nothing is known of its pack. */
export function robotOnPack(plan: Plan, script: Pick<MatchScript, 'lanes'>): RobotOnPack | undefined {
  const pack = packOn(plan);
  if (!pack) return undefined;
  // A lane of a mechanism that is gone keeps its place: goes are told by the number of their lane.
  const lanes = script.lanes.map(({ mechanism }) =>
    plan.mechanisms.some(({ id }) => id === mechanism)
      ? laneOn(plan, mechanismById(plan, mechanism))
      : emptyLane(mechanism),
  );
  return { pack, lanes };
}

function curveOf(path: DcPath): BrakingCurve | undefined {
  const { travel, profile } = path.asked;
  return travel !== undefined && profile === 'stop' ? brakingCurve(systemOf(path), travel) : undefined;
}

const timedJob = ({ machine, asked }: AnyPath, run: Run): TimedJob => ({
  kind: 'timed',
  run,
  wanted: machine === 'step' ? undefined : asked.time,
});

const movedJob = (path: DcPath, run: Run): MovedJob => ({
  kind: 'moved',
  system: systemOf(path),
  asked: path.asked,
  holdCurrent: holdCurrentOf(path),
  thrown: path.thrown,
  curve: curveOf(path),
  trapezoid: path.asked.travel !== undefined && path.asked.profile === 'trapezoid' ? trapezoidOf(path) : undefined,
  alone: run.outcome === 'arrived' ? run.time : undefined,
});

const emptyLane = (mechanism: string): LaneOn => ({
  mechanism,
  name: mechanism,
  jobs: new Map(),
  branchResistance: 0,
  motors: 1,
  brushless: false,
  lacking: 'the mechanism',
});

/** Volts under which a controller or driver gives up; servos have none of their own. */
function lowestOf(path: AnyPath): number {
  switch (path.machine) {
    case 'dc':
      return path.controller.lowestVoltage;
    case 'step':
      return path.driver.lowestVoltage;
    case 'servo':
      return NaN;
  }
}

const railOf = ({ id, name, source, voltage, burst }: PathRail): LaneOn['rail'] =>
  source !== 'pack' && Number.isFinite(voltage * burst) ? { id, name, voltage, burst } : undefined;

function laneOn(plan: Plan, mechanism: Mechanism): LaneOn {
  const jobs = new Map<string, JobOn>();
  let lacking: string | undefined;
  for (const { id } of mechanism.jobs) {
    const path = resolvePath(plan, mechanism, id);
    const run = runOf(path);
    if (!run) lacking ??= Object.values(path.lacks).flat()[0]?.label ?? 'a figure';
    else jobs.set(id, path.machine === 'dc' ? movedJob(path, run) : timedJob(path, run));
  }
  const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  const { branch, motors } = path;
  const breaker = breakerOn(path.lacks['branch breaker'] ? undefined : branch.breaker);
  const wire = Number.isFinite(branch.wireResistance) ? branch.wireResistance : 0;
  const dc = path.machine === 'dc' ? path : undefined;
  return {
    mechanism: mechanism.id,
    name: mechanism.name,
    jobs,
    branchResistance: (branch.together ? motors : 1) * wire,
    branch: breaker && { ...breaker, together: branch.together },
    motors: currentChoice(mechanism).drive.kind === 'servo' ? 1 : motors,
    brushless: dc?.motor.type === 'brushless',
    lowestVoltage: ifFinite(lowestOf(path)),
    thermal:
      dc && Number.isFinite(dc.motor.thermal.windingCapacity * dc.drive.motor.resistance)
        ? dc.motor.thermal
        : undefined,
    resistance: dc?.drive.motor.resistance,
    rail: path.machine === 'servo' ? railOf(path.rail) : undefined,
    lacking: jobs.size === 0 ? lacking : undefined,
  };
}
