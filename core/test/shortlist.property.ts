import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  between,
  commonOn,
  costsOf,
  dominates,
  drivesOf,
  edgeOf,
  Front,
  mergeShortlists,
  rankByOrder,
  rankByWeights,
  runOf,
  totalsBetween,
  tryTotals,
  usedElsewhere,
  WANT_IDS,
  type Found,
  type Plan,
  type Shelved,
  type ShortlistQuery,
  type WantId,
} from '../src/index.js';
import { Fallen } from '../src/choose/shortlist/fallen.js';
import { judgeAt } from '../src/choose/shortlist/found.js';
import { atBest, leastCurrent, leastTime, othersFail, runCompared } from '../src/choose/shortlist/optimist.js';
import { glance, neverBecause, pathAt, trialOf } from '../src/choose/shortlist/trial.js';
import { stockFigures } from '../src/judge/evaluate/measure.js';
import { demoPlan, mechanismOf } from './demo.js';

const heron = demoPlan('heron');
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;
const ASKED = ['lift', 'drive', 'arm', 'thrower', 'intake', 'hoist', 'turntable'] as const;

const queryFor = (mechanismId: string): ShortlistQuery => ({
  mechanismId,
  jobId: mechanismOf(heron, mechanismId).jobs[0]!.id,
  scope: 'everything',
  ownedOnly: false,
  mostMotors: 3,
  packs: 'mine',
  from: 1,
  to: 300,
  wants: WANT_IDS,
});
const options = new Map(ASKED.map((id) => [id, drivesOf(heron, mechanismOf(heron, id), queryFor(id), shelf)]));

/** The job made harder or easier, so that more than the demo's own jobs are looked at. */
function harder(id: string, mass: number, time: number): Plan {
  const m = heron.mechanisms.findIndex((one) => one.id === id);
  const jobs = heron.mechanisms[m]!.jobs;
  return applyChanges(
    heron,
    jobs.flatMap((job, j) =>
      (
        [
          ['mass', mass],
          ['payload', mass],
          ['time', time],
        ] as const
      ).flatMap(([key, factor]) => {
        const given = (job as unknown as Record<string, { si: number; as: string; source: 'typed' } | undefined>)[key];
        return given ? [{ at: ['mechanisms', m, 'jobs', j, key], to: { ...given, si: given.si * factor } }] : [];
      }),
    ),
  );
}

const candidate = fc.record({
  id: fc.constantFrom(...ASKED),
  pick: fc.nat(),
  total: fc.double({ min: 0, max: 1, noNaN: true }).map((share) => Number((300 ** share).toPrecision(3))),
  mass: fc.double({ min: 0.3, max: 2.5, noNaN: true }),
  time: fc.double({ min: 0.5, max: 3, noNaN: true }),
});

function trialFor({ id, pick, mass, time }: { id: (typeof ASKED)[number]; pick: number; mass: number; time: number }) {
  const plan = harder(id, mass, time);
  const list = options.get(id)!;
  const mechanism = mechanismOf(plan, id);
  return { trial: trialOf(plan, mechanism, queryFor(id), list[pick % list.length]!), used: usedElsewhere(plan, id) };
}

/** Jobs of plain motors whose run gets there at a candidate's total. */
const arrivals = (one: Parameters<typeof trialFor>[0] & { readonly total: number }) => {
  const { trial } = trialFor(one);
  return trial.jobs.flatMap((job) => {
    const path = pathAt(job, trial, one.total);
    const run = path.machine === 'dc' ? runOf(path) : undefined;
    return path.machine === 'dc' && run?.outcome === 'arrived' ? [{ path, run }] : [];
  });
};
const none = commonOn([]);

describe('The bounds of a search', () => {
  it('never exclude what holds: whatever a glance or a run says gives way, gives way when judged in full', () => {
    let [excluded, held] = [0, 0];
    fc.assert(
      fc.property(candidate, (one) => {
        const { trial, used } = trialFor(one);
        const { jobId } = queryFor(one.id);
        const seen = glance(trial, one.total);
        const ran = runCompared(trial, one.total, jobId);
        const out =
          neverBecause(trial) !== undefined ||
          'gives' in seen ||
          'gives' in ran ||
          othersFail(trial, one.total, jobId) !== undefined;
        const judged = judgeAt(trial, one.total, jobId, none, used);
        if (out) excluded++;
        if ('holds' in judged) held++;
        if (out) expect(judged, JSON.stringify(seen)).toHaveProperty('fell');
      }),
      { numRuns: 500 },
    );
    expect(excluded).toBeGreaterThan(100);
    expect(held).toBeGreaterThan(10);
  });

  it('are the best a candidate can be: no figure judged in full is better', () => {
    let compared = 0;
    fc.assert(
      fc.property(candidate, (one) => {
        const { trial, used } = trialFor(one);
        const query = queryFor(one.id);
        const seen = glance(trial, one.total);
        const judged = judgeAt(trial, one.total, query.jobId, none, used);
        if (!('multiple' in seen) || !('holds' in judged)) return;
        compared++;
        const stock = stockFigures(trial.plan, trial.mechanism, none, used);
        const best = costsOf(WANT_IDS, atBest(trial, one.total, query.jobId, seen.multiple, stock));
        costsOf(WANT_IDS, judged.holds.figures).forEach((cost, w) => {
          if (Number.isFinite(cost))
            expect(best[w]!, `${one.id}: ${WANT_IDS[w]}`).toBeLessThanOrEqual(cost + 1e-9 * Math.abs(cost));
        });
      }),
      { numRuns: 900 },
    );
    expect(compared).toBeGreaterThan(20);
  });

  it('of current are reached in every run that is in time', () => {
    let compared = 0;
    fc.assert(
      fc.property(candidate, (one) => {
        for (const { path, run } of arrivals(one)) {
          if (run.time > path.asked.time) continue;
          if (leastCurrent(path) > 0) compared++;
          expect(leastCurrent(path)).toBeLessThanOrEqual(run.peakSupplyCurrent);
        }
      }),
      { numRuns: 600 },
    );
    expect(compared).toBeGreaterThan(30);
  });

  it('of time are under every run, whether it holds or not', () => {
    fc.assert(
      fc.property(candidate, (one) => {
        for (const { path, run } of arrivals(one)) expect(leastTime(path)).toBeLessThanOrEqual(run.time * (1 + 1e-6));
      }),
      { numRuns: 300 },
    );
  });
});

/** Made-up designs, with figures here and there not known. */
const figures = fc.record(
  Object.fromEntries(WANT_IDS.map((want) => [want, fc.double({ min: 0, max: 10, noNaN: true })])) as Record<
    WantId,
    fc.Arbitrary<number>
  >,
  { requiredKeys: ['time', 'mass'] },
);
const designs = fc.array(figures, { maxLength: 40 }).map((list) =>
  list.map((some, i): Found => ({
    key: `design ${i}`,
    motor: 'm',
    motors: 1,
    total: 1,
    changes: [],
    verdict: 'enough',
    first: '',
    figures: some,
  })),
);
const wanted = fc.subarray([...WANT_IDS], { minLength: 1 });

describe('A front', () => {
  const frontOf = (list: readonly Found[], wants: readonly WantId[]) => {
    const front = new Front<Found>();
    for (const one of list) front.offer(one, costsOf(wants, one.figures));
    return front.items();
  };

  it('holds exactly what no other beats, whatever the order', () => {
    fc.assert(
      fc.property(designs, wanted, (list, wants) => {
        const costs = (one: Found) => costsOf(wants, one.figures);
        const beaten = (one: Found) => list.some((other) => dominates(costs(other), costs(one)));
        const keys = (some: readonly Found[]) => some.map(({ key }) => key).sort();
        expect(keys(frontOf(list, wants))).toEqual(keys(list.filter((one) => !beaten(one))));
        expect(keys(frontOf([...list].reverse(), wants))).toEqual(keys(frontOf(list, wants)));
      }),
    );
  });

  it('is the same whether it was searched in one lot or in several', () => {
    const lot = (front: readonly Found[]) => ({
      front,
      tried: front.length,
      judged: front.length,
      excluded: 0,
      beaten: 0,
      fallen: [],
      share: 1,
      done: true,
    });
    fc.assert(
      fc.property(designs, wanted, fc.nat(40), (list, wants, cut) => {
        const whole = mergeShortlists([lot(list)], wants);
        const parts = mergeShortlists([lot(list.slice(cut)), lot(list.slice(0, cut))], wants);
        expect(parts).toEqual(whole);
        expect(whole.front.length + whole.beaten).toBe(list.length);
      }),
    );
  });

  it('of two wants is an edge that goes down all the way, and leaves nothing out that is on it', () => {
    fc.assert(
      fc.property(designs, fc.constantFrom(...WANT_IDS), fc.constantFrom(...WANT_IDS), (made, x, y) => {
        // Whole figures: there are many alike, and none that differ by rounding alone.
        const list = made.map((one) => ({
          ...one,
          figures: Object.fromEntries(Object.entries(one.figures).map(([want, value]) => [want, Math.round(value)])),
        }));
        const edge = edgeOf(list, x, y).map((one) => costsOf([x, y], one.figures).join());
        expect(new Set(edge).size).toBe(edge.length);
        const costs = frontOf(list, [x, y]).map((one) => costsOf([x, y], one.figures));
        const known = new Set(costs.filter((pair) => pair.every(Number.isFinite)).map((pair) => pair.join()));
        expect([...edge].sort()).toEqual([...known].sort());
      }),
    );
  });

  it('is ranked with nothing lost, and nothing beaten would have come first', () => {
    fc.assert(
      fc.property(designs, wanted, (list, wants) => {
        const front = frontOf(list, wants);
        const weights = Object.fromEntries(wants.map((want, i) => [want, i + 1]));
        const ranked = rankByWeights(front, weights);
        expect(ranked.map(({ candidate: { key } }) => key).sort()).toEqual(front.map(({ key }) => key).sort());
        for (const { score } of ranked) expect(score >= 0 && score <= 1 + 1e-9).toBe(true);
        for (let i = 1; i < ranked.length; i++) expect(ranked[i]!.score).toBeLessThanOrEqual(ranked[i - 1]!.score);
        expect(rankByOrder(front, wants)).toHaveLength(front.length);
      }),
    );
  });
});

describe('Totals that are tried', () => {
  it('go from end to end in steps, and are finer wherever two neighbours differ', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 1.2, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (from, times, at) => {
          const totals = totalsBetween(from, from * times);
          const step = from * times ** at;
          const tried = tryTotals(
            totals,
            (total) => total < step,
            (a, b) => a !== b,
          );
          const all = tried.map(({ total }) => total);
          expect(all).toEqual([...new Set(all)].sort((a, b) => a - b));
          for (const total of totals) expect(all).toContain(total);
          // The place where the answer turns is known to half a per cent.
          const turn = tried.findIndex(({ answer }) => !answer);
          if (turn > 0) expect(between(all[turn - 1]!, all[turn]!)).toBeUndefined();
        },
      ),
    );
  });
});

describe('Why candidates fell out', () => {
  it('is counted by reason, the most frequent first, and a drive by what it fell for most', () => {
    const fallen = new Fallen();
    fallen.add('too slow', 'one', 3);
    fallen.add('too weak', 'one', 5);
    fallen.whollyMostOf('one');
    fallen.add('too slow', 'two', 9);
    fallen.wholly('too slow');
    expect(fallen.groups()).toEqual([
      { reason: 'too slow', candidates: 12, drives: 1 },
      { reason: 'too weak', candidates: 5, drives: 1 },
    ]);
  });
});
