import { mechanismById } from '../../plan/document/place.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { freshId } from '../../plan/document/freshId.js';
import { leastOutputSpeed } from '../../judge/limits/checks/slowControl.js';
import { situationOf, SITUATION_NEEDS } from '../../judge/limits/situation.js';
import { motorConstant } from '../../models/motor/constants.js';
import { freeSpeedAt } from '../../models/motor/peaks.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { ControllerPart, MotorPart } from '../../plan/document/part.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { operatingAt } from '../../path/powerpath/operating.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';
import { resolveDcPath } from '../../path/resolve/resolvePath.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import type { Shelved } from '../../judge/sizing/propose.js';
import { brushesLast } from '../../judge/duty/brushes.js';
import { lastsThrough, packLasts } from '../../judge/duty/lives.js';
import { standsSurroundings } from '../../judge/limits/checks/surroundings.js';
import type { Run } from '../../judge/motion/run.js';
import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import { alike, likeInSpeed, totalForSpeed, unloadedOutput, type Like } from '../wants/likeForLike.js';
import { gaveWayLast } from '../wants/gaveWayLast.js';
import { limitsKept } from '../shortlist/limitsKept.js';
import { stillToPay } from '../../plan/document/stockOf.js';
import { designOf, type Design } from './place.js';
import { withGear, type Gear } from './gearOverJobs.js';

/** What machines are weighed by; the first six decide, the rest is folded. */
export const SCORE_FACTORS = [
  'cost',
  'owned',
  'dirt',
  'wear',
  'slow control',
  'efficiency',
  'torque per mass',
  'smooth start',
  'highest speed',
] as const;
export type ScoreFactor = (typeof SCORE_FACTORS)[number];
export const DECIDING_FACTORS = 6;

export const SCORE_WORDS: Readonly<Record<ScoreFactor, { readonly name: string; readonly says: string }>> = {
  cost: { name: 'cost with controller', says: 'what is still to be paid for motors and controllers' },
  owned: { name: 'owned already', says: 'money spent before is spent: what lies on the shelf costs nothing now' },
  dirt: {
    name: 'dirt and water',
    says: 'what the job brings against what the sheets say; where neither says, open brushes take both in',
  },
  wear: {
    name: 'brush wear',
    says: 'hours of this work until they are worn out, typical: fast or hard work wears brushes out',
  },
  'slow control': { name: 'slow control', says: 'the least speed it keeps steadily, at the output' },
  efficiency: { name: 'efficiency, run time', says: 'watts out over watts from the pack while working' },
  'torque per mass': { name: 'torque per mass', says: 'Km over the motor’s mass' },
  'smooth start': { name: 'smooth start', says: 'sensors, poles and slots: many small steps or few large ones' },
  'highest speed': { name: 'highest useful speed', says: 'free speed on this pack' },
};

export type Weights = Readonly<Partial<Record<ScoreFactor, number>>>;

/** Two schools, each with its reasons. Neither is right for every mechanism. */
export const WEIGHT_SETS: readonly {
  readonly id: string;
  readonly name: string;
  readonly reasons: string;
  readonly weights: Readonly<Record<ScoreFactor, number>>;
}[] = [
  {
    id: 'precise',
    name: 'slow and precise first',
    reasons:
      'A mechanism that is placed by eye lives at low speed. Brushes commutate by themselves: they start under load and creep with a cheap controller, and nothing has to find its feet first.',
    weights: {
      cost: 3,
      owned: 2,
      dirt: 1,
      wear: 1,
      'slow control': 5,
      efficiency: 1,
      'torque per mass': 1,
      'smooth start': 4,
      'highest speed': 0,
    },
  },
  {
    id: 'power',
    name: 'power and run time first',
    reasons:
      'What runs hard and long pays for watts and grams. Without brushes more of the charge becomes work and nothing wears; sensors and better start-up have closed most of the gap at low speed.',
    weights: {
      cost: 2,
      owned: 1,
      dirt: 2,
      wear: 3,
      'slow control': 1,
      efficiency: 5,
      'torque per mass': 4,
      'smooth start': 1,
      'highest speed': 2,
    },
  },
];

/** A motor with a controller that could do the job. */
export interface Candidate {
  readonly id: string;
  readonly motor: MotorPart;
  readonly controller: ControllerPart;
  readonly changes: readonly Change[];
  /** Geared over all jobs, or to a total; absent for the one that is there. */
  readonly gear?: Gear;
}

/** What a candidate measures on this job, and its scores 0…1; a score is absent where a figure is missing. */
export interface CandidateScore {
  readonly id: string;
  /** Motor and controller; and the motor alone. */
  readonly name: string;
  readonly motor: string;
  readonly type: MotorPart['type'];
  readonly changes: readonly Change[];
  /** Over all jobs. */
  readonly headline: Headline;
  readonly total: number;
  /** Said beside it. */
  readonly note?: string;
  readonly numbers: {
    readonly price?: number;
    readonly leastSpeed?: number;
    readonly efficiency?: number;
    /** h of this work until the brushes are worn out, typical; ∞ without any. */
    readonly brushHours?: number;
    /** s that the pack keeps this job going, with nothing else on it. */
    readonly runTime?: number;
    readonly torquePerMass?: number;
    readonly freeSpeed?: number;
  };
  readonly scores: Readonly<Partial<Record<ScoreFactor, number>>>;
}

/** A least speed of 2 % of the job's halves the score. */
const SLOW_SCALE = 50;
/** Brushes that last so many hours score half. */
const HALF_WORN = 20;

/**
 * The design's own pair, and shelf motors of both kinds with a motor constant near its own, each with a controller to suit.
 * Alike in the job, each gets the total that suits it over all jobs; alike in speed, each turns the output as fast as today
 * with nothing to move; alike in the can or in mass, only motors as wide or as heavy as today's are taken.
 */
export function candidatesFor(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
  like: Like = 'job',
  most = 5,
): readonly Candidate[] {
  const design = designOf(plan, mechanismId);
  const drive = dcDriveOf(design.choice);
  const own = { motor: plan.parts[drive.motor]?.part, controller: plan.parts[drive.controller]?.part };
  const path = resolveDcPath(plan, design.mechanism, jobId);
  const ownConstants = own.motor && constantsOf(own.motor);
  const wanted = ownConstants ? motorConstant(ownConstants) : 0;
  const found: Candidate[] = [];
  if (own.motor?.kind === 'motor' && own.controller?.kind === 'controller')
    found.push({ id: 'own', motor: own.motor, controller: own.controller, changes: [] });
  const today = likeInSpeed(like) ? unloadedOutput(path) : undefined;
  const near = shelf
    .flatMap(({ part }) => {
      const constants = part.kind === 'motor' ? constantsOf(part) : undefined;
      if (part.kind !== 'motor' || !constants || part.name === own.motor?.name) return [];
      if (!alike(like, own.motor?.kind === 'motor' ? own.motor : undefined, part)) return [];
      const km = motorConstant(constants);
      return [{ part, constants, apart: Math.abs(Math.log(km / (wanted || km))) }];
    })
    .sort((a, b) => a.apart - b.apart);
  for (const type of ['brushless', 'brushed'] as const) {
    for (const { part, constants } of near.filter(({ part: one }) => one.type === type).slice(0, Math.ceil(most / 2))) {
      const controller = controllerFor(part, shelf, path.pack.full);
      if (!controller) continue;
      const changes = swappedTo(design, part, controller);
      const total = today === undefined ? undefined : totalForSpeed(constants, path.drive.restVoltage, today);
      found.push({ id: part.name, motor: part, controller, changes, gear: total ?? 'over all jobs' });
    }
  }
  return found.slice(0, most + 1);
}

/** Another motor with another controller. What was set of the old one, and the new one's sheet does not allow, is not kept. */
function swappedTo(
  { plan, choice, choiceAt }: Design,
  motor: MotorPart,
  controller: ControllerPart,
): readonly Change[] {
  const ids = { motor: freshId(plan, 'motor'), controller: freshId(plan, 'controller') };
  const drive = { ...limitsKept(dcDriveOf(choice), controller), ...ids };
  return [
    { at: ['parts', ids.motor], to: { part: motor } },
    { at: ['parts', ids.controller], to: { part: controller } },
    { at: [...choiceAt, 'drive'], to: drive },
  ];
}

/** The cheapest controller that drives a motor at these volts, with sensors where the motor has them. */
function controllerFor(motor: MotorPart, shelf: readonly Shelved[], full: number): ControllerPart | undefined {
  const able = shelf
    .map(({ part }) => part)
    .filter(
      (part): part is ControllerPart =>
        part.kind === 'controller' && part.drives.includes(motor.type) && (part.highestVoltage?.si ?? 0) >= full,
    )
    .sort((a, b) => (a.price?.si ?? Infinity) - (b.price?.si ?? Infinity));
  const sensing =
    motor.type === 'brushless' && motor.sensors ? able.find(({ startStyle }) => startStyle === 'sensors') : undefined;
  return sensing ?? able.find(({ supplyLimit }) => (supplyLimit?.si ?? 0) >= 30) ?? able[0];
}

/** Measures every candidate on the job, geared as it is to be, and scores them against each other. Yields between two. */
export function* scoreCard(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  candidates: readonly Candidate[],
): Generator<readonly CandidateScore[], readonly CandidateScore[]> {
  const measured: MeasuredPair[] = [];
  for (const candidate of candidates) {
    measured.push(measuredPair(plan, mechanismId, jobId, candidate));
    yield scored(measured);
  }
  return scored(measured);
}

interface MeasuredPair {
  readonly candidate: Candidate;
  readonly changes: readonly Change[];
  readonly path: DcPath;
  readonly headline: Headline;
  readonly note?: string;
  readonly numbers: CandidateScore['numbers'];
}

function measuredPair(plan: Plan, mechanismId: string, jobId: string, candidate: Candidate): MeasuredPair {
  const { changes, note } = withGear(plan, mechanismId, candidate);
  const changed = applyChanges(plan, changes);
  const { headline, path, result } = judgedOver(changed, mechanismById(changed, mechanismId), jobId);
  if (path.machine !== 'dc') throw new Error(`${candidate.motor.name} is no plain motor`);
  return { candidate, changes, path, headline, note, numbers: numbersOf(candidate, path, result.run) };
}

function scored(measured: readonly MeasuredPair[]): readonly CandidateScore[] {
  const best = (of: (one: MeasuredPair['numbers']) => number | undefined, least = false) => {
    const known = measured.flatMap(({ numbers }) => of(numbers) ?? []);
    return least ? Math.min(...known) : Math.max(...known);
  };
  const cheapest = best(({ price }) => price, true);
  const densest = best(({ torquePerMass }) => torquePerMass);
  const fastest = best(({ freeSpeed }) => freeSpeed);
  return measured.map(({ candidate, changes, path, headline, note, numbers }) => {
    const { motor } = candidate;
    const { price, leastSpeed, efficiency, brushHours, torquePerMass, freeSpeed } = numbers;
    const scores: Partial<Record<ScoreFactor, number>> = {
      ...(price === undefined ? {} : { cost: price === 0 ? 1 : Math.min(1, Math.max(cheapest, 1) / price) }),
      owned: Math.min(1, (motor.owned ?? 0) / path.motors),
      dirt: dirtScore(motor, path),
      ...(brushHours === undefined ? {} : { wear: 1 / (1 + HALF_WORN / brushHours) }),
      ...(leastSpeed === undefined
        ? {}
        : { 'slow control': 1 / (1 + (SLOW_SCALE * leastSpeed) / (path.asked.speed * path.asked.perCoordinate)) }),
      efficiency,
      ...(torquePerMass === undefined ? {} : { 'torque per mass': torquePerMass / densest }),
      'smooth start': smoothness(motor, path),
      ...(freeSpeed === undefined ? {} : { 'highest speed': freeSpeed / fastest }),
    };
    return {
      id: candidate.id,
      name: `${motor.name} + ${candidate.controller.name}`,
      motor: motor.name,
      type: motor.type,
      changes,
      headline,
      note,
      total: path.train.total,
      numbers,
      scores,
    };
  });
}

/** What is asked and stood counts whole, what is not said half; where the job brings nothing, open brushes count less. */
function dirtScore(motor: MotorPart, { surroundings: of }: DcPath): number {
  if (!of) return motor.type === 'brushless' ? 1 : 0.3;
  const scores = of.parts.map((part) => Number(standsSurroundings(of, part) ?? 0.5));
  return scores.reduce((sum, score) => sum + score, 0) / scores.length;
}

function numbersOf({ motor, controller }: Candidate, path: DcPath, run: Run | undefined): CandidateScore['numbers'] {
  const { drive } = path;
  const motorsPrice = stillToPay(motor, drive.motors);
  const controllersPrice = stillToPay(controller, drive.motors);
  const cost =
    motorsPrice === undefined || controllersPrice === undefined ? {} : { price: motorsPrice + controllersPrice };
  if (lacksOf(path, [...SITUATION_NEEDS.working, 'motor', 'pack', 'wiring', 'controller', 'train']).length > 0)
    return cost;
  const working = situationOf(path, 'working');
  const flow = operatingAt(path, working.demand, working.speed);
  const out = working.demand * working.speed;
  const watts =
    flow.supplyCurrent && flow.packVoltage ? drive.motors * flow.supplyCurrent * flow.packVoltage : undefined;
  const free = freeSpeedAt(drive.motor, drive.restVoltage);
  const lives =
    run && lacksOf(path, ['charge', 'throw', 'continuous', 'heat']).length === 0 && lastsThrough(path, run)
      ? run
      : undefined;
  return {
    ...cost,
    leastSpeed: leastOutputSpeed(path) * path.asked.perCoordinate,
    ...(watts !== undefined && watts > 0 && out > 0 ? { efficiency: Math.min(1, out / watts) } : {}),
    brushHours: motor.type === 'brushless' ? Infinity : lives && brushesLast(path, lives).working / 3600,
    runTime: lives && packLasts(path, lives),
    ...(motor.mass ? { torquePerMass: motorConstant(drive.motor) / motor.mass.si } : {}),
    freeSpeed: free,
  };
}

/** Few coarse steps start with a jerk, many fine ones do not: sensors first, then poles and slots. */
function smoothness(motor: MotorPart, path: DcPath): number {
  const steps = motor.type === 'brushed' ? (motor.slots ?? 5) * 2 : (motor.slots ?? 6) * (motor.polePairs ?? 1);
  const fineness = Math.min(1, steps / 60);
  const blind = motor.type === 'brushless' && path.controller.startStyle !== 'sensors';
  return blind ? 0.3 * fineness : 0.5 + 0.5 * fineness;
}

/** Weighted mean of the scores that are known, 0…1. */
export function weighted(score: CandidateScore, weights: Weights): number {
  let [sum, all] = [0, 0];
  for (const factor of SCORE_FACTORS) {
    const value = score.scores[factor];
    const weight = weights[factor] ?? 0;
    if (value === undefined || weight <= 0) continue;
    sum += weight * value;
    all += weight;
  }
  return all > 0 ? sum / all : 0;
}

/** Scores with their weighted mean. */
export interface RankedScore extends CandidateScore {
  readonly weighted: number;
}

/** The best first; one that gives way never stands before one that does the job, whatever the weights. */
export const rankScores = (scores: readonly CandidateScore[], weights: Weights): readonly RankedScore[] =>
  scores
    .map((score) => ({ ...score, weighted: weighted(score, weights) }))
    .sort((a, b) => gaveWayLast(a, b) || b.weighted - a.weighted);
