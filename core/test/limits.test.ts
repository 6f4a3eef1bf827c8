import { describe, expect, it } from 'vitest';
import {
  evaluate,
  evaluateMechanism,
  GRAVITY,
  ladderOf,
  ladderSentence,
  resolveDcPath,
  SITUATIONS,
  situationOf,
  verdictOf,
  worstVerdict,
  type Check,
  type JobResult,
  type Plan,
  type Rung,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');
const jobOf = (plan: Plan, mechanism: string, job = 0): JobResult =>
  evaluateMechanism(plan, mechanismOf(plan, mechanism)).jobs[job]!;
const rungOf = (job: JobResult, situation: 'starting' | 'working' | 'holding', id: string): Rung =>
  job.ladders[situation].rungs.find((rung) => rung.id === id)!;
const checkIn = (job: JobResult, id: string): Check => job.checks.find((check) => check.id === id)!;
const raise = ['mechanisms', 1, 'jobs', 0];
const liftOutput = ['mechanisms', 1, 'choices', 0, 'output'];

describe('verdicts', () => {
  it('follow the wanted margin', () => {
    expect([0.99, 1, 1.49, 1.5].map((multiple) => verdictOf(multiple, 1.5))).toEqual([
      'gives way',
      'tight',
      'tight',
      'enough',
    ]);
  });

  it('are led by the worst', () => {
    expect(worstVerdict(['enough', 'not known', 'tight'])).toBe('tight');
    expect(worstVerdict(['enough', 'not known'])).toBe('not known');
    expect(worstVerdict([])).toBe('enough');
  });
});

describe('situations of the mast lift', () => {
  const path = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');

  it('asks weight and friction at the speed that just arrives in time', () => {
    const working = situationOf(path, 'working');
    expect(working.demand).toBeCloseTo(20 * GRAVITY + 12, 9);
    expect(working.speed).toBeCloseTo(1.35 / 1.6, 12);
    expect(working.seconds).toBe(1.6);
  });

  it('starts with the acceleration that just arrives in time', () => {
    const starting = situationOf(path, 'starting');
    expect(starting.acceleration).toBeCloseTo((2 * 1.35) / 1.6 ** 2, 12);
    expect(starting.demand).toBeCloseTo(20 * GRAVITY + 12 + 20 * starting.acceleration, 9);
    expect(starting.seconds).toBeCloseTo(0.8, 9);
  });

  it('holds the weight alone', () => {
    expect(situationOf(path, 'holding').demand).toBeCloseTo(20 * GRAVITY, 9);
  });

  it('takes a shock into the starting demand only', () => {
    const shocked = resolveDcPath(
      withChange(heron, [...raise, 'shock'], typed(2)),
      mechanismOf(withChange(heron, [...raise, 'shock'], typed(2)), 'lift'),
      'raise',
    );
    expect(situationOf(shocked, 'starting').demand).toBeCloseTo(2 * situationOf(path, 'starting').demand, 9);
    expect(situationOf(shocked, 'working').demand).toBe(situationOf(path, 'working').demand);
  });

  it('takes a speed or acceleration that was typed, on the load', () => {
    const plan = withChange(
      withChange(heron, [...raise, 'speed'], typed(1.2)),
      [...liftOutput, 'loadPerRope'],
      typed(2),
    );
    expect(situationOf(resolveDcPath(plan, mechanismOf(plan, 'lift'), 'raise'), 'working').speed).toBeCloseTo(0.6, 12);
  });
});

describe('the ladder of the mast lift', () => {
  const job = jobOf(heron, 'lift');

  it('has its pack-side limit first while working, worked by hand', () => {
    const { first, verdict } = job.ladders.working;
    const rest = 6 * 2.04;
    const shared = 6 * (0.033 / 18) + 0.002;
    const wire = (gauge: number, length: number) =>
      (1.724e-8 * 2 * length) / ((Math.PI / 4) * (0.000127 * 92 ** ((36 - gauge) / 39)) ** 2);
    const rs = shared + wire(6, 0.4) + wire(12, 0.6);
    const loop = 12 / 118 + 0.004;
    const kt = 2.1 / (118 - 2.2);
    const ke = (12 - 2.2 * (12 / 118)) / ((5800 * Math.PI) / 30);
    const emf = (ke * (1.35 / 1.6) * 9) / 0.022;
    const current = (Math.sqrt(emf ** 2 + 4 * loop * (rest - 40 * rs) * 40) - emf) / (2 * loop);
    const capacity = (kt * (current - 2.2) * 9 * 0.96 * 0.95 * 0.95) / 0.022;
    expect(first).toMatchObject({ id: 'supply', verdict: 'tight', goodFirst: true });
    expect(first!.multiple).toBeCloseTo(capacity / (20 * GRAVITY + 12), 9);
    expect(verdict).toBe('tight');
  });

  it('is sorted, and electric rungs beyond the volts are out of reach and never first', () => {
    for (const id of SITUATIONS) {
      const { rungs, first } = job.ladders[id];
      const multiples = rungs.map((rung) => rung.multiple ?? Infinity);
      expect(multiples).toEqual([...multiples].sort((a, b) => a - b));
      expect(first?.outOfReach ?? false).toBe(false);
    }
    expect(rungOf(job, 'working', 'stator').outOfReach).toBe(true);
    expect(rungOf(job, 'working', 'rope').outOfReach).toBe(false);
  });

  it('rests in the ratchet while holding', () => {
    expect(job.ladders.holding).toMatchObject({ idle: 'held by ratchet', verdict: 'enough', rungs: [] });
    expect(ladderSentence(job.ladders.holding).rest).toContain('ratchet');
  });

  it('must hold by heat alone where nothing else does', () => {
    const held = jobOf(withChange(heron, [...liftOutput, 'holder'], 'nothing'), 'lift');
    expect(held.ladders.holding.rungs.map((rung) => rung.id)).toEqual(
      expect.arrayContaining(['continuous', 'heat', 'stator', 'volts']),
    );
    expect(checkIn(held, 'stays-up')).toMatchObject({ verdict: 'gives way' });
    expect(held.verdict).toBe('gives way');
  });

  it('does not believe a stage that does not stay by itself', () => {
    const claimed = jobOf(withChange(heron, [...liftOutput, 'holder'], 'stage'), 'lift');
    expect(checkIn(claimed, 'stays-up')).toMatchObject({ verdict: 'gives way', there: 'no stage stays' });
  });

  it('halves the rope for a knot', () => {
    const knotted = jobOf(withChange(heron, [...liftOutput, 'knotted'], true), 'lift');
    expect(rungOf(knotted, 'working', 'rope').capacity).toBeCloseTo(rungOf(job, 'working', 'rope').capacity! / 2, 9);
  });

  it('says what gives first in a sentence', () => {
    const { lead, rest } = ladderSentence(job.ladders.working);
    expect(`${lead} ${rest}`).toBe(
      'Tight. The controller’s pack-side limit gives first, at 1.20× the job: good to give first, a little close.',
    );
  });
});

describe('checks', () => {
  it('arrives in the time of the run', () => {
    const job = jobOf(heron, 'lift');
    expect(checkIn(job, 'in-time').multiple).toBeCloseTo(1.6 / job.run!.time, 12);
  });

  it('says where it stalls', () => {
    const heavy = jobOf(withChange(heron, [...raise, 'mass'], typed(80)), 'lift');
    expect(checkIn(heavy, 'in-time')).toMatchObject({
      verdict: 'gives way',
      multiple: undefined,
      there: 'does not move',
    });
  });

  it('holds the full pack against the controller', () => {
    const plan = withChange(heron, ['parts', 'controller-1', 'part', 'highestVoltage'], typed(13));
    const check = checkIn(jobOf(plan, 'lift'), 'volts-full');
    expect(check.verdict).toBe('gives way');
    expect(check.multiple).toBeCloseTo(13 / 13.8, 9);
  });

  it('knows that a brushed controller drives no brushless motor', () => {
    const plan = withChange(heron, ['mechanisms', 3, 'choices', 0, 'drive', 'controller'], 'controller-1');
    expect(checkIn(jobOf(plan, 'hoist'), 'motor-kind').verdict).toBe('gives way');
  });

  it('holds the wire against its breaker, and defers to the rules', () => {
    const index = heron.supply.findIndex(({ id }) => id === 'branch-lift');
    const thin = jobOf(withChange(heron, ['supply', index, 'wire', 'gauge'], typed(16)), 'lift');
    expect(checkIn(thin, 'branch-wire')).toMatchObject({ verdict: 'gives way', multiple: 0.5 });
    expect(said(checkIn(thin, 'branch-wire').sentence)).toContain('event’s rules and local electrical codes');
  });

  it('counts the pole pairs of a brushless motor', () => {
    const plan = withChange(heron, ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042));
    const check = checkIn(jobOf(plan, 'hoist'), 'erpm');
    expect(check.multiple).toBeCloseTo(150000 / (7 * 380 * 13.8), 6);
  });
});

describe('the demo', () => {
  it('has one that is enough, one tight, one that gives way, one not known', () => {
    const verdicts = evaluate(heron).mechanisms.map(({ headline }) => headline.verdict);
    expect(new Set(verdicts)).toEqual(new Set(['enough', 'gives way', 'not known', 'tight']));
  });

  it('lets the wheels slip before anything else pushes too hard', () => {
    expect(jobOf(heron, 'drive', 1).ladders.starting.first).toMatchObject({
      id: 'slip',
      verdict: 'enough',
      goodFirst: true,
    });
  });

  it('names the missing figure', () => {
    const hoist = jobOf(heron, 'hoist');
    expect(ladderSentence(hoist.ladders.working).rest).toMatch(
      /^Resistance is missing\. What is known gives at \d\.\d+×: gear tooth\.$/,
    );
    expect(hoist.run).toBeUndefined();
    expect(said(checkIn(hoist, 'in-time').sentence)).toContain('resistance');
  });

  it('keeps mechanisms apart: changing one moves no other', () => {
    const changed = withChange(heron, [...raise, 'mass'], typed(35));
    expect(evaluateMechanism(changed, mechanismOf(changed, 'climb'))).toEqual(
      evaluateMechanism(heron, mechanismOf(heron, 'climb')),
    );
  });

  it('reads a side figure that is missing as enough, one not known', () => {
    const plan = withChange(heron, ['parts', 'pack-1', 'part', 'dischargeLimit'], undefined);
    const result = evaluateMechanism(plan, mechanismOf(plan, 'drive'));
    expect(result.headline).toMatchObject({ verdict: 'enough', notKnown: 1 });
  });

  it('holds what a counterforce pulls up as well, and leaves to friction what that holds', () => {
    const heldWith = (counterforce: number) => {
      const plan = withChange(heron, [...raise, 'counterforce'], typed(counterforce));
      return ladderOf(resolveDcPath(plan, mechanismOf(plan, 'lift'), 'raise'), 'holding');
    };
    const weight = 20 * GRAVITY;
    expect(heldWith(0)).toMatchObject({ idle: 'held by ratchet', demand: weight });
    // A ratchet holds one way only.
    expect(heldWith(400).idle).toBeUndefined();
    expect(heldWith(400).demand).toBeCloseTo(400 - weight, 9);
    expect(heldWith(weight - 5)).toMatchObject({ idle: 'held by friction', demand: 0 });
    expect(heldWith(weight).idle).toBe('no load');
  });
});
