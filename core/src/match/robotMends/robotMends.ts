import { judge as judgePath } from '../../judge/evaluate/mechanism.js';
import { givingWay } from '../../judge/mends/mends.js';
import { withPackAs, type PackState } from '../lanes/packState.js';
import { robotOnPack } from '../lanes/onPack.js';
import { marchMatch, type MatchOptions } from '../lanes/march.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { cutTo, lengthOf, type MatchScript } from '../../plan/document/script.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { eventChecks, worsened } from '../../judge/ledger/eventRungs.js';
import { judgeMatch, scriptsThatCount, type JudgedMatch } from '../robot/judge.js';
import { matchRungs } from '../robot/matchRungs.js';
import { through } from '../robot/through.js';
import { firstToGive, type RobotRung } from '../../judge/ledger/robotRung.js';
import { joined, type Words } from '../../plan/words/phrase.js';
import { involvedIn } from './involved.js';
import { robotLevers, scriptIn, TAKES_PARTS } from './robotLevers.js';
import type { RobotLever, RobotLeverId, RobotSetting } from './robotLever.js';

/** A change of the robot, or of what it does, that makes the match hold; what it changes is one step to undo. */
export interface RobotMend {
  readonly levers: readonly RobotLeverId[];
  readonly label: Words;
  readonly changes: readonly Change[];
  /** Multiple of what was to be mended, before and after. */
  readonly before: number;
  readonly after: number;
  /** Whether what is wanted is reached, or only that it no longer gives way. */
  readonly reaches: boolean;
  /** What gives first on the robot afterwards. */
  readonly firstAfter: string;
  /** Limits of the event that were passed before, and would be by more. */
  readonly more?: readonly string[];
}

/** What a search for changes has come to. */
export interface RobotMendsFound {
  readonly mends: readonly RobotMend[];
  /** Matches gone through. */
  readonly marched: number;
  /** No single change does it without new parts: two together are tried. */
  readonly pairs: boolean;
  readonly done: boolean;
}

/** Tries go in longer steps; what is told afterwards does not. s */
const TRIED_STEP = 0.01;
/** So long after the instant at which it gave it is clear whether it still does, s. */
const PAST_IT = 6;
/** So many of the levers that helped most are put together in pairs. */
const PAIRED = 5;

const DIPS: readonly RobotRung['id'][] = ['boards', 'cells', 'controller'];
/** The same limit before and after a change: of dips only the worst is told, whoever's it is. */
const keyOf = ({ id, mechanism = '', name }: RobotRung): string =>
  DIPS.includes(id) ? id : `${id} ${id === 'event' ? name : mechanism}`;

/** A setting that was marched: how far it comes, and whether it harms. */
interface Tried {
  readonly lever: RobotLever;
  readonly at: number;
  readonly setting: RobotSetting;
  readonly multiple: number;
}

/**
 * Looks for changes that mend what gives in a match: each lever set as far as it must, gone through again, and judged on
 * the whole robot over all scripts that count. What makes anything else give way, passes a limit of the event or harms a
 * mechanism alone is none. Where no single change does it without new parts, two together are tried. Yields often.
 */
export function* findRobotMends(
  plan: Plan,
  match: JudgedMatch,
  target: RobotRung,
  options: MatchOptions & PackState = {},
): Generator<RobotMendsFound, RobotMendsFound> {
  const { script } = match;
  const mends: RobotMend[] = [];
  let marched = 0;
  let pairs = false;
  const found = (done: boolean): RobotMendsFound => ({ mends: [...mends], marched, pairs, done });
  const soFar = () => found(false);
  const goals = target.multiple < 1 ? [target.wants, 1] : [target.wants];

  /**
   * The multiple of what is to be mended with a setting; 0 where nothing can be told. What gives by the instant it gave at
   * before gives in the whole match too: the rest is spared.
   */
  function* multipleWith(setting: RobotSetting): Generator<RobotMendsFound, number> {
    const changed = applyChanges(plan, setting.changes);
    const there = scriptIn(changed, script);
    const onPack = robotOnPack(changed, there);
    if (!onPack) return 0;
    const robot = withPackAs(onPack, options);
    const soonGives = (target.time ?? Infinity) + PAST_IT;
    const whole = lengthOf(there);
    let multiple = Infinity;
    for (const seconds of soonGives < whole / 2 ? [soonGives, whole] : [whole]) {
      const march = marchMatch(robot, cutTo(there, seconds), { ...options, step: TRIED_STEP });
      const result = yield* through(march, soFar);
      // A change may do away with the question itself.
      multiple = matchRungs(robot, result).find((one) => keyOf(one) === keyOf(target))?.multiple ?? Infinity;
      if (multiple < goals.at(-1)!) break;
    }
    marched++;
    return multiple;
  }

  /** The least setting that comes to a goal, with all that were tried on the way. */
  function* solve(lever: RobotLever, settings: readonly RobotSetting[]): Generator<RobotMendsFound, readonly Tried[]> {
    const tried: Tried[] = [];
    function* tryAt(at: number): Generator<RobotMendsFound, number> {
      const setting = settings[at]!;
      const multiple = yield* multipleWith(setting);
      tried.push({ lever, at, setting, multiple });
      return multiple;
    }
    if (settings.length === 0) return tried;
    if (!lever.steady) {
      for (const at of settings.keys()) if ((yield* tryAt(at)) >= target.wants) break;
      return tried;
    }
    const most = yield* tryAt(settings.length - 1);
    const goal = goals.find((one) => most >= one);
    if (goal === undefined) return tried;
    let [low, high] = [-1, settings.length - 1];
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if ((yield* tryAt(middle)) >= goal) high = middle;
      else low = middle;
    }
    return tried;
  }

  const before = yield* robotFacts(plan, script, match, options, soFar);
  /** Judges a setting on the whole robot; `undefined` where it does not do it, or harms. */
  function* judged(
    setting: RobotSetting,
    ids: readonly RobotLeverId[],
  ): Generator<RobotMendsFound, RobotMend | undefined> {
    const changed = applyChanges(plan, setting.changes);
    const event = worsened(before.event, eventChecks(changed));
    if (event.passed.length > 0) return undefined;
    if (harmsAlone(plan, changed)) return undefined;
    let first: RobotRung | undefined;
    let after = Infinity;
    for (const there of scriptsIn(changed, script)) {
      const again = yield* through(judgeMatch(changed, there, options), soFar);
      marched++;
      const rungs = again?.rungs ?? [];
      const gave = before.giving.get(there.id) ?? new Set();
      if (rungs.some((rung) => rung.verdict === 'gives way' && !gave.has(keyOf(rung)))) return undefined;
      first = firstToGive([...(first ? [first] : []), ...rungs.slice(0, 1)])[0];
      if (there.id === script.id) after = rungs.find((rung) => keyOf(rung) === keyOf(target))?.multiple ?? Infinity;
    }
    if (!goals.some((goal) => after >= goal) || after <= target.multiple) return undefined;
    const { label, changes } = setting;
    return {
      levers: ids,
      label,
      changes,
      before: target.multiple,
      after,
      reaches: after >= target.wants,
      firstAfter: first?.name ?? 'nothing',
      more: event.more.length > 0 ? event.more : undefined,
    };
  }

  const levers = robotLevers(plan, script, target, involvedIn(plan, match, target));
  const all: Tried[] = [];
  for (const lever of levers) {
    const tried = yield* solve(lever, lever.settings(plan));
    all.push(...tried);
    // The least that does it may harm where a little more does not, and the other way round: the least few are judged.
    for (const goal of goals) {
      const does = tried.filter(({ multiple }) => multiple >= goal).sort((a, b) => a.at - b.at);
      let mend: RobotMend | undefined;
      for (const { setting } of does.slice(0, 2)) if ((mend = yield* judged(setting, [lever.id]))) break;
      if (!mend) continue;
      mends.push(mend);
      break;
    }
    yield soFar();
  }
  if (mends.some(({ levers: [id] }) => !TAKES_PARTS.has(id!))) return found(true);

  pairs = true;
  yield soFar();
  for (const [first, second] of pairsOf(
    all.filter(({ lever }) => !TAKES_PARTS.has(lever.id)),
    target,
  )) {
    const other = second.lever.settings(applyChanges(plan, first.setting.changes))[second.at];
    if (!other) continue;
    const setting: RobotSetting = {
      changes: [...first.setting.changes, ...other.changes],
      label: joined([first.setting.label, other.label], ', and '),
    };
    if ((yield* multipleWith(setting)) < goals.at(-1)!) continue;
    const mend = yield* judged(setting, [first.lever.id, second.lever.id]);
    if (mend) mends.push(mend);
    yield soFar();
  }
  return found(true);
}

/** The scripts that count, and the one that is looked at. */
const scriptsIn = (plan: Plan, script: MatchScript): readonly MatchScript[] => {
  const counting = scriptsThatCount(plan);
  return counting.some(({ id }) => id === script.id) ? counting : [scriptIn(plan, script), ...counting];
};

/** What gives way today, script by script, and how the robot stands against its event. */
function* robotFacts(
  plan: Plan,
  script: MatchScript,
  match: JudgedMatch,
  options: MatchOptions & PackState,
  soFar: () => RobotMendsFound,
) {
  const giving = new Map<string, ReadonlySet<string>>();
  for (const there of scriptsIn(plan, script)) {
    const now = there.id === script.id ? match : yield* through(judgeMatch(plan, there, options), soFar);
    const rungs = now?.rungs ?? [];
    giving.set(there.id, new Set(rungs.filter(({ verdict }) => verdict === 'gives way').map(keyOf)));
  }
  return { giving, event: eventChecks(plan) };
}

/** Whether a mechanism that was changed gives way alone in something that held before. */
function harmsAlone(plan: Plan, changed: Plan): boolean {
  const supplyToo = plan.supply !== changed.supply || plan.parts !== changed.parts;
  return changed.mechanisms.some((mechanism, i) => {
    const was = plan.mechanisms[i];
    if (!was || (mechanism === was && !supplyToo)) return false;
    const gives = (of: Plan, one: Mechanism, job: string) => givingWay(judgePath(resolvePath(of, one, job)));
    return mechanism.jobs.some(({ id }) => {
      const gave = gives(plan, was, id);
      return [...gives(changed, mechanism, id)].some((item) => !gave.has(item));
    });
  });
}

/** Pairs of the levers that help most, each at its best. */
function pairsOf(all: readonly Tried[], target: RobotRung): readonly (readonly [Tried, Tried])[] {
  const best = new Map<RobotLever, Tried>();
  for (const tried of all) {
    if (tried.multiple <= target.multiple) continue;
    const known = best.get(tried.lever);
    if (!known || tried.multiple > known.multiple) best.set(tried.lever, tried);
  }
  const most = [...best.values()].sort((a, b) => b.multiple - a.multiple).slice(0, PAIRED);
  return most.flatMap((first, i) => most.slice(i + 1).map((second) => [first, second] as const));
}
