import {
  anotherMachine,
  candidatesFor,
  chooseForAll,
  compareVariant,
  evaluate,
  findDayMends,
  findMends,
  findRobotMends,
  gearedVariants,
  gearFor,
  inTeeth,
  judgeDay,
  judgedTwice,
  judgeMatch,
  judgeTogether,
  loadJointSolver,
  judgeTrain,
  mechanismById,
  ratioMarks,
  resolveDcPath,
  resolvePath,
  readyMade,
  robotOptions,
  rulerSpan,
  sameSpeedVariants,
  scoreCard,
  searchShortlist,
  searchTrains,
  spreadBuilds,
  standIns,
  sweepMechanism,
  sweepRatios,
  usesPart,
  type CandidateScore,
  type GearedFor,
  type JudgedMatch,
  type JudgedTwice,
  type Like,
  type MatchScript,
  type MechanismResult,
  type Mend,
  type MendsFound,
  type PackState,
  type Plan,
  type RatioMarks,
  type RatioPoint,
  type RobotMendsFound,
  type RobotFinding,
  type RobotRung,
  type ShortlistQuery,
  type Shelved,
  type Lot,
  type Shortlist,
  type SpeedEnd,
  type Spread,
  type Stock,
  type SweepPoint,
  type Target,
  type TrainFound,
  type TrainJudged,
  type TrainQuery,
  type Variant,
  type VariantResult,
  type Verdict,
} from '@rough-gear/core';
import type { Question, Questions } from './slices.js';

const SWEEP_POINTS = 41;
const RATIO_POINTS = 81;
/** So often a search tells what it has found, ms: a long list is copied each time. */
const TELL_SEARCH = 150;
const MENDS_WITHIN = 5000;
/** Pairs of changes on a robot are tried no longer than this, ms: each is a match gone through. */
const ROBOT_MENDS_WITHIN = 90_000;

/** What is found of a robot beside its mechanisms alone, without what the matches looked like. */
export interface TogetherTold {
  readonly findings: readonly RobotFinding[];
  readonly matches: readonly {
    readonly script: string;
    readonly verdict: Verdict;
    readonly rungs: readonly RobotRung[];
  }[];
}

/** What a match is gone through with: charge at its start, and how the pack is on the day. */
export interface MatchAsked extends PackState {
  readonly charge: number;
  /** Its resistance over what it was when new. */
  readonly aged: number;
  /** What it holds of when it was new, and how warm it is, °C. */
  readonly capacity: number;
  readonly celsius: number;
}
const startingWith = ({ charge, ...state }: MatchAsked) => ({
  ...state,
  start: { charge, lumps: [], branches: [], main: 0 },
});

interface TrainRow {
  readonly train: TrainFound;
  readonly judged?: TrainJudged;
}

export interface TrainProgress {
  readonly trains: readonly TrainRow[];
  readonly decided: number;
  readonly tooWeak: number;
  readonly tooLarge: number;
  readonly done: boolean;
}

/** A wanted speed: its total, as it is against geared for it, and the volts that give the same speed. */
export interface GearedOn {
  readonly geared: GearedFor;
  readonly rows: readonly VariantResult[];
  readonly pairs: readonly VariantResult[];
}

/** Headlines of all mechanisms, without the runs' samples. */
export const headlines = (plan: Plan): readonly MechanismResult[] =>
  evaluate(plan).mechanisms.map((mechanism) => ({
    ...mechanism,
    jobs: mechanism.jobs.map(({ run: _run, ...job }) => job),
  }));

/** Mechanisms judged before and after a change, those that use a part only where one is named. */
export const twice = (before: Plan, after: Plan, partKey?: string): readonly JudgedTwice[] =>
  judgedTwice(before, after, partKey === undefined ? undefined : (one) => usesPart(before, one, partKey));

/** All scripts that count, the day, the event sheet and the wires, without what the matches looked like. */
function* together(plan: Plan): Generator<unknown, TogetherTold> {
  const { matches, findings } = yield* judgeTogether(plan);
  return { findings, matches: matches.map(({ script, verdict, rungs }) => ({ script: script.id, verdict, rungs })) };
}

/** Where on the ruler a job begins to do, does best, and ends to do; tells the share gone through. */
function* marks(plan: Plan, mechanismId: string, jobId: string): Generator<number, RatioMarks | undefined> {
  const mechanism = plan.mechanisms.find(({ id }) => id === mechanismId);
  if (!mechanism) return undefined;
  const path = resolvePath(plan, mechanism, jobId);
  const points: SweepPoint[] = [];
  for (const point of sweepRatios(path, ...rulerSpan(path.train.total), SWEEP_POINTS)) {
    points.push(point);
    yield points.length / SWEEP_POINTS;
  }
  return ratioMarks(points);
}

function* mends(plan: Plan, mechanismId: string, target: Target): Generator<readonly Mend[], MendsFound> {
  let found: readonly Mend[] = [];
  for (const mend of findMends(plan, mechanismId, target)) {
    if (mend) found = [...found, mend];
    yield found;
  }
  return { mends: found, finished: true };
}

/** Builds that are not quite the drawing's; tells the share gone through. */
function* spread(plan: Plan, mechanismId: string, jobId: string, count: number): Generator<number, Spread | undefined> {
  const builds = spreadBuilds(plan, mechanismId, jobId, { count });
  for (;;) {
    const next = builds.next();
    if (next.done) return next.value;
    yield next.value / count;
  }
}

function* compare(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  variants: readonly Variant[],
): Generator<readonly VariantResult[], readonly VariantResult[]> {
  const results: VariantResult[] = [];
  for (const variant of variants) {
    results.push(compareVariant(plan, mechanismId, jobId, variant));
    yield results;
  }
  return results;
}

/** What a wanted speed asks of the total, what that costs at the other end, and which volts give the same speed. */
function* gearedFor(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  end: SpeedEnd,
  speed: number,
): Generator<undefined, GearedOn> {
  const geared = gearFor(resolveDcPath(plan, mechanismById(plan, mechanismId), jobId), end, speed);
  if (!geared.ok) return { geared, rows: [], pairs: [] };
  const judged = (variant: Variant) => compareVariant(plan, mechanismId, jobId, variant);
  const rows = gearedVariants(geared.total).map(judged);
  const pairs: VariantResult[] = [];
  for (const variant of sameSpeedVariants(plan, mechanismId, jobId, end, speed)) {
    pairs.push(judged(variant));
    yield;
  }
  return { geared, rows, pairs };
}

/** Pairs of motor and controller, measured one after the other, and scored against each other. */
function* scores(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
  like: Like,
): Generator<readonly CandidateScore[], readonly CandidateScore[]> {
  return yield* scoreCard(plan, mechanismId, jobId, candidatesFor(plan, mechanismId, jobId, shelf, like));
}

/** Trains off the shelf; the ones at the front are judged on the mechanism as they would stand in it. */
function* trains(
  plan: Plan,
  mechanismId: string,
  stock: readonly Stock[],
  query: TrainQuery,
): Generator<TrainProgress, TrainProgress> {
  const search = searchTrains(stock, query);
  let latest = search.next();
  for (; !latest.done; latest = search.next()) {
    const { trains: found, decided, tooWeak, tooLarge } = latest.value;
    yield { trains: found.map((train) => ({ train })), decided, tooWeak, tooLarge, done: false };
  }
  const { decided, tooWeak, tooLarge } = latest.value;
  const rows: TrainRow[] = latest.value.trains.map((train) => ({ train }));
  for (const [i, { train }] of rows.entries()) {
    rows[i] = { train, judged: judgeTrain(plan, mechanismId, train) };
    yield { trains: [...rows], decided, tooWeak, tooLarge, done: false };
  }
  return { trains: rows, decided, tooWeak, tooLarge, done: true };
}

/** The ratio sweep of a job, point by point as they come. */
function* ratioSweep(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  span: readonly [low: number, high: number],
): Generator<readonly RatioPoint[], readonly RatioPoint[]> {
  let points: readonly RatioPoint[] = [];
  for (const point of sweepMechanism(plan, mechanismId, jobId, ...span, RATIO_POINTS)) {
    points = [...points, point];
    yield points;
  }
  return points;
}

/** One lot of a shortlist. */
const shortlist: Question<[Plan, ShortlistQuery, readonly Shelved[], Lot], Shortlist, Shortlist> & {
  readonly stopped: (last: Shortlist) => Shortlist;
} = {
  steps: (plan, query, shelf, lot) => searchShortlist(plan, query, shelf, lot),
  tellEvery: TELL_SEARCH,
  // After a stop the last answer is not done.
  stopped: (last) => last,
};

/** What the worker is asked, a line a kind: what stands here is asked, told, stopped and overtaken alike. */
export const QUESTIONS = {
  together: { steps: together },
  match: {
    steps: (plan: Plan, script: MatchScript, asked: MatchAsked) => judgeMatch(plan, script, startingWith(asked)),
  },
  day: { steps: judgeDay },
  robotMends: {
    steps: (plan: Plan, match: JudgedMatch, target: RobotRung, asked: MatchAsked) =>
      findRobotMends(plan, match, target, startingWith(asked)),
    within: ROBOT_MENDS_WITHIN,
    // Once its time is up, what was found until then is the answer.
    late: (found: RobotMendsFound) => found,
  },
  dayMends: { steps: findDayMends },
  robotOptions: { steps: robotOptions, group: 'choosing' },
  chooseForAll: {
    ready: loadJointSolver,
    steps: chooseForAll,
    group: 'choosing',
  },
  standIns: { steps: standIns },
  marks: { steps: marks },
  mends: {
    steps: mends,
    within: MENDS_WITHIN,
    late: (found: readonly Mend[]): MendsFound => ({ mends: found, finished: false }),
  },
  spread: { steps: spread },
  compare: { steps: compare },
  scores: { steps: scores },
  readyMade: { steps: readyMade },
  anotherMachine: { steps: anotherMachine },
  gearFor: { steps: gearedFor },
  trains: { steps: trains },
  ratioSweep: { steps: ratioSweep },
  shortlist,
  inTeeth: { steps: inTeeth },
} satisfies Questions;
