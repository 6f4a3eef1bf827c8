import {
  compareVariant,
  concludeTrial,
  judgedTwice,
  traceGoes,
  trialsWorthDoing,
  usesPart,
  type Concluded,
  type Expected,
  type JudgedTwice,
  type GoOfJob,
  type Traced,
  type Trial,
  type WorthDoing,
  gearedVariants,
  gearFor,
  mechanismById,
  resolveDcPath,
  sameSpeedVariants,
  inTeeth,
  searchShortlist,
  sweepMechanism,
  type Found,
  type InTeeth,
  type Lot,
  type RatioPoint,
  type Shelved,
  type Shortlist,
  type ShortlistQuery,
  type TeethQuery,
  chooseForAll,
  evaluate,
  findDayMends,
  findMends,
  findRobotMends,
  judgeTrain,
  judgeDay,
  judgeMatch,
  judgeRobot,
  ratioMarks,
  resolvePath,
  robotOptions,
  rulerSpan,
  searchTrains,
  spreadBuilds,
  sweepRatios,
  type ChoiceQuestion,
  type DayAsked,
  type DayMend,
  type GearedFor,
  type JudgedDay,
  type JudgedMatch,
  type MatchScript,
  type Mend,
  type MendsFound,
  type MechanismResult,
  type OrderLine,
  type PackState,
  type Plan,
  type RobotChoice,
  type RobotMendsFound,
  type RobotOptions,
  type RobotRung,
  type RatioMarks,
  standIns,
  type Spread,
  type StandIn,
  type Stock,
  type SpeedEnd,
  type SweepPoint,
  type Target,
  type TrainFound,
  type TrainJudged,
  type TrainQuery,
  type Variant,
  type VariantResult,
  type Verdict,
} from '@rough-gear/core';
import { expose } from 'comlink';

const SWEEP_POINTS = 41;
const SPREAD_SLICE = 40;
const RATIO_POINTS = 81;
/** So often a search tells what it has found. */
const TELL_MS = 150;
/** Between two tries of a mend messages come in after so long, ms; after so long the search gives up. */
const BREATHE_EVERY = 50;
const MENDS_WITHIN = 5000;
/** Pairs of changes on a robot are tried no longer than this, ms: each is a match gone through. */
const ROBOT_MENDS_WITHIN = 90_000;

/** Lets messages in between two slices, so that a newer request or a stop is heard. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Takes what goes on step by step, letting messages in between: tells what comes now and then, and gives the end. */
async function inTurns<Step, End>(
  steps: Generator<Step, End>,
  progress: ((step: Step) => void) | undefined,
  goesOn: () => boolean,
): Promise<End | undefined> {
  let breathed = performance.now();
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    if (performance.now() - breathed < BREATHE_EVERY) continue;
    progress?.(next.value);
    await breathe();
    if (!goesOn()) return undefined;
    breathed = performance.now();
  }
}

/** A robot's verdict with what it rests on, script by script. */
export interface RobotVerdict {
  readonly verdict: Verdict;
  readonly matches: readonly {
    readonly script: string;
    readonly verdict: Verdict;
    readonly rungs: readonly RobotRung[];
  }[];
}

/** What a match is gone through with: charge at its start, and how the pack is on the day. */
export interface MatchAsked {
  readonly charge: number;
  /** Its resistance over what it was when new. */
  readonly aged: number;
  /** What it holds of when it was new, and how warm it is, °C. */
  readonly capacity: number;
  readonly celsius: number;
}

export interface TrainRow {
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

/** What runs beside the screen. A newer request of the same kind stops the older one, which then gives `undefined`. */
export class CoreWorker {
  private sweeping = 0;
  private mending = 0;
  private spreading = 0;
  private comparing = 0;
  private gearing = 0;
  private training = 0;
  private ratioSweeping = 0;
  private searching = 0;
  private toothing = 0;
  private matching = 0;
  private playing = 0;
  private robotMending = 0;
  private dayMending = 0;
  private choosing = 0;
  private judgingRobot = 0;
  private standing = 0;

  /** Headlines of all mechanisms, without the runs' samples. */
  evaluate(plan: Plan): readonly MechanismResult[] {
    return evaluate(plan).mechanisms.map((mechanism) => ({
      ...mechanism,
      jobs: mechanism.jobs.map(({ run: _run, ...job }) => job),
    }));
  }

  /** What a trial came to: a long log is fitted beside the screen. */
  conclude(trial: Trial, expected: Expected): Concluded {
    return concludeTrial(trial, expected);
  }

  /** Mechanisms judged before and after a change, those that use a part only where one is named. */
  judgedTwice(before: Plan, after: Plan, partKey?: string): readonly JudgedTwice[] {
    return judgedTwice(before, after, partKey === undefined ? undefined : (one) => usesPart(before, one, partKey));
  }

  /** Why goes were not as predicted. */
  trace(plan: Plan, mechanismId: string, goes: readonly GoOfJob[]): Traced | undefined {
    return traceGoes(plan, mechanismId, goes);
  }

  worthDoing(plan: Plan, mechanismId: string, jobId: string): readonly WorthDoing[] {
    return trialsWorthDoing(plan, mechanismId, jobId);
  }

  /** A match gone through and judged; `undefined` where a newer one was asked for, or the pack is not known. */
  async match(
    plan: Plan,
    script: MatchScript,
    { charge, ...state }: MatchAsked,
    progress: (share: number) => void,
  ): Promise<JudgedMatch | undefined> {
    const mine = ++this.matching;
    const march = judgeMatch(plan, script, { ...state, start: { charge, lumps: [], branches: [], main: 0 } });
    return inTurns(march, progress, () => mine === this.matching);
  }

  /** A day of matches, told match by match; `undefined` where it was stopped, or the pack is not known. */
  async day(
    plan: Plan,
    script: MatchScript,
    asked: DayAsked,
    progress: (found: JudgedDay) => void,
  ): Promise<JudgedDay | undefined> {
    const mine = ++this.playing;
    return inTurns(judgeDay(plan, script, asked), progress, () => mine === this.playing);
  }

  /** What mends a match, told as it is found; `undefined` where it was stopped, or a newer one was asked for. */
  async robotMends(
    plan: Plan,
    match: JudgedMatch,
    target: RobotRung,
    { charge, ...state }: MatchAsked,
    progress: (found: RobotMendsFound) => void,
  ): Promise<RobotMendsFound | undefined> {
    const mine = ++this.robotMending;
    const started = performance.now();
    const options = { ...state, start: { charge, lumps: [], branches: [], main: 0 } };
    let last: RobotMendsFound | undefined;
    const tell = (found: RobotMendsFound) => {
      last = found;
      progress(found);
    };
    const isOn = () => mine === this.robotMending;
    const inTime = () => performance.now() - started < ROBOT_MENDS_WITHIN;
    const all = await inTurns(findRobotMends(plan, match, target, options), tell, () => isOn() && inTime());
    // Once its time is up, what was found until then is the answer.
    return all ?? (isOn() ? last : undefined);
  }

  /** What lets a day last longer, told as it is found; `undefined` where it was stopped. */
  async dayMends(
    plan: Plan,
    script: MatchScript,
    failsAt: number,
    state: PackState,
    progress: (found: readonly DayMend[]) => void,
  ): Promise<readonly DayMend[] | undefined> {
    const mine = ++this.dayMending;
    return inTurns(findDayMends(plan, script, failsAt, state), progress, () => mine === this.dayMending);
  }

  /** The verdict of a robot over all scripts that count, without what the matches looked like. */
  async judgeRobot(plan: Plan): Promise<RobotVerdict | undefined> {
    const mine = ++this.judgingRobot;
    const robot = await inTurns(judgeRobot(plan), undefined, () => mine === this.judgingRobot);
    if (!robot) return undefined;
    const { verdict, matches } = robot;
    return {
      verdict,
      matches: matches.map((match) => ({ script: match.script.id, verdict: match.verdict, rungs: match.rungs })),
    };
  }

  /** The ways each mechanism may be done, from what a search has found of each. */
  async robotOptions(
    plan: Plan,
    fronts: readonly (readonly Found[])[],
    progress: (found: RobotOptions) => void,
  ): Promise<RobotOptions | undefined> {
    const mine = ++this.choosing;
    return inTurns(robotOptions(plan, fronts), progress, () => mine === this.choosing);
  }

  /** One choice for all mechanisms, gone through the match. */
  async chooseForAll(
    plan: Plan,
    question: ChoiceQuestion,
    progress: (found: RobotChoice) => void,
  ): Promise<RobotChoice | undefined> {
    const mine = ++this.choosing;
    return inTurns(chooseForAll(plan, question), progress, () => mine === this.choosing);
  }

  stopChoosing(): void {
    this.choosing++;
  }

  stopRobotMends(): void {
    this.robotMending++;
  }

  stopDayMends(): void {
    this.dayMending++;
  }

  /** What else does the work of a part that is not to be had; `undefined` where it was stopped. */
  async standIns(
    plan: Plan,
    line: Pick<OrderLine, 'key'>,
    shelf: readonly Shelved[],
    progress: (share: number) => void,
  ): Promise<readonly StandIn[] | undefined> {
    const mine = ++this.standing;
    return inTurns(standIns(plan, line, shelf), progress, () => mine === this.standing);
  }

  stopStandIns(): void {
    this.standing++;
  }

  stopDay(): void {
    this.playing++;
  }

  stopMatch(): void {
    this.matching++;
  }

  async marks(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    progress: (share: number) => void,
  ): Promise<RatioMarks | undefined> {
    const mine = ++this.sweeping;
    const mechanism = plan.mechanisms.find((candidate) => candidate.id === mechanismId);
    if (!mechanism) return undefined;
    const path = resolvePath(plan, mechanism, jobId);
    const points: SweepPoint[] = [];
    const [low, high] = rulerSpan(path.train.total);
    for (const point of sweepRatios(path, low, high, SWEEP_POINTS)) {
      points.push(point);
      if (points.length % 4 === 0) {
        progress(points.length / SWEEP_POINTS);
        await breathe();
        if (mine !== this.sweeping) return undefined;
      }
    }
    return ratioMarks(points);
  }

  async mends(
    plan: Plan,
    mechanismId: string,
    target: Target,
    progress: (found: readonly Mend[]) => void,
  ): Promise<MendsFound | undefined> {
    const mine = ++this.mending;
    const mends: Mend[] = [];
    const started = performance.now();
    let breathed = started;
    for (const mend of findMends(plan, mechanismId, target)) {
      if (mend) {
        mends.push(mend);
        progress(mends);
      }
      if (!mend && performance.now() - breathed < BREATHE_EVERY) continue;
      await breathe();
      breathed = performance.now();
      if (mine !== this.mending) return undefined;
      if (breathed - started > MENDS_WITHIN) return { mends, finished: false };
    }
    return { mends, finished: true };
  }

  async spread(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    count: number,
    progress: (share: number) => void,
  ): Promise<Spread | undefined> {
    const mine = ++this.spreading;
    const builds = spreadBuilds(plan, mechanismId, jobId, { count });
    for (;;) {
      const next = builds.next();
      if (next.done) return next.value;
      if (next.value % SPREAD_SLICE === 0) {
        progress(next.value / count);
        await breathe();
        if (mine !== this.spreading) return undefined;
      }
    }
  }

  stopSpread(): void {
    this.spreading++;
  }

  async compare(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    variants: readonly Variant[],
  ): Promise<readonly VariantResult[] | undefined> {
    const mine = ++this.comparing;
    const results: VariantResult[] = [];
    for (const variant of variants) {
      results.push(compareVariant(plan, mechanismId, jobId, variant));
      await breathe();
      if (mine !== this.comparing) return undefined;
    }
    return results;
  }

  /** What a wanted speed asks of the total, what that costs at the other end, and which volts give the same speed. */
  async gearFor(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    end: SpeedEnd,
    speed: number,
  ): Promise<GearedOn | undefined> {
    const mine = ++this.gearing;
    const geared = gearFor(resolveDcPath(plan, mechanismById(plan, mechanismId), jobId), end, speed);
    const judged = (variant: Variant) => compareVariant(plan, mechanismId, jobId, variant);
    const rows = geared.ok ? gearedVariants(plan, mechanismId, jobId, geared.total).map(judged) : [];
    const pairs: VariantResult[] = [];
    for (const variant of geared.ok ? sameSpeedVariants(plan, mechanismId, jobId, end, speed) : []) {
      pairs.push(judged(variant));
      await breathe();
      if (mine !== this.gearing) return undefined;
    }
    return mine === this.gearing ? { geared, rows, pairs } : undefined;
  }

  /** Trains off the shelf; the ones at the front are judged on the mechanism as they would stand in it. */
  async trains(
    plan: Plan,
    mechanismId: string,
    stock: readonly Stock[],
    query: TrainQuery,
    progress: (found: TrainProgress) => void,
  ): Promise<TrainProgress | undefined> {
    const mine = ++this.training;
    const search = searchTrains(stock, query);
    let latest = search.next();
    while (!latest.done) {
      const { trains, decided: soFar, tooWeak, tooLarge } = latest.value;
      progress({ trains: trains.map((train) => ({ train })), decided: soFar, tooWeak, tooLarge, done: false });
      await breathe();
      if (mine !== this.training) return undefined;
      latest = search.next();
    }
    const { decided, tooWeak, tooLarge } = latest.value;
    const found: TrainRow[] = latest.value.trains.map((train) => ({ train }));
    for (const [i, { train }] of found.entries()) {
      found[i] = { train, judged: judgeTrain(plan, mechanismId, train) };
      if (i % 3 === 0) {
        progress({ trains: [...found], decided, tooWeak, tooLarge, done: false });
        await breathe();
        if (mine !== this.training) return undefined;
      }
    }
    return { trains: found, decided, tooWeak, tooLarge, done: true };
  }

  /** The ratio sweep of a job, point by point as they come. */
  async ratioSweep(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    span: readonly [low: number, high: number],
    progress: (points: readonly RatioPoint[]) => void,
  ): Promise<readonly RatioPoint[] | undefined> {
    const mine = ++this.ratioSweeping;
    const points: RatioPoint[] = [];
    for (const point of sweepMechanism(plan, mechanismId, jobId, ...span, RATIO_POINTS)) {
      points.push(point);
      if (points.length % 6 === 0) {
        progress(points);
        await breathe();
        if (mine !== this.ratioSweeping) return undefined;
      }
    }
    return points;
  }

  stopRatioSweep(): void {
    this.ratioSweeping++;
  }

  /** One lot of a shortlist: what is found is sent as it comes. After a stop the last answer is not done. */
  async shortlist(
    plan: Plan,
    query: ShortlistQuery,
    shelf: readonly Shelved[],
    lot: Lot,
    progress: (found: Shortlist) => void,
  ): Promise<Shortlist> {
    const mine = ++this.searching;
    const search = searchShortlist(plan, query, shelf, lot);
    let told = 0;
    let next = search.next();
    while (!next.done) {
      if (performance.now() - told > TELL_MS || (told === 0 && next.value.front.length > 0)) {
        progress(next.value);
        told = performance.now();
      }
      await breathe();
      if (mine !== this.searching) return next.value;
      next = search.next();
    }
    return next.value;
  }

  stopShortlist(): void {
    this.searching++;
  }

  /** A design that was found, in teeth that are sold. */
  async inTeeth(
    plan: Plan,
    query: ShortlistQuery,
    found: Found,
    shelf: readonly Shelved[],
    teeth: TeethQuery,
  ): Promise<InTeeth | undefined> {
    const mine = ++this.toothing;
    const making = inTeeth(plan, query, found, shelf, teeth);
    let next = making.next();
    while (!next.done) {
      await breathe();
      if (mine !== this.toothing) return undefined;
      next = making.next();
    }
    return next.value;
  }

  stopTrains(): void {
    this.training++;
  }

  stopMarks(): void {
    this.sweeping++;
  }
}

// The page hands over the channel in which its calls already wait.
addEventListener('message', ({ data }: MessageEvent<MessagePort>) => expose(new CoreWorker(), data), { once: true });
