import { estimatedStageMass } from '../src/judge/ledger/stageMass.js';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  CHOOSING_SCHOOLS,
  choiceWords,
  costOf,
  currentChoice,
  dominates,
  evaluateMechanism,
  measure,
  measureChoice,
  resolvePath,
  sameKey,
  stillToPay,
  stageStrengthOf,
  toBuy,
  torqueToCarry,
  usedElsewhere,
  WANT_IDS,
  WANTS,
  withChoice,
  type DcDrive,
  type Part,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, typed, withChange } from './demo.js';

const heron = demoPlan('heron');

describe('What designs are compared by', () => {
  it('has words for the better and the worse of each, and a way to be less or more', () => {
    for (const want of WANT_IDS) {
      const { id, name, says, worse } = WANTS[want];
      expect(id).toBe(want);
      for (const text of [name, says, worse]) expect(text.length).toBeGreaterThan(2);
    }
    expect(costOf('time', { time: 2 })).toBe(2);
    expect(costOf('common', { common: 2 })).toBe(-2);
    expect(costOf('mass', {})).toBe(Infinity);
    // Beyond three times the job more margin is worth nothing more.
    expect(costOf('margin', { margin: 5 })).toBe(costOf('margin', { margin: 3 }));
    expect(costOf('margin', { margin: 2 })).toBeGreaterThan(costOf('margin', { margin: 3 }));
  });

  it('begins by schools that each have their reasons, and count something', () => {
    expect(new Set(CHOOSING_SCHOOLS.map(({ id }) => id)).size).toBe(CHOOSING_SCHOOLS.length);
    for (const { reasons, wants, rankBy } of CHOOSING_SCHOOLS) {
      expect(reasons.length).toBeGreaterThan(60);
      const numbers = Object.values(wants);
      expect(numbers.length).toBeGreaterThan(1);
      // Of an order every place is taken once.
      if (rankBy === 'order') expect([...numbers].sort()).toEqual(numbers.map((_, i) => i + 1));
    }
  });

  it('beats only by being better in something and worse in nothing', () => {
    expect(dominates([1, 2], [1, 3])).toBe(true);
    expect(dominates([1, 2], [1, 2])).toBe(false);
    expect(dominates([1, 2], [2, 1])).toBe(false);
    expect(dominates([1, 2], [1, Infinity])).toBe(true);
    expect(dominates([1, Infinity], [1, 2])).toBe(false);
    expect(dominates([0, Infinity], [1, 2])).toBe(false);
    expect(dominates([1, Infinity], [1, Infinity])).toBe(false);
    expect(dominates([1 + 1e-12, 2], [1, 2])).toBe(false);
  });

  it.each(heron.mechanisms.map(({ id }) => id))('is measured on the %s as its screen shows it', (id) => {
    const mechanism = mechanismOf(heron, id);
    const jobId = mechanism.jobs[0]!.id;
    const measured = measure(heron, mechanism, jobId);
    const result = evaluateMechanism(heron, mechanism);
    expect(measured.headline).toEqual(result.headline);
    expect(nansIn(measured)).toEqual([]);
    const { run } = result.jobs.find((job) => job.jobId === jobId)!;
    expect(measured.figures.time).toBe(run?.outcome === 'arrived' ? run.time : undefined);
    expect(measured.figures.current).toBe(run?.peakSupplyCurrent);
    const firsts = result.jobs.flatMap(({ ladders }) =>
      Object.values(ladders).flatMap(({ first }) => first?.multiple ?? []),
    );
    expect(measured.figures.margin).toBe(firsts.length > 0 ? Math.min(...firsts) : undefined);
    expect(measured.unknown === undefined).toBe(
      result.jobs.every(({ ladders }) => Object.values(ladders).every(({ verdict }) => verdict !== 'not known')),
    );
  });

  it('refuses a job that is not there', () => {
    expect(() => measure(heron, mechanismOf(heron, 'lift'), 'nothing')).toThrow('has no job nothing');
  });
});

describe('Mass, money and what lies on the shelf', () => {
  const lift = mechanismOf(heron, 'lift');
  const { drive } = lift.choices[0]!;
  const motor = drive.kind === 'dc' ? drive.motor : '';
  const controller = drive.kind === 'dc' ? drive.controller : '';
  const figuresOf = (plan: typeof heron) => measure(plan, mechanismOf(plan, 'lift'), 'raise').figures;

  it('counts what must be bought: owned pieces that no other mechanism uses are there', () => {
    expect(toBuy(3, undefined, undefined)).toBe(3);
    expect(toBuy(3, 2, 0)).toBe(1);
    expect(toBuy(3, 5, 4)).toBe(2);
    expect(toBuy(1, 4, 9)).toBe(1);
    const part: Part = { kind: 'wire', name: 'a wire', price: typed(7) };
    expect(stillToPay(part, 3)).toBe(21);
    expect(stillToPay({ ...part, owned: 2 }, 3)).toBe(7);
    expect(stillToPay({ ...part, owned: 2 }, 3, 2)).toBe(21);
    expect(stillToPay({ kind: 'wire', name: 'x' }, 1)).toBeUndefined();
    expect(stillToPay({ kind: 'wire', name: 'x', owned: 1 }, 1)).toBe(0);
  });

  it('knows a part again by where it was taken from, else by its kind and name', () => {
    expect(sameKey({ shelfId: 'a', part: { kind: 'wire', name: 'x' } })).toBe('a');
    expect(sameKey({ part: { kind: 'wire', name: 'x' } })).not.toBe(sameKey({ part: { kind: 'chain', name: 'x' } }));
    const used = usedElsewhere(heron, 'lift');
    const drives = heron.mechanisms
      .filter(({ id }) => id !== 'lift')
      .map((mechanism) => currentChoice(mechanism).drive)
      .filter((one) => one.kind === 'dc');
    const pieces = drives
      .filter((one) => heron.parts[one.motor]!.shelfId === 'motor-brushed-64')
      .reduce((sum, one) => sum + one.motors, 0);
    expect(used.get('motor-brushed-64') ?? 0).toBe(pieces);
  });

  it('adds motors, controllers that say their mass, and wheels off the shelf', () => {
    const before = figuresOf(heron);
    const each = heron.parts[motor]!.part.mass!.si;
    // What stands in teeth, chain and belt weighs what it is drawn as, unless its mass is typed.
    const drawn = lift.choices[0]!.stages.map((stage) => estimatedStageMass(stage) ?? 0);
    const train = drawn.reduce((sum, one) => sum + one, 0);
    expect(train).toBeGreaterThan(0.1);
    expect(before.mass).toBeCloseTo(each + train, 12);
    const heavy = withChange(heron, ['parts', controller, 'part', 'mass'], typed(0.3));
    expect(figuresOf(heavy).mass).toBeCloseTo(each + train + 0.3, 12);
    const at = ['mechanisms', heron.mechanisms.indexOf(lift), 'choices', 0, 'stages', 0];
    const wheels = applyChanges(heron, [
      { at: [...at, 'mass'], to: typed(0.25) },
      { at: [...at, 'price'], to: typed(12) },
    ]);
    expect(figuresOf(wheels).mass).toBeCloseTo(each + train - drawn[0]! + 0.25, 12);
    expect(figuresOf(wheels).price).toBeCloseTo(before.price! + 12, 12);
    expect(figuresOf(withChange(heron, ['parts', motor, 'part', 'mass'], undefined)).mass).toBeUndefined();
    const owned = withChange(heron, ['parts', motor, 'part', 'owned'], 99);
    expect(figuresOf(owned).bought).toBe(before.bought! - 1);
  });

  it('counts the wheels of a train once for all motors, and once each where every motor has its own', () => {
    const at = ['mechanisms', 0, 'choices', 0];
    const drive = currentChoice(heron.mechanisms[0]!).drive as DcDrive;
    const weighed = applyChanges(heron, [
      { at: [...at, 'stages', 0, 'mass'], to: typed(0.4) },
      { at: [...at, 'stages', 0, 'price'], to: typed(11) },
      { at: [...at, 'drive'], to: { ...drive, motors: 4, apart: false } },
    ]);
    const apart = withChange(weighed, [...at, 'drive', 'apart'], true);
    const [one, each] = [weighed, apart].map((plan) => measure(plan, plan.mechanisms[0]!, 'sprint').figures);
    const other = estimatedStageMass(currentChoice(heron.mechanisms[0]!).stages[1]!)!;
    expect(each!.mass! - one!.mass!).toBeCloseTo(3 * (0.4 + other), 6);
    expect(each!.price! - one!.price!).toBeCloseTo(3 * 11, 6);
  });
});

describe('A choice asked about while another is in force', () => {
  const turntable = mechanismOf(heron, 'turntable');
  it('is judged by itself, and nothing else of the plan changes', () => {
    const same = withChoice(heron, turntable, turntable.current);
    expect(same.plan).toBe(heron);
    for (const choice of turntable.choices) {
      const there = withChoice(heron, turntable, choice.id);
      expect(currentChoice(there.mechanism)).toBe(choice);
      expect(there.plan.mechanisms.filter(({ id }) => id !== 'turntable')).toEqual(
        heron.mechanisms.filter(({ id }) => id !== 'turntable'),
      );
      const { figures } = measureChoice(heron, turntable, choice.id, turntable.jobs[0]!.id);
      expect(nansIn(figures)).toEqual([]);
      expect(choiceWords(heron, turntable, choice).length).toBeGreaterThan(5);
    }
  });
});

describe('What a stage stands', () => {
  it.each(['lift', 'drive', 'climb', 'arm'])('of the %s names each of its limits as the gauge has them', (id) => {
    const mechanism = mechanismOf(heron, id);
    for (const job of evaluateMechanism(heron, mechanism).jobs) {
      const path = resolvePath(heron, mechanism, job.jobId);
      for (const parts of path.stageParts) {
        const strengths = stageStrengthOf(path, parts, job.ladders);
        expect(nansIn(strengths)).toEqual([]);
        for (const { name, worst, verdict, lacks } of strengths) {
          if (lacks !== undefined) expect(verdict).toBe('not known');
          if (!worst) continue;
          // No rung of the gauge is over the weakest of the stages that have it.
          const rung = job.ladders[worst.situation].rungs.find((one) => one.name === name);
          if (rung?.multiple !== undefined) expect(rung.multiple).toBeLessThanOrEqual(worst.multiple * (1 + 1e-9));
        }
      }
    }
  });

  it('is asked of wheels in their place: the most of any job and situation, behind what is left out', () => {
    const lift = mechanismOf(heron, 'lift');
    const path = resolvePath(heron, lift, 'raise');
    const whole = torqueToCarry(heron, lift, path.stages.length);
    const behindFirst = torqueToCarry(heron, lift, 1);
    const [, second] = path.train.stages;
    expect(behindFirst).toBeCloseTo(whole / (second!.ratio * second!.efficiency), 9);
    const demand = Math.max(
      ...evaluateMechanism(heron, lift).jobs.flatMap(({ ladders }) =>
        Object.values(ladders).flatMap(({ demand: asked, idle }) => (idle ? [] : (asked ?? []))),
      ),
    );
    const output = path.train.stages.at(-1)!;
    expect(whole).toBeCloseTo((demand * path.radius) / output.efficiency, 9);
  });
});
