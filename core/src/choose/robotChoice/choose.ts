import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import { judgeRobot, type JudgedRobot } from '../../match/robot/judge.js';
import { through } from '../../match/robot/through.js';
import { firstToGive, type RobotRung } from '../../judge/ledger/robotRung.js';
import type { Verdict } from '../../judge/evaluate/verdict.js';
import { adoptAll } from './adoptAll.js';
import { CEILINGS, oneStep, type CeilingId, type Ceilings } from './ceilings.js';
import type { RobotOption, RobotOptions } from './option.js';
import { samePieces } from './prune.js';
import { isLeast, type Cut, type JointChoice, type JointWant } from './question.js';
import { solveJoint, sumsOf } from './solve.js';
import type { JointSolver } from './solver.js';

/** A choice for all mechanisms that went through the match. */
export interface MarchedChoice {
  readonly choice: JointChoice;
  /** One for each mechanism. */
  readonly taken: readonly RobotOption[];
  readonly changes: readonly Change[];
  readonly verdict: Verdict;
  /** What gives first on the robot with it; of one that is ruled out what rules it out. */
  readonly first?: RobotRung;
}

/** What one step more of a ceiling would do. */
export interface CeilingCost {
  readonly ceiling: CeilingId;
  readonly step: number;
  /** The want with it loosened, before the match; absent where nothing is possible still. */
  readonly value?: number;
  /** Whether it is better than without. */
  readonly helps: boolean;
}

export interface RobotChoice {
  /** What is there today, summed up the same way. */
  readonly today: JointSums;
  /** The best on paper, within all ceilings; absent where no choice stays under them. */
  readonly paper?: JointChoice;
  /** The best that holds in the match, and those that come after it, best first. */
  readonly held: readonly MarchedChoice[];
  /** Better on paper, but ruled out by the pack that all share. */
  readonly ruledOut: readonly MarchedChoice[];
  readonly costs: readonly CeilingCost[];
  /** Share of the tries. */
  readonly share: number;
  readonly done: boolean;
}
export type JointSums = Omit<JointChoice, 'picks' | 'value'>;

export interface ChoiceQuestion extends RobotOptions {
  readonly ceilings: Ceilings;
  readonly want: JointWant;
}

/** So many that hold are shown, and after so many tries it is enough. */
const SHOWN = 3;
const MOST_TRIES = 12;
/** A limit that gave way already may not come to less than this of what it was. */
const NO_WORSE = 0.98;
/** After a choice that the pack does not carry, one is asked that draws so much of it at once. */
const DRAWS_LESS = 0.9;

/**
 * Chooses for all mechanisms at once: the best within all ceilings, exact over what the searches found, then gone through
 * every script that counts. Where the shared pack makes something give way that held before, the best of those is taken
 * that draw a tenth less at once, and so on. Yields often.
 */
export function* chooseForAll(
  solver: JointSolver,
  plan: Plan,
  { todays, options, ceilings, want }: ChoiceQuestion,
): Generator<RobotChoice, RobotChoice> {
  const question = { options, ceilings, want };
  const paper = solveJoint(solver, question);
  const held: MarchedChoice[] = [];
  const ruledOut: MarchedChoice[] = [];
  const costs: CeilingCost[] = [];
  const soFar = (share: number, done = false): RobotChoice => ({
    today: sumsOf(
      todays.map((one) => [one]),
      todays.map(() => 0),
    ),
    paper,
    held: [...held],
    ruledOut: [...ruledOut],
    costs: [...costs],
    share,
    done,
  });

  for (const ceiling of CEILINGS) {
    const limit = ceilings[ceiling];
    if (limit === undefined) continue;
    const step = oneStep(ceiling, limit);
    const loosened = solveJoint(solver, { ...question, ceilings: { ...ceilings, [ceiling]: limit + step } });
    const helps = loosened !== undefined && better(want, loosened.value, paper?.value);
    costs.push({ ceiling, step, value: loosened?.value, helps });
    yield soFar(0);
  }
  if (!paper) return soFar(1, true);

  const now = yield* through(judgeRobot(plan), () => soFar(0));
  const gave = new Map(rungsOf(now).map((rung) => [keyOf(rung), rung.multiple]));
  const cuts: Cut[] = [];
  let { peak } = ceilings;
  for (let tries = 0; tries < MOST_TRIES && held.length < SHOWN; tries++) {
    const choice = tries === 0 ? paper : solveJoint(solver, { ...question, ceilings: { ...ceilings, peak } }, cuts);
    if (!choice) break;
    const taken = choice.picks.map((pick, m) => options[m]![pick]!);
    const changes = adoptAll(plan, taken);
    const changed = applyChanges(plan, changes);
    const robot = yield* through(judgeRobot(changed), () => soFar(tries / MOST_TRIES));
    const worse = firstToGive(
      rungsOf(robot).filter(
        (rung) => rung.verdict === 'gives way' && rung.multiple < NO_WORSE * Math.min(1, gave.get(keyOf(rung)) ?? 1),
      ),
    )[0];
    const first = worse ?? robot.worst?.rungs[0];
    (worse ? ruledOut : held).push({ choice, taken, changes, verdict: robot.verdict, first });
    if (worse) peak = DRAWS_LESS * choice.peak;
    // What held may come again with other drives, not with other totals of the same ones.
    else cuts.push(choice.picks.map((pick, mechanism) => ({ mechanism, options: alike(options[mechanism]!, pick) })));
    yield soFar((tries + 1) / MOST_TRIES);
  }
  return soFar(1, true);
}

const alike = (options: readonly RobotOption[], pick: number): readonly number[] =>
  options.flatMap((option, o) => (samePieces(option, options[pick]!) ? [o] : []));

const keyOf = ({ id, mechanism = '' }: RobotRung): string => `${id} ${mechanism}`;

/** Of all scripts; the limits of the event are ceilings of the choice already. */
const rungsOf = ({ matches }: JudgedRobot): readonly RobotRung[] =>
  matches.flatMap(({ rungs }) => rungs.filter(({ id }) => id !== 'event'));

/** A thousandth better is better. */
function better(want: JointWant, value: number, than: number | undefined): boolean {
  if (than === undefined) return true;
  const gain = isLeast(want) ? value - than : than - value;
  return gain > 1e-3 * Math.max(1e-9, Math.abs(than));
}
