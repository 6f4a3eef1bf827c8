import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { gzipSync } from 'node:zlib';
import { readPlanText } from '@rough-gear/contract/plan';
import {
  applyChanges,
  brakeReachOf,
  choiceAt,
  cycleOf,
  evaluate,
  evaluateMechanism,
  fullEffort,
  integrateDay,
  lengthOf,
  mechanismById,
  mendsFor,
  resolveDcPath,
  robotOnPack,
  runBy,
  LOTS,
  mergeShortlists,
  quantityOf,
  searchShortlist,
  searchTrains,
  judgeDay,
  simulateMatch,
  spreadBuilds,
  sweepRatios,
  systemOf,
  type Mechanism,
  type Part,
  type Plan,
  type Shortlist,
  type ShortlistQuery,
} from '@rough-gear/core';
import { Bench } from 'tinybench';
import { bareLoop } from '../bench/bareLoop.js';
import { firstScreen } from '../bench/firstScreen.js';

/** `npm run -s bench`: one JSON on stdout. Measures, never asserts: machines differ. */
const read = readPlanText(readFileSync('contract/demo/heron.json', 'utf8'));
if (!read.ok) throw new Error('the demo plan is not a plan');
const { plan } = read;
const lift = plan.mechanisms.find(({ id }) => id === 'lift')!;
const path = resolveDcPath(plan, lift, 'raise');

const BARE = 'bare loop';

const arm = plan.mechanisms.find(({ id }) => id === 'arm')!;
const cycle = cycleOf(path, runBy(path));

const target = { jobId: 'raise', rung: 'supply', situation: 'working' } as const;

/** A keystroke changes a figure: a plan that is the same but for it, so that what it touches is read again. */
let typed = 0;
const onceMore = (of: Mechanism): Plan =>
  applyChanges(plan, [
    { at: [...choiceAt(plan, of), 'drive', 'rampTime'], to: quantityOf(1e-3 * (++typed % 100), 'a ramp') },
  ]);
const keystroke = (of: Mechanism): unknown => {
  const changed = onceMore(of);
  return evaluateMechanism(changed, mechanismById(changed, of.id));
};

const bare = bareLoop(systemOf(path));
// Long enough for all of it to be compiled: who types has typed before.
const bench = new Bench({ time: 1200, warmupTime: 1200 });
bench
  .add(BARE, bare)
  .add('one motion at full effort', () => fullEffort(systemOf(path)))
  .add('resolve one path', () => {
    const changed = onceMore(lift);
    return resolveDcPath(changed, mechanismById(changed, 'lift'), 'raise');
  })
  .add('a keystroke on the lift', () => keystroke(lift))
  .add('a keystroke on the arm', () => keystroke(arm))
  .add('the whole demo plan', () => evaluate({ ...plan, mechanisms: plan.mechanisms.map((one) => ({ ...one })) }))
  .add('the mends of one rung', () => mendsFor({ ...plan }, 'lift', target))
  .add('brake chart', () => brakeReachOf(path))
  .add('a day of matches', () => integrateDay(path, cycle))
  .add('ruler marks (41 runs)', () => [...sweepRatios(path, 3, 29, 41)]);
await bench.run();

const latencies = bench.tasks.map(({ name, result }) => ({
  name,
  latency: 'latency' in result ? result.latency : undefined,
}));
/** The measure of this machine: the least a loop that only steps on takes. */
const bareMs = latencies.find(({ name }) => name === BARE)!.latency!.min;
const multiple = (milliseconds: number): number => Math.round((10 * milliseconds) / bareMs) / 10;
// The least of many: what else the machine does meanwhile is not the core's.
const times = Object.fromEntries(
  latencies.map(({ name, latency }) => [
    name,
    {
      leastMs: round(latency?.min),
      meanMs: round(latency?.mean),
      p99Ms: round(latency?.p99),
      ofBare: latency && multiple(latency.min),
    },
  ]),
);
/** A keystroke may take 4 ms. */
const KEYSTROKE_MS = 4;
const keystrokes = Object.fromEntries(
  plan.mechanisms.map((mechanism) => {
    const before = performance.now();
    for (let i = 0; i < 50; i++) keystroke(mechanism);
    const milliseconds = (performance.now() - before) / 50;
    return [mechanism.id, { milliseconds: round(milliseconds), shareOfKeystroke: round(milliseconds / KEYSTROKE_MS) }];
  }),
);
/** The least of several goes, as everywhere here: the first ones are compiled meanwhile, and others use the machine too. */
function leastMs(goes: number, once: () => void): number {
  let least = Infinity;
  for (let i = 0; i < goes; i++) {
    const before = performance.now();
    once();
    least = Math.min(least, performance.now() - before);
  }
  return least;
}

const BUILDS = 500;
const spreadMs = leastMs(24, () => {
  const builds = spreadBuilds(plan, 'lift', 'raise', { count: BUILDS });
  while (!builds.next().done);
});
const spread = { of2000Ms: round((spreadMs * 2000) / BUILDS), aBuildOfBare: multiple(spreadMs / BUILDS) };

/** Trains off the shelf that ships: combinations decided, and how long that takes. */
const shelf = JSON.parse(readFileSync('contract/demo/shelf.json', 'utf8')) as {
  parts: { id: string; revision: number; part: Part }[];
};
const stock = shelf.parts.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
const trains = Object.fromEntries(
  ([1, 2, 3] as const).map((mostStages) => {
    const before = performance.now();
    const search = searchTrains(stock, {
      from: 8.73,
      to: 9.27,
      wanted: 9,
      kinds: ['teeth', 'chain', 'belt'],
      leastTeeth: mostStages === 3 ? 20 : 16,
      mostStages,
      sense: 'either',
      by: 'nearest',
      most: 120,
      carry: 5,
    });
    let latest = search.next();
    // Three stages are cut short: the rate is what is asked for.
    while (!latest.done && performance.now() - before < 3000) latest = search.next();
    const milliseconds = performance.now() - before;
    const { decided } = latest.value;
    return [
      `up to ${mostStages}`,
      { decided, milliseconds: round(milliseconds), per200000Ms: round((milliseconds * 200_000) / decided) },
    ];
  }),
);

/** The shortlist of three mechanisms over the whole shelf: each lot is one worker's share, and both run at once. */
const shortlists = Object.fromEntries(
  (['lift', 'drive', 'arm'] as const).map((id) => {
    const jobId = plan.mechanisms.find((mechanism) => mechanism.id === id)!.jobs[0]!.id;
    const query: ShortlistQuery = {
      mechanismId: id,
      jobId,
      scope: 'everything',
      ownedOnly: false,
      mostMotors: 4,
      packs: 'mine',
      from: 1,
      to: 300,
      wants: ['time', 'mass', 'price', 'current', 'margin'],
    };
    let firstAnswerMs = Infinity;
    const lots = Array.from({ length: LOTS }, (_, index) => {
      let found!: Shortlist;
      const milliseconds = leastMs(4, () => {
        const before = performance.now();
        const search = searchShortlist(plan, query, shelf.parts, { index, of: LOTS });
        let next = search.next();
        let answered = false;
        while (!next.done) {
          if (!answered && index === 0 && next.value.front.length > 0) {
            answered = true;
            firstAnswerMs = Math.min(firstAnswerMs, performance.now() - before);
          }
          next = search.next();
        }
        found = next.value;
      });
      return { found, milliseconds };
    });
    const { tried, judged, excluded, front } = mergeShortlists(
      lots.map(({ found }) => found),
      query.wants,
    );
    const milliseconds = Math.max(...lots.map((lot) => lot.milliseconds));
    return [
      id,
      {
        tried,
        judged,
        excluded,
        left: front.length,
        firstAnswerMs: round(firstAnswerMs),
        milliseconds: round(milliseconds),
        per100000Ms: round((milliseconds * 100_000) / tried),
        per100000OfBare: multiple((milliseconds * 100_000) / tried),
      },
    ];
  }),
);

/** A match of the demo robot on one pack, by each of its scripts; a day is so many of them. */
const matches = Object.fromEntries(
  (plan.scripts ?? []).map((script) => {
    const robot = robotOnPack(plan, script)!;
    const before = performance.now();
    const { goes } = simulateMatch(robot, script);
    const milliseconds = performance.now() - before;
    return [script.name, { seconds: lengthOf(script), goes: goes.length, milliseconds: round(milliseconds) }];
  }),
);

/** A day of twelve of them, each judged, on two packs by turns. */
const DAY = { matches: 12, between: 600, packs: 2, charger: 6 };
const days = Object.fromEntries(
  (plan.scripts ?? []).map((script) => {
    const before = performance.now();
    const day = judgeDay(plan, script, DAY);
    for (let step = day.next(); !step.done; step = day.next());
    return [script.name, { matches: DAY.matches, milliseconds: round(performance.now() - before) }];
  }),
);

const started = performance.now();
const screen = await firstScreen();
process.stdout.write(
  `${JSON.stringify({ times, keystrokes, spread, trains, shortlists, matches, days, transferredGzipBytes: transferred(), firstScreen: screen, tookMs: round(performance.now() - started) }, null, 2)}\n`,
);

function round(value: number | undefined): number | undefined {
  return value === undefined ? undefined : Math.round(value * 1000) / 1000;
}

/** Gzip size of what the build holds, by file, the fonts left out. */
function transferred(): Record<string, number> {
  const folder = 'web/dist/assets';
  const files = readdirSync(folder).filter((name) => /\.(js|css)$/.test(name));
  return Object.fromEntries(
    files
      .filter((name) => statSync(join(folder, name)).isFile())
      .map((name) => [name, gzipSync(readFileSync(join(folder, name))).length]),
  );
}
