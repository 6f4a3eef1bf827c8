import { worstVerdict, type Verdict } from '../../judge/evaluate/verdict.js';
import { chargedFor, rested } from '../lanes/between.js';
import { simulateMatch } from '../lanes/march.js';
import { withPackAs, type PackState } from '../lanes/packState.js';
import { robotOnPack } from '../lanes/onPack.js';
import type { MatchStart } from '../lanes/result.js';
import type { DayPlan } from '../../plan/document/eventSheet.js';
import type { Plan } from '../../plan/document/plan.js';
import { lengthOf, type MatchScript } from '../../plan/document/script.js';
import { judged } from './judge.js';
import type { RobotRung } from '../../judge/ledger/robotRung.js';

/** How a day is gone through: the plan's own, with packs as they are. */
export interface DayAsked extends DayPlan, PackState {}

/** A day where the team has not said how its own goes. */
export const USUAL_DAY: DayPlan = { matches: 8, between: 600, packs: 2, charger: 6 };

/** One match of a day. */
export interface DayMatch {
  /** Which of the packs, from 0; absent where it was a full one from elsewhere. */
  readonly pack?: number;
  /** Shares of charge at its start and its end. */
  readonly start: number;
  readonly end: number;
  readonly leastVolts: number;
  readonly hottest?: { readonly name: string; readonly winding: number; readonly limit: number };
  readonly verdict: Verdict;
  readonly first?: RobotRung;
}

export interface JudgedDay {
  readonly matches: readonly DayMatch[];
  readonly verdict: Verdict;
  /** The first match that gives way, from 0; absent where none does. */
  readonly failsAt?: number;
  /** Packs with which each is full again when its turn comes; absent where the capacity is not known. */
  readonly packsWanted?: number;
}

/**
 * Goes through a day: each pack charges until its turn comes again, motors and breakers cool between two matches and
 * begin as warm as they are. Yields what is known so far after each match; `undefined` where the pack is not known.
 */
export function* judgeDay(
  plan: Plan,
  script: MatchScript,
  { matches, between, packs, charger, fresh = [], ...state }: DayAsked,
): Generator<JudgedDay, JudgedDay | undefined> {
  const found = robotOnPack(plan, script);
  if (!found) return undefined;
  const robot = withPackAs(found, state);
  const round = lengthOf(script) + between;
  const charges = Array.from({ length: Math.max(1, packs) }, () => 1);
  const done: DayMatch[] = [];
  let warm: MatchStart | undefined;
  let taken = 0;
  const soFar = (): JudgedDay => {
    const fails = done.findIndex(({ verdict }) => verdict === 'gives way');
    return {
      matches: [...done],
      verdict: worstVerdict(done.map(({ verdict }) => verdict)),
      failsAt: fails < 0 ? undefined : fails,
      packsWanted: packsWanted(taken, charger, robot.pack.capacity, lengthOf(script), round),
    };
  };
  for (let i = 0; i < matches; i++) {
    const pack = i % charges.length;
    const borrowed = fresh.includes(i);
    const start = borrowed ? 1 : charges[pack]!;
    const whole = simulateMatch(robot, script, {
      start: { lumps: [], branches: [], main: 0, ...warm, charge: start },
    });
    const { rungs, verdict, result } = judged(robot, script, whole);
    taken = Math.max(taken, result.charge);
    const hottest = result.lanes
      .flatMap(({ name, heat }) => (heat ? [{ name, winding: heat.peak, limit: heat.limit }] : []))
      .sort((a, b) => b.winding - a.winding)[0];
    done.push({
      pack: borrowed ? undefined : pack,
      start,
      end: result.end.charge,
      leastVolts: result.leastVolts.volts,
      hottest,
      verdict,
      first: rungs[0],
    });
    // It charges until its turn comes again, one match of its own taken off.
    const resting = charges.length * round - lengthOf(script);
    const left = borrowed ? charges[pack]! : result.end.charge;
    charges[pack] = chargedFor(left, robot.pack.capacity, charger, borrowed ? resting + lengthOf(script) : resting);
    warm = rested(robot, result.end, between);
    yield soFar();
  }
  return soFar();
}

/** The least number of packs of which each is charged again by what a match takes while the others play. */
function packsWanted(
  taken: number,
  charger: number,
  capacity: number | undefined,
  length: number,
  round: number,
): number | undefined {
  if (capacity === undefined || !(charger > 0)) return undefined;
  const perSecond = chargedFor(0, capacity, charger, 1) * capacity;
  return Math.max(1, Math.ceil((taken / perSecond + length) / round));
}
