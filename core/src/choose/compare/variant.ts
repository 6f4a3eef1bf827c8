import { mechanismAt, mechanismById } from '../../plan/document/place.js';
import { drivePoint } from '../../models/controller/drivePoint.js';
import { brakePoint } from '../../models/controller/brakePoint.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import { controllerHeat } from '../../models/controller/heat.js';
import { dayOf } from '../../judge/duty/day.js';
import { packLasts } from '../../judge/duty/lives.js';
import { runOf, type Headline } from '../../judge/evaluate/mechanism.js';
import { stockFigures } from '../../judge/evaluate/measure.js';
import type { Run } from '../../judge/motion/run.js';
import { forceOf } from '../../judge/limits/electric/electricLimit.js';
import { situationOf, SITUATION_NEEDS } from '../../judge/limits/situation.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { operatingAt } from '../../path/powerpath/operating.js';
import { lacksOf, motorSpeed } from '../../path/powerpath/path.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { creepSpeedOf, topSpeedOf } from '../../judge/evaluate/endSpeeds.js';
import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import { usedElsewhere } from '../../plan/document/stockOf.js';
import { withGear, type Gear } from './gearOverJobs.js';

/** One way to change a design, to be compared with others. */
export interface Variant {
  readonly id: string;
  readonly label: string;
  readonly changes: readonly Change[];
  /** How it is geared where its changes do not say. */
  readonly gear?: Gear;
  /** Its go is the one that is asked, at the speed and the acceleration of the job: the same work as others, not flat out. */
  readonly asAsked?: true;
  /** Said beside it. */
  readonly note?: string;
  /** Nothing turns it any more: it has no numbers. */
  readonly dead?: true;
}

/** What a variant does on this very job. Missing numbers are absent, never guessed. */
export interface VariantResult {
  readonly id: string;
  readonly label: string;
  readonly note?: string;
  readonly changes: readonly Change[];
  /** Over all jobs. */
  readonly headline: Headline;
  readonly total: number;
  readonly time?: number;
  /** Output force or torque at rest, at full effort. */
  readonly pull?: number;
  /** The fastest it runs under its load, and the slowest it keeps: of the load, m/s or rad/s. */
  readonly top?: number;
  readonly creep?: number;
  /** Braking force at the speed the job needs. */
  readonly braking?: number;
  /** While working, of one motor, A. */
  readonly motorCurrent?: number;
  readonly supplyCurrent?: number;
  /** Copper heat while working, of all motors and all controllers, W. */
  readonly motorHeat?: number;
  readonly controllerHeat?: number;
  /** How long the pack keeps the job going over and over, alone on it, s; ∞ beyond a day of matches. */
  readonly runTime?: number;
  /** Hottest winding over the matches, °C; of one that burns out when instead, s of the duty. */
  readonly hottest?: number;
  readonly burnsOutAfter?: number;
  /** Motors, controllers and breakers to buy, wire and keep spares of. */
  readonly parts: number;
  /** Motors, controllers, wheels and what runs between them, kg, and what is still to be paid for them. */
  readonly mass?: number;
  readonly price?: number;
}

/** Notes that stand beside each other; `undefined` where there is none. */
export const joinedNotes = (...notes: readonly (string | undefined)[]): string | undefined =>
  notes.filter((note) => note !== undefined).join('; ') || undefined;

/** Judges a variant over all jobs of the mechanism; the numbers are those of one job. */
export function compareVariant(plan: Plan, mechanismId: string, jobId: string, variant: Variant): VariantResult {
  const { changes, note } = withGear(plan, mechanismId, variant);
  const changed = applyChanges(plan, changes);
  const mechanism = mechanismById(changed, mechanismId);
  const { headline, path, result } = judgedOver(changed, mechanism, jobId);
  const cost = costOf(changed, mechanism);
  if (variant.dead) return deadResult(variant, jobId, path, cost);
  return {
    id: variant.id,
    label: variant.label,
    changes,
    note: joinedNotes(variant.note, note),
    headline,
    total: path.train.total,
    parts: partsOf(path),
    ...numbersOf(path, variant.asAsked ? runAsAsked(changed, mechanism, path) : result.run),
    ...cost,
  };
}

/** The go of a job as it is asked; what goes on and on has none, and runs as it does. */
function runAsAsked(plan: Plan, mechanism: Mechanism, path: AnyPath): Run | undefined {
  if (path.asked.travel === undefined) return runOf(path);
  const job = mechanism.jobs.findIndex(({ id }) => id === path.job.id);
  const asked = applyChanges(plan, [
    { at: [...mechanismAt(plan, mechanism.id), 'jobs', job, 'profile'], to: 'trapezoid' },
  ]);
  return runOf(resolvePath(asked, mechanismById(asked, mechanism.id), path.job.id));
}

/** What has no motor left that turns: it gives way, costs what it did, and does nothing. */
const deadResult = (
  { id, label, changes, note }: Variant,
  jobId: string,
  path: AnyPath,
  cost: Pick<VariantResult, 'mass' | 'price'>,
): VariantResult => ({
  id,
  label,
  changes,
  note,
  headline: { verdict: 'gives way', jobId, name: 'nothing turns it', multiple: 0, notKnown: 0 },
  total: path.train.total,
  parts: partsOf(path),
  ...cost,
});

function numbersOf(path: AnyPath, run: Run | undefined): Partial<VariantResult> {
  if (path.machine !== 'dc') return timeOf(run);
  const needs = [...SITUATION_NEEDS.working, 'motor', 'rotor', 'pack', 'wiring', 'controller', 'train'] as const;
  if (lacksOf(path, needs).length > 0) return {};
  const { drive } = path;
  const working = situationOf(path, 'working');
  const flow = operatingAt(path, working.demand, working.speed);
  const lever = path.train.total / path.radius;
  const brake = brakePoint(drive, motorSpeed(path, path.asked.speed));
  const heat = run && !path.lacks.heat ? dayOf(path, run).heat : undefined;
  return {
    ...timeOf(run),
    top: topSpeedOf(path),
    creep: creepSpeedOf(path),
    pull: carried(
      path,
      forceOf(
        path,
        { ...situationOf(path, 'starting'), acceleration: 0, back: false },
        drivePoint(drive, 0).motorCurrent,
      ),
    ),
    // Losses help to brake.
    braking: carried(
      path,
      path.train.backEfficiency === 0
        ? Infinity
        : (drive.motors * brake.shaftTorque * lever) / path.train.backEfficiency,
    ),
    motorCurrent: flow.motorCurrent,
    supplyCurrent: flow.supplyCurrent === undefined ? undefined : drive.motors * flow.supplyCurrent,
    motorHeat: drive.motors * flow.motorCurrent ** 2 * drive.motor.resistance,
    controllerHeat: drive.motors * controllerHeat(path.controller, path.restVoltage, flow.motorCurrent),
    hottest: heat?.limitAt === undefined ? heat?.peak : undefined,
    burnsOutAfter: heat?.limitAt,
    runTime: run && lacksOf(path, ['charge', 'throw']).length === 0 ? packLasts(path, run) : undefined,
  };
}

/** What the tyres carry of a force; of what has none, all of it. */
const carried = ({ load: { traction = Infinity } }: AnyPath, force: number): number | undefined =>
  ifFinite(Math.min(force, traction));

const timeOf = (run: Run | undefined): Pick<VariantResult, 'time'> =>
  run?.outcome === 'arrived' ? { time: run.time } : {};

/** One controller or driver to a motor, none to a servo; and one breaker unless the branch holds all together. */
const partsOf = ({ machine, motors, branch }: AnyPath): number =>
  (machine === 'servo' ? 1 : 2) * motors + (branch.breaker ? (branch.together ? 1 : motors) : 0);

/** What motors, controllers and trains weigh and still cost: what is owned already and unused costs nothing more. */
function costOf(plan: Plan, mechanism: Mechanism): Pick<VariantResult, 'mass' | 'price'> {
  const { mass, price } = stockFigures(plan, mechanism, new Set(), usedElsewhere(plan, mechanism.id));
  return { mass, price };
}
