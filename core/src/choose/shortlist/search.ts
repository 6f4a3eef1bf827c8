import type { Plan } from '../../plan/document/plan.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { likeInSpeed, outputSpeedNow, totalForSpeed } from '../wants/likeForLike.js';
import { stockFigures } from '../../judge/evaluate/measure.js';
import { commonOn, usedElsewhere } from '../../plan/document/stockOf.js';
import type { Figures } from '../../plan/document/want.js';
import { costOf } from '../wants/wants.js';
import { judgeAt, type Found } from './found.js';
import { drivesOf, type DriveOption } from './drives.js';
import { Fallen, type FallenGroup } from './fallen.js';
import { costsOf, Front } from './front.js';
import { atBest, othersFail, runCompared, type Fails } from './optimist.js';
import { eventFor } from './overEvent.js';
import { overCeiling, type ShortlistQuery } from './query.js';
import { between, totalsBetween, tryTotals, writtenTotal } from './ratios.js';
import { glance, neverBecause, trialOf, type Glance, type Trial } from './trial.js';

/** What a search has found so far. */
export interface Shortlist {
  /** Designs of which none is beaten by another, best known first by the first want. */
  readonly front: readonly Found[];
  /** Drives with their totals, each decided once. */
  readonly tried: number;
  /** Of those, how many were judged in full, and how many a bound excluded: it would have fallen, or be beaten. */
  readonly judged: number;
  readonly excluded: number;
  /** How many hold, or may, but are no better than another in anything. */
  readonly beaten: number;
  readonly fallen: readonly FallenGroup[];
  /** Share of the drives looked at, 0…1. */
  readonly share: number;
  readonly done: boolean;
}

/** A part of the search, so that two workers share it: which of how many. The same parts give the same answers. */
export interface Lot {
  readonly index: number;
  readonly of: number;
}

/** As many lots as are always made, however many workers there are: the counts must not depend on the machine. */
export const LOTS = 2;

/** Decisions between two looks at the outside. */
const SLICE = 400;
/** Drives whose candidates are sorted together, the most hopeful judged first; few at first, so that something shows. */
const DRIVES_TOGETHER = 12;
const DRIVES_FIRST = 3;
/** Rounds of finer totals around what is best in each want. */
const ROUNDS = 5;

/** A candidate that no rung or quick check excludes, with the best it could be. */
interface Hopeful {
  readonly trial: Trial;
  readonly total: number;
  /** No figure of it judged in full is better. */
  readonly best: Figures;
  readonly costs: readonly number[];
}

/** A drive and the totals of it that were tried. */
interface TriedDrive {
  readonly trial: Trial;
  readonly stock: Figures;
  totals: readonly number[];
}

/** What became of a candidate; of one that fell after a run, at how many times what was asked. */
type Decided = 'holds or is beaten' | { readonly fellAt: number };

/** A drive that comes as near as this to what is asked may hold between two steps. */
const NEARLY = 0.85;

/** The totals in the middle between one that was tried and its two neighbours. */
function finerAround(totals: readonly number[], total: number): readonly number[] {
  const at = totals.indexOf(total);
  return [
    [totals[at - 1], total],
    [total, totals[at + 1]],
  ].flatMap(([low, high]) => (low === undefined || high === undefined ? [] : (between(low, high) ?? [])));
}

/**
 * Searches the shelf for designs of a mechanism. Each drive at each total is excluded by a bound or judged in full, by
 * the functions the screen uses. Yields now and then; the same question has the same answer, whatever the shelf's order.
 * Throws where the plan has no such mechanism.
 */
export function* searchShortlist(
  plan: Plan,
  query: ShortlistQuery,
  shelf: readonly Shelved[],
  lot: Lot = { index: 0, of: 1 },
): Generator<Shortlist, Shortlist> {
  const mechanism = plan.mechanisms.find(({ id }) => id === query.mechanismId);
  if (!mechanism) throw new Error(`the plan has no mechanism ${query.mechanismId}`);
  const { wants, jobId } = query;
  const drives = drivesOf(plan, mechanism, query, shelf).filter((_, i) => i % lot.of === lot.index);
  const common = commonOn(shelf);
  const used = usedElsewhere(plan, mechanism.id);
  const grid = totalsBetween(query.from, query.to);
  const event = eventFor(plan);
  /** What would pass a limit of the event falls out; what adds to one that is passed already says so when it is shown. */
  const overEvent = (option: DriveOption): string | undefined => {
    const [over] = event(option).passed;
    return over === undefined ? undefined : `the event’s ${over}`;
  };
  const today = likeInSpeed(query.like) ? outputSpeedNow(plan, mechanism) : undefined;
  /** The one total at which a drive is as fast as today, where that is asked. */
  const alikeTotal = ({ jobs }: Trial): readonly number[] | undefined => {
    const { path } = jobs[0]!;
    if (today === undefined || path.machine !== 'dc' || path.lacks.motor) return undefined;
    return [writtenTotal(totalForSpeed(path.drive.motor, path.drive.restVoltage, today))];
  };
  const front = new Front<Found>();
  const fallen = new Fallen();
  /** Totals tried of each drive that some bound did not exclude at every total. */
  const triedOf = new Map<string, TriedDrive>();
  let [tried, judged, beaten, looked] = [0, 0, 0, 0];

  const soFar = (done: boolean): Shortlist => ({
    front: front.items(),
    tried,
    judged,
    excluded: tried - judged,
    beaten,
    fallen: fallen.groups(),
    share: drives.length === 0 ? 1 : looked / drives.length,
    done,
  });

  const hopefulAt = (trial: Trial, stock: Figures, total: number, multiple: number): Hopeful => {
    const best = atBest(trial, total, jobId, multiple, stock);
    return { trial, total, best, costs: costsOf(wants, best) };
  };

  /** Looks at all totals of a drive by its bounds; gives back what may hold. */
  const lookAt = (option: DriveOption): readonly Hopeful[] => {
    const trial = trialOf(plan, mechanism, query, option);
    const totals = trial.open ? (alikeTotal(trial) ?? grid) : [trial.jobs[0]!.path.train.total];
    const stock = stockFigures(trial.plan, trial.mechanism, common, used);
    // What a drive weighs and costs is the same at every total: past a ceiling none will do.
    const never = overCeiling(stock, query) ?? overEvent(option) ?? neverBecause(trial);
    if (never !== undefined) {
      tried += totals.length;
      fallen.add(never, option.key, totals.length);
      fallen.wholly(never);
      return [];
    }
    const answers = tryTotals(totals, (total) => glance(trial, total), ended);
    tried += answers.length;
    const hopeful = answers.flatMap(({ total, answer }) => {
      if ('multiple' in answer) return [hopefulAt(trial, stock, total, answer.multiple)];
      fallen.add(answer.gives, option.key, 1);
      return [];
    });
    if (hopeful.length === 0) fallen.whollyMostOf(option.key);
    else triedOf.set(option.key, { trial, stock, totals: answers.map(({ total }) => total) });
    return hopeful;
  };

  /** Decides what may hold: beaten at its very best, beaten or failing once run, or judged in full. */
  const decide = ({ trial, total, best, costs }: Hopeful): Decided => {
    const fell = ({ gives, multiple: nearly }: Fails): Decided => {
      fallen.add(gives, trial.option.key, 1);
      return { fellAt: nearly };
    };
    if (front.beats(costs, trial.option.group)) {
      beaten++;
      return 'holds or is beaten';
    }
    const ran = runCompared(trial, total, jobId);
    if ('gives' in ran) return fell(ran);
    if (front.beats(costsOf(wants, { ...best, ...ran.figures }), trial.option.group)) {
      beaten++;
      return 'holds or is beaten';
    }
    const fails = othersFail(trial, total, jobId);
    if (fails) return fell(fails);
    judged++;
    const answer = judgeAt(trial, total, jobId, common, used);
    if ('fell' in answer) return fell({ gives: answer.fell, multiple: 0 });
    beaten += front.offer(answer.holds, costsOf(wants, answer.holds.figures), answer.holds.group) ?? 1;
    return 'holds or is beaten';
  };

  /** Tries a total between those that were tried of a drive. */
  const tryFiner = (drive: TriedDrive, total: number): Decided => {
    drive.totals = [...drive.totals, total].sort((a, b) => a - b);
    tried++;
    const answer = glance(drive.trial, total);
    if ('multiple' in answer) return decide(hopefulAt(drive.trial, drive.stock, total, answer.multiple));
    fallen.add(answer.gives, drive.trial.option.key, 1);
    return { fellAt: 0 };
  };

  /** A drive of which no total holds, but one nearly does: it may between that and its neighbours. */
  const lookCloser = (drive: TriedDrive, nearest: { readonly total: number; readonly multiple: number }): void => {
    let best = nearest;
    for (let round = 0; round < ROUNDS && best.multiple >= NEARLY; round++) {
      for (const total of finerAround(drive.totals, best.total)) {
        const decided = tryFiner(drive, total);
        if (decided === 'holds or is beaten') return;
        if (decided.fellAt > best.multiple) best = { total, multiple: decided.fellAt };
      }
    }
  };

  while (looked < drives.length) {
    const group = drives.slice(looked, looked + (looked === 0 ? DRIVES_FIRST : DRIVES_TOGETHER));
    const hopeful = group.flatMap(lookAt);
    looked += group.length;
    let count = 0;
    const nearest = new Map<string, { total: number; multiple: number } | 'held'>();
    for (const one of mostHopefulFirst(hopeful)) {
      const empty = front.isEmpty();
      const decided = decide(one);
      const { key } = one.trial.option;
      const best = nearest.get(key);
      if (decided === 'holds or is beaten') nearest.set(key, 'held');
      else if (best !== 'held' && decided.fellAt > (best?.multiple ?? 0))
        nearest.set(key, { total: one.total, multiple: decided.fellAt });
      if (++count % SLICE === 0 || (empty && !front.isEmpty())) yield soFar(false);
    }
    for (const [key, best] of nearest) if (best !== 'held') lookCloser(triedOf.get(key)!, best);
    yield soFar(false);
  }

  // Finer totals around what is best in each want, so that the best between two steps is found.
  for (let round = 0; round < ROUNDS; round++) {
    for (const want of wants) {
      const best = bestIn(front.items(), want);
      const drive = best && triedOf.get(driveKey(best));
      if (!drive?.trial.open) continue;
      for (const total of finerAround(drive.totals, best!.total)) tryFiner(drive, total);
    }
    yield soFar(false);
  }
  return soFar(true);
}

/** Two neighbouring totals end differently: one may hold, or different things give way. */
const ended = (a: Glance, b: Glance): boolean => ('gives' in a ? !('gives' in b) || a.gives !== b.gives : 'gives' in b);

/** By the sum of costs, each over the greatest of them; of equals by name and total, so that the order is one. */
function mostHopefulFirst(hopeful: readonly Hopeful[]): readonly Hopeful[] {
  const count = hopeful[0]?.costs.length ?? 0;
  const finite = (cost: number) => (Number.isFinite(cost) ? Math.abs(cost) : 0);
  const scale = Array.from({ length: count }, (_, w) =>
    Math.max(1e-12, ...hopeful.map(({ costs }) => finite(costs[w]!))),
  );
  const scored = hopeful.map((one) => ({
    one,
    score: one.costs.reduce((sum, cost, w) => sum + (Number.isFinite(cost) ? cost / scale[w]! : 1), 0),
  }));
  return scored.sort((a, b) => a.score - b.score || compareKeys(a.one, b.one)).map(({ one }) => one);
}

const compareKeys = (a: Hopeful, b: Hopeful): number =>
  a.trial.option.key === b.trial.option.key ? a.total - b.total : a.trial.option.key < b.trial.option.key ? -1 : 1;

/** A candidate's key without its total. */
const driveKey = ({ key }: Found): string => key.slice(0, key.lastIndexOf('\n'));

function bestIn(front: readonly Found[], want: ShortlistQuery['wants'][number]): Found | undefined {
  let best: Found | undefined;
  for (const one of front) {
    const cost = costOf(want, one.figures);
    const least = best ? costOf(want, best.figures) : Infinity;
    if (cost < least || (cost === least && best && one.key < best.key)) best = one;
  }
  return best;
}
