import { mechanismById } from '../../plan/document/place.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { ServoCase, ServoGears, ServoPart } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { freshId } from '../../plan/document/freshId.js';
import { askedAbout } from '../../models/servo/rail.js';
import { deadbandAngle } from '../../models/servo/precision.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { judgedOver, type JudgedOver } from '../../judge/evaluate/judgedOver.js';
import { stillToPay } from '../../plan/document/stockOf.js';
import { designOf } from './place.js';

/** What servos are weighed by; the first six decide, the rest is folded. */
export const SERVO_FACTORS = [
  'torque margin',
  'speed',
  'voltage fit',
  'gears',
  'price',
  'deadband',
  'signal',
  'motor',
  'case',
  'bearing',
  'spline',
  'travel',
  'torque per mass',
  'sealing',
] as const;
export type ServoFactor = (typeof SERVO_FACTORS)[number];
export const SERVO_DECIDING = 6;

/** What each factor is for, in one sentence. */
export const SERVO_WORDS: Readonly<Record<ServoFactor, { readonly name: string; readonly says: string }>> = {
  'torque margin': { name: 'torque margin', says: 'twice the peak and 3.3 times what is held: less and it runs hot' },
  speed: { name: 'speed', says: 'too fast can be slowed in the program, too slow cannot be sped up' },
  'voltage fit': {
    name: 'voltage fit',
    says: 'rated for this rail’s volts: above them it burns, far below it is weak',
  },
  gears: { name: 'gear material', says: 'plastic strips at a jolt; metal stands it, and wears to play' },
  price: { name: 'price', says: 'what is still to be paid; it breaks sooner or later, and a spare is wanted' },
  deadband: {
    name: 'deadband',
    says: 'the change of pulse it does not answer: smaller stands more exactly, and hums more',
  },
  signal: {
    name: 'digital or analogue',
    says: 'digital answers more often: it holds stiffer, and draws more while it does',
  },
  motor: { name: 'kind of motor', says: 'coreless and brushless rotors turn round quicker; brushes cost least' },
  case: { name: 'case material', says: 'a metal case carries heat off, and its ears do not break' },
  bearing: { name: 'output bearing', says: 'ball bearings carry the load’s side pull; a bush wears oval' },
  spline: { name: 'horn and spline', says: 'a spline that others use takes horns of metal, and sets them finer' },
  travel: { name: 'travel', says: 'as much as the job needs: what is left over makes it coarser' },
  'torque per mass': {
    name: 'torque per mass',
    says: 'what hangs at the end of an arm has to be carried by all before it',
  },
  sealing: { name: 'sealing', says: 'dust and water end a servo from the sensor on' },
};

export type MetalRank = 'steel above titanium' | 'titanium above steel';

/** Two schools rank the hard gears: steel bends and stands a jolt, titanium wears less. */
export const METAL_RANKS: readonly { readonly id: MetalRank; readonly reasons: string }[] = [
  {
    id: 'steel above titanium',
    reasons:
      'For strength: steel bends before it breaks, and a tooth that stands a jolt is worth more than one that stays sharp.',
  },
  {
    id: 'titanium above steel',
    reasons:
      'For wear: worn teeth are play, and play is what a joint is thrown away for; titanium stays sharp longest.',
  },
];

const GEARS: Readonly<Record<MetalRank, Readonly<Record<ServoGears, number>>>> = {
  'steel above titanium': {
    plastic: 0.2,
    'reinforced resin': 0.4,
    brass: 0.5,
    aluminium: 0.55,
    titanium: 0.85,
    steel: 1,
  },
  'titanium above steel': {
    plastic: 0.2,
    'reinforced resin': 0.4,
    brass: 0.5,
    aluminium: 0.55,
    steel: 0.85,
    titanium: 1,
  },
};
const CASES: Readonly<Record<ServoCase, number>> = { plastic: 0.3, 'part metal': 0.7, metal: 1 };
const BEARINGS = { bush: 0.2, 'metal bush': 0.35, 'one ball bearing': 0.6, 'two ball bearings': 1 } as const;
const MOTORS = { brushed: 0.4, coreless: 0.8, brushless: 1 } as const;
const SEALING = { open: 0.2, 'dust and splashes': 0.7, 'under water': 1 } as const;
/** Splines that horns of many makers fit. */
const USUAL_SPLINES: readonly number[] = [24, 25];

export type ServoWeights = Readonly<Record<ServoFactor, number>>;

/** Ready weights for the schools, each with its reasons. */
export const SERVO_WEIGHT_SETS: readonly {
  readonly id: string;
  readonly name: string;
  readonly reasons: string;
  readonly weights: ServoWeights;
  /** Parts a school does not take at all. */
  refuses(part: ServoPart): boolean;
}[] = [
  {
    id: 'hard',
    name: 'digital and metal only',
    reasons:
      'A joint that carries load is shaken, stalled and dropped. Plastic strips and analogue sags under a held load: pay once.',
    weights: {
      'torque margin': 5,
      speed: 2,
      'voltage fit': 3,
      gears: 4,
      price: 1,
      deadband: 3,
      signal: 4,
      motor: 2,
      case: 3,
      bearing: 3,
      spline: 1,
      travel: 1,
      'torque per mass': 1,
      sealing: 1,
    },
    refuses: ({ gears, signal }) => gears === 'plastic' || signal === 'analogue',
  },
  {
    id: 'plain',
    name: 'light work may be plain and cheap',
    reasons:
      'A camera or a flap hardly loads its servo. A plain one is light, draws little, is at hand everywhere, and a spare costs nothing.',
    weights: {
      'torque margin': 3,
      speed: 1,
      'voltage fit': 3,
      gears: 1,
      price: 5,
      deadband: 1,
      signal: 0,
      motor: 0,
      case: 0,
      bearing: 1,
      spline: 1,
      travel: 1,
      'torque per mass': 3,
      sealing: 0,
    },
    refuses: () => false,
  },
];

export interface ServoScore {
  readonly id: string;
  readonly name: string;
  readonly changes: readonly Change[];
  /** Over all jobs. */
  readonly headline: Headline;
  readonly numbers: {
    readonly margin?: number;
    readonly timeShare?: number;
    readonly deadband?: number;
    readonly price?: number;
    readonly torquePerMass?: number;
  };
  /** 0…1; absent where the part does not say. */
  readonly scores: Readonly<Partial<Record<ServoFactor, number>>>;
}

/** A servo that could take this one's place, and what in the plan would put it there. */
interface ServoCandidate {
  readonly id: string;
  readonly part: ServoPart;
  readonly changes: readonly Change[];
}

interface MeasuredServo {
  readonly candidate: ServoCandidate;
  readonly path: ServoPath;
  readonly result: JudgedOver['result'];
  readonly headline: Headline;
}

/** The plan's own, and every other of the shelf that moves the same way. */
function candidatesOf(plan: Plan, mechanismId: string, shelf: readonly Shelved[]): readonly ServoCandidate[] {
  const design = designOf(plan, mechanismId);
  const { drive } = design.choice;
  if (drive.kind !== 'servo') throw new Error(`${design.choice.name} is no servo`);
  const own = plan.parts[drive.servo]!.part as ServoPart;
  const id = freshId(plan, 'servo');
  return [
    { id: 'own', part: own, changes: [] },
    ...shelf.flatMap((item): readonly ServoCandidate[] =>
      item.part.kind === 'servo' && item.part.motion === own.motion && item.part.name !== own.name
        ? [
            {
              id: item.id,
              part: item.part,
              changes: [
                { at: ['parts', id], to: { part: item.part, shelfId: item.id, shelfRevision: item.revision } },
                { at: [...design.choiceAt, 'drive', 'servo'], to: id },
                // The angles were measured on the other one.
                { at: [...design.choiceAt, 'drive', 'calibration'], to: undefined },
              ],
            },
          ]
        : [],
    ),
  ];
}

/** The servos of the shelf on this very job, scored. */
export function servoScores(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
  rank: MetalRank,
): readonly ServoScore[] {
  const measured = candidatesOf(plan, mechanismId, shelf).map((candidate): MeasuredServo => {
    const changed = applyChanges(plan, candidate.changes);
    const { headline, path, result } = judgedOver(changed, mechanismById(changed, mechanismId), jobId);
    if (path.machine !== 'servo') throw new Error(`${candidate.part.name} is no servo`);
    return { candidate, path, result, headline };
  });
  const prices = measured.map(({ candidate }) => priceOf(candidate.part)).filter((price) => price !== undefined);
  const best = {
    price: Math.min(...prices),
    dense: Math.max(...measured.map(({ candidate, path }) => torquePerMass(candidate.part, path) ?? 0)),
  };
  return measured.map((one) => scored(one, best, rank));
}

/** `best`: the least price, and the most torque for its mass, of all that are compared. */
function scored(
  { candidate, path, result, headline }: MeasuredServo,
  best: { readonly price: number; readonly dense: number },
  rank: MetalRank,
): ServoScore {
  const { id, part, changes } = candidate;
  const rungs = Object.values(result.ladders).flatMap(({ rungs: all }) =>
    all.filter((rung) => rung.id === 'servo' || rung.id === 'servo-hold'),
  );
  const margin = Math.min(...rungs.map((rung) => (rung.multiple ?? Infinity) / rung.wants));
  const timeShare = result.run?.outcome === 'arrived' ? path.asked.time / result.run.time : undefined;
  const price = priceOf(part);
  const dense = torquePerMass(part, path);
  const deadband = Number.isFinite(path.servo.travel)
    ? deadbandAngle(path.servo.travel, path.servo.longestPulse - path.servo.shortestPulse, path.servo.deadband)
    : undefined;
  const used = path.linked ? Math.abs(path.linked.to - path.linked.from) / path.servo.travel : undefined;
  return {
    id,
    name: part.name,
    changes,
    headline,
    numbers: { ...(Number.isFinite(margin) ? { margin } : {}), timeShare, deadband, price, torquePerMass: dense },
    scores: {
      ...(Number.isFinite(margin) ? { 'torque margin': Math.min(1, margin) } : {}),
      // Slowed down in the program, a fast one loses nothing.
      speed: timeShare === undefined ? 0 : Math.min(1, timeShare),
      'voltage fit': voltageFit(path),
      ...(part.gears ? { gears: GEARS[rank][part.gears] } : {}),
      ...(price === undefined ? {} : { price: price === 0 ? 1 : Math.min(1, Math.max(best.price, 1) / price) }),
      ...(deadband === undefined ? {} : { deadband: 1 / (1 + deadband / FINE) }),
      ...(part.signal ? { signal: part.signal === 'digital' ? 1 : 0.3 } : {}),
      ...(part.motor ? { motor: MOTORS[part.motor] } : {}),
      ...(part.caseMaterial ? { case: CASES[part.caseMaterial] } : {}),
      ...(part.bearing ? { bearing: BEARINGS[part.bearing] } : {}),
      ...(part.splineTeeth ? { spline: USUAL_SPLINES.includes(part.splineTeeth) ? 1 : 0.4 } : {}),
      ...(used === undefined || !Number.isFinite(used) ? {} : { travel: used > 1 ? 0 : used }),
      ...(dense === undefined ? {} : { 'torque per mass': dense / best.dense }),
      ...(part.sealing ? { sealing: SEALING[part.sealing] } : {}),
    },
  };
}

/** A deadband of half a degree halves the score. */
const FINE = 0.5 * (Math.PI / 180);

const priceOf = (part: ServoPart): number | undefined => stillToPay(part, 1);

function torquePerMass(part: ServoPart, path: ServoPath): number | undefined {
  const mass = part.mass?.si;
  const torque = path.servo.rating.stallTorque;
  return mass && Number.isFinite(torque) ? torque / mass : undefined;
}

/** 1 within its ratings, less below them, half where only the sheet knows, 0 above what it stands. */
function voltageFit({ servo, rail }: ServoPath): number {
  const { highestVoltage, part } = servo;
  if (askedAbout({ highestVoltage, guessed: part.highestVoltage === undefined }, rail.full)) return 0.5;
  if (rail.full > highestVoltage) return 0;
  return servo.rating.below ? Math.max(0, servo.voltage / servo.lowestPoint) ** 2 : 1;
}

/** Total of a card: scores by their weights, over the weights of what is known. */
export function weightedServo({ scores }: ServoScore, weights: ServoWeights): number {
  const known = SERVO_FACTORS.filter((factor) => scores[factor] !== undefined);
  const all = known.reduce((sum, factor) => sum + weights[factor], 0);
  return all === 0 ? 0 : known.reduce((sum, factor) => sum + weights[factor] * scores[factor]!, 0) / all;
}
