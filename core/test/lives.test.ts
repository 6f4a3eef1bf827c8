import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  evaluateMechanism,
  inMetric,
  judgeRobot,
  lastsThrough,
  packLasts,
  rankedOtherwise,
  resolveDcPath,
  runOf,
  windingWords,
  type Plan,
  type ServoPart,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, through, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const liftAt = heron.mechanisms.findIndex(({ id }) => id === 'lift');
const loaded = (kilograms: number): Plan =>
  withChange(heron, ['mechanisms', liftAt, 'jobs', 0, 'mass'], typed(kilograms));
const checkOf = (plan: Plan, mechanism: string, id: string) =>
  evaluateMechanism(plan, mechanismOf(plan, mechanism)).jobs[0]!.checks.find((check) => check.id === id)!;

describe('what burns out is told by when, not by how hot', () => {
  it('in words: a temperature as far as the winding stands it', () => {
    expect(said(windingWords(119, 120))).toBe(inMetric({ value: 119, dimension: 'temperature' }));
    expect(said(windingWords(120, 120))).toContain('120');
    expect(said(windingWords(793, 120, 51))).toBe('burns out after 51 s');
    expect(windingWords(1000, 120)).toBe('burns out');
  });

  it('of no load a figure past the limit is shown, nor hours of brushes beside it', () => {
    let burnt = 0;
    for (const kilograms of [5, 20, 24, 28, 32, 40, 60, 120]) {
      const plan = loaded(kilograms);
      const heat = checkOf(plan, 'lift', 'match-heat');
      const brushes = checkOf(plan, 'lift', 'brush-wear');
      if (heat.verdict !== 'gives way') {
        expect(said(heat.sentence)).toMatch(/its limit is 120/);
        continue;
      }
      burnt++;
      expect(said(heat.asked as string)).toMatch(/^burns out after /);
      expect(said(heat.sentence)).toMatch(/^The winding burns out/);
      expect(said(brushes.sentence)).not.toMatch(/last about/);
      expect(said(brushes.sentence)).toMatch(/burns out after|means nothing|does not turn/);
    }
    expect(burnt).toBeGreaterThan(0);
  });

  it('minutes of a pack are those of a job that is done, and no longer than a day', () => {
    const lasts = (plan: Plan, id: string, job: string) => {
      const path = resolveDcPath(plan, mechanismOf(plan, id), job);
      const run = runOf(path)!;
      return { lasts: packLasts(path, run), through: lastsThrough(path, run), outcome: run.outcome };
    };
    expect(lasts(heron, 'lift', 'raise')).toMatchObject({ through: true, outcome: 'arrived' });
    expect(lasts(heron, 'lift', 'raise').lasts!).toBeGreaterThan(3600);
    expect(lasts(loaded(90), 'lift', 'raise')).toMatchObject({ lasts: undefined, through: false });
    const large = withChange(heron, ['parts', 'pack-1', 'part', 'capacity'], typed(3600 * 900));
    expect(lasts(large, 'lift', 'raise').lasts).toBe(Infinity);
  });
});

describe('the end of a run', () => {
  it('is no arrival: a servo that does not move fails its goes in the match', () => {
    const { drive } = currentChoice(mechanismOf(heron, 'grip'));
    if (drive.kind !== 'servo') throw new Error('the grip is a servo');
    const part = heron.parts[drive.servo]!.part as ServoPart;
    const weak = applyChanges(
      heron,
      part.points.map((point, i) => ({
        at: ['parts', drive.servo, 'part', 'points', i, 'stallTorque'],
        to: typed(0.03 * point.stallTorque!.si),
      })),
    );
    const late = (plan: Plan) =>
      through(judgeRobot(plan)).matches.map(({ result, rungs }) => ({
        outcomes: new Set(
          result.goes.filter(({ lane }) => result.lanes[lane]!.mechanism === 'grip').map(({ outcome }) => outcome),
        ),
        rung: rungs.find(({ id, mechanism }) => id === 'late' && mechanism === 'grip')!,
      }));
    for (const { outcomes, rung } of late(heron)) {
      expect(outcomes).toContain('arrived');
      expect(rung.multiple).toBeGreaterThan(1);
    }
    for (const { outcomes, rung } of late(weak)) {
      expect(outcomes).not.toContain('arrived');
      expect(rung.verdict).toBe('gives way');
      expect(said(rung.sentence)).toMatch(/does not get there: stalled/);
    }
  });
});

describe('weights and places', () => {
  const none = { time: 0, mass: 0, price: 0, current: 0, margin: 0, slow: 0, common: 0, bought: 0 };
  it('keep what matters most first when the ranking goes the other way', () => {
    const order = rankedOtherwise({ ...none, time: 3, price: 5, margin: 1 }, 'order');
    expect(order).toEqual({ ...none, price: 1, time: 2, margin: 3 });
    const weights = rankedOtherwise(order, 'weights');
    expect(weights.price).toBeGreaterThan(weights.time);
    expect(weights.time).toBeGreaterThan(weights.margin);
    expect(weights.mass).toBe(0);
    // However many there are, each counts for something.
    const all = rankedOtherwise(
      { time: 1, mass: 2, price: 3, current: 4, margin: 5, slow: 6, common: 7, bought: 8 },
      'weights',
    );
    expect(Math.min(...Object.values(all))).toBe(1);
  });
});
