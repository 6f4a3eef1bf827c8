import { performance } from 'node:perf_hooks';
import {
  applyChanges,
  brakeReachOf,
  choiceAt,
  cycleOf,
  evaluate,
  evaluateMechanism,
  fullEffort,
  integrateDay,
  mechanismById,
  mendsFor,
  quantityOf,
  resolveDcPath,
  runBy,
  sweepRatios,
  systemOf,
  type Mechanism,
  type Plan,
} from '@rough-gear/core';
import { Bench } from 'tinybench';
import { bare, lift, path, plan } from './demo.js';
import { multipleOf, round } from './least.js';

/** What a keystroke asks for, and the pieces of it. */

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
export const bareMs = latencies.find(({ name }) => name === BARE)!.latency!.min;
// The least of many: what else the machine does meanwhile is not the core's.
export const times = Object.fromEntries(
  latencies.map(({ name, latency }) => [
    name,
    {
      leastMs: round(latency?.min),
      meanMs: round(latency?.mean),
      p99Ms: round(latency?.p99),
      ofBare: latency && multipleOf(bareMs, latency.min),
    },
  ]),
);
/** A keystroke may take 4 ms. */
const KEYSTROKE_MS = 4;
export const keystrokes = Object.fromEntries(
  plan.mechanisms.map((mechanism) => {
    const before = performance.now();
    for (let i = 0; i < 50; i++) keystroke(mechanism);
    const milliseconds = (performance.now() - before) / 50;
    return [mechanism.id, { milliseconds: round(milliseconds), shareOfKeystroke: round(milliseconds / KEYSTROKE_MS) }];
  }),
);
