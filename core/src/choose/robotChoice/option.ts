import { evaluateMechanism } from '../../judge/evaluate/mechanism.js';
import { robotOnPack } from '../../match/lanes/onPack.js';
import { simulateMatch } from '../../match/lanes/march.js';
import { applyChanges } from '../../plan/document/change.js';
import { mechanismById } from '../../plan/document/place.js';
import { currentChoice, partIdsOf, trainsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { MatchScript, StandingDraw } from '../../plan/document/script.js';
import type { Verdict } from '../../judge/evaluate/verdict.js';
import { massOf } from '../../judge/ledger/massOf.js';
import { matchRungs } from '../../match/robot/matchRungs.js';
import type { RobotRung } from '../../judge/ledger/robotRung.js';
import { judgeMatch, scriptsThatCount, type JudgedMatch } from '../../match/robot/judge.js';
import { through } from '../../match/robot/through.js';
import { slotsOf } from '../../judge/ledger/supplyLedger.js';
import { foundWords } from '../shortlist/adopt.js';
import type { Found } from '../shortlist/found.js';
import { piecesOf, sameKey } from '../../plan/document/stockOf.js';
import { MARGIN_ENOUGH } from '../wants/wants.js';

/** So many pieces of one part that an option takes. */
export interface Pieces {
  /** Which part: the same for all copies of it. */
  readonly key: string;
  readonly count: number;
  /** Of one; absent where nobody said. */
  readonly price?: number;
  readonly owned: number;
}

/** What the model of the choice needs of one way to do a mechanism's jobs. */
export interface Choosable {
  readonly key: string;
  /** kg; absent where a mass is missing. */
  readonly mass?: number;
  /** Wheels that are bought with it. */
  readonly price: number;
  readonly pieces: readonly Pieces[];
  readonly motors: number;
  readonly slots: number;
  /** Name of its motor or servo. */
  readonly kind: string;
  /** What the mechanism takes out of the pack in the match, A·s. */
  readonly charge: number;
  /** The most it draws at once there, A. */
  readonly peak: number;
  /** Times the job until its first limit gives, and until its winding is too hot; each at most 3. */
  readonly margin: number;
  readonly coolness: number;
}

/** One way to do a mechanism's jobs: as it is, or as a search found it. */
export interface RobotOption extends Choosable {
  readonly mechanism: string;
  readonly label: string;
  /** Absent for what is there today. */
  readonly found?: Found;
  /** What of it gives way in the match with the others as they are today. */
  readonly gives?: RobotRung;
  readonly verdict: Verdict;
}

/** What may be chosen from: of each mechanism what is there today, and all its ways. */
export interface RobotOptions {
  readonly todays: readonly RobotOption[];
  readonly options: readonly (readonly RobotOption[])[];
}

/** The key of what is there today. */
export const TODAY = 'today';

/** A mechanism as it is. */
export function todayOf(plan: Plan, mechanismId: string, match: TodaysMatch | undefined): RobotOption {
  const mechanism = mechanismById(plan, mechanismId);
  const { drive, stages } = currentChoice(mechanism);
  const { headline } = evaluateMechanism(plan, mechanism);
  const [first] = partIdsOf(drive);
  return {
    ...measuredOption(plan, mechanism, mechanism, match),
    price: trainsOf(drive) * stages.reduce((sum, stage) => sum + (stage.price?.si ?? 0), 0),
    mechanism: mechanismId,
    key: TODAY,
    label: plan.parts[first!]?.part.name ?? 'as it is',
    margin: capped(headline.multiple),
    verdict: headline.verdict,
  };
}

/**
 * The ways a mechanism may be done: as it is, and everything a search has found. What gives way in the match with the
 * others as they are today is left out; where nothing holds, what is there stays.
 */
export function optionsOf(
  plan: Plan,
  today: RobotOption,
  front: readonly Found[],
  match: TodaysMatch | undefined,
): readonly RobotOption[] {
  const mechanism = mechanismById(plan, today.mechanism);
  const found = front.map((one): RobotOption => {
    const changed = applyChanges(plan, one.changes);
    return {
      ...measuredOption(changed, mechanismById(changed, mechanism.id), mechanism, match),
      price: 0,
      mechanism: mechanism.id,
      key: one.key,
      label: foundWords(one),
      found: one,
      margin: capped(one.multiple),
      verdict: one.verdict,
    };
  });
  const all = today.verdict === 'gives way' ? found : [today, ...found];
  const holds = all.filter(({ gives }) => gives === undefined);
  return holds.length > 0 ? holds : [today];
}

const capped = (multiple = MARGIN_ENOUGH): number => Math.min(MARGIN_ENOUGH, multiple);

/** What does not depend on how it was found. Its wheels weigh what those that are there weigh: a total has none yet. */
function measuredOption(plan: Plan, mechanism: Mechanism, today: Mechanism, match: TodaysMatch | undefined) {
  const { drive } = currentChoice(mechanism);
  const { motors, controllers } = massOf(plan, mechanism);
  const { train, structure } = massOf(plan, today);
  const [first] = partIdsOf(drive);
  return {
    mass: motors.missing.length > 0 ? undefined : motors.mass + controllers.mass + train.mass + structure.mass,
    pieces: piecesOf(drive).flatMap(([id, count]): readonly Pieces[] => {
      const copy = plan.parts[id];
      if (!copy) return [];
      return [{ key: sameKey(copy), count, price: copy.part.price?.si, owned: copy.part.owned ?? 0 }];
    }),
    motors: drive.kind === 'servo' ? 0 : drive.motors,
    // A slot that several mechanisms share counts once over all of them.
    slots: slotsOf(plan).reduce(
      (sum, { mechanisms }) => (mechanisms.includes(mechanism.id) ? sum + 1 / mechanisms.length : sum),
      0,
    ),
    kind: plan.parts[first!]?.part.name ?? '',
    ...inMatch(plan, mechanism.id, match),
  };
}

/**
 * What a mechanism takes in the match, and how hot it gets, with all others drawing as they do today. Nothing is taken
 * where it has no lane.
 */
function inMatch(plan: Plan, mechanism: string, today: TodaysMatch | undefined) {
  const lane = today?.script.lanes.find((one) => one.mechanism === mechanism);
  const robot = today && lane && robotOnPack(plan, { lanes: [lane] });
  if (!robot) return { charge: 0, peak: 0, coolness: MARGIN_ENOUGH, gives: undefined };
  const draws = today.othersOf(mechanism);
  const result = simulateMatch(robot, { ...today.script, lanes: [lane], draws }, { step: 0.01 });
  const rungs = matchRungs(robot, result).filter((rung) => rung.mechanism === mechanism);
  const heat = rungs.find(({ id }) => id === 'heat');
  const [own] = result.lanes;
  return {
    charge: Math.max(0, own!.energy) / robot.pack.restAt(1),
    peak: own!.peak,
    coolness: capped(heat?.multiple),
    gives: rungs.find(({ verdict }) => verdict === 'gives way'),
  };
}

/** Seconds over which what the others draw is taken together. */
const DRAWN_OVER = 0.5;

/** Today's match, and what the others draw in it while one mechanism is looked at. */
export interface TodaysMatch {
  readonly script: MatchScript;
  othersOf(mechanism: string): readonly StandingDraw[];
}

export function todaysMatch({ script, result }: JudgedMatch): TodaysMatch {
  const { times, current, lanes } = result.samples;
  return {
    script,
    othersOf: (mechanism) => {
      const own = lanes[script.lanes.findIndex((lane) => lane.mechanism === mechanism)];
      const charge = new Map<number, number>();
      times.forEach((time, i) => {
        const next = times[i + 1];
        if (next === undefined) return;
        const slice = Math.floor(time / DRAWN_OVER);
        const others = Math.max(0, current[i]! - (own?.[i] ?? 0));
        charge.set(slice, (charge.get(slice) ?? 0) + others * (next - time));
      });
      return [...charge].map(([slice, coulombs]) => ({
        id: `others ${slice}`,
        name: 'the others',
        current: coulombs / DRAWN_OVER,
        from: slice * DRAWN_OVER,
        to: (slice + 1) * DRAWN_OVER,
      }));
    },
  };
}

/** Of all mechanisms, one after the other; told as they come, since each is gone through in the match. */
export function* robotOptions(
  plan: Plan,
  fronts: readonly (readonly Found[])[],
): Generator<RobotOptions, RobotOptions> {
  const [script] = scriptsThatCount(plan);
  const nothing: RobotOptions = { todays: [], options: [] };
  const judged = script && (yield* through(judgeMatch(plan, script), () => nothing));
  const match = judged && todaysMatch(judged);
  const todays: RobotOption[] = [];
  const options: (readonly RobotOption[])[] = [];
  for (const [i, { id }] of plan.mechanisms.entries()) {
    const today = todayOf(plan, id, match);
    todays.push(today);
    options.push(optionsOf(plan, today, fronts[i] ?? [], match));
    yield { todays: [...todays], options: [...options] };
  }
  return { todays, options };
}
