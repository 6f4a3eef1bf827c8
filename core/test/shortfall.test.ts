import { describe, expect, it } from 'vitest';
import {
  evaluateMechanism,
  headlineText,
  inMetric,
  resolvePath,
  rungSentence,
  standingOf,
  valueOf,
  workingOf,
  worded,
  type Ladder,
  type Plan,
  type Rung,
  type Shortfall,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** An honest nought: nothing that moves is said not to, and what does not move is said how far it is from moving. */

const heron = demoPlan('heron');
const job = (plan: Plan, id: string) => ['mechanisms', plan.mechanisms.findIndex((one) => one.id === id), 'jobs', 0];
const lifting = (mass: number, time = 1.6): Plan =>
  withChange(
    withChange(heron, [...job(heron, 'lift'), 'mass'], typed(mass)),
    [...job(heron, 'lift'), 'time'],
    typed(time),
  );
const resultOf = (plan: Plan, id: string) => evaluateMechanism(plan, mechanismOf(plan, id));
const working = (plan: Plan, id = 'lift'): Ladder => resultOf(plan, id).jobs[0]!.ladders.working;
const rungIn = (ladder: Ladder, id: string): Rung => ladder.rungs.find((one) => one.id === id)!;

describe('what drives and falls short of its job', () => {
  it('meets the multiple of a job that is done at 1, and stands the worse the more it carries, without a step', () => {
    const masses = Array.from({ length: 400 }, (_, i) => 12 * 1.01 ** i);
    for (const id of ['volts', 'supply']) {
      const rungs = masses.map((mass) => rungIn(working(lifting(mass)), id));
      const stands = rungs.map((rung) => standingOf(rung)!);
      for (let i = 1; i < stands.length; i++) {
        expect(stands[i], `${id} at ${masses[i]}`).toBeLessThanOrEqual(stands[i - 1]! * (1 + 1e-9));
        // A hundredth more of load is a few hundredths at most.
        if (stands[i - 1]! < 1.1) expect(stands[i - 1]! - stands[i]!, `${id} at ${masses[i]}`).toBeLessThan(0.06);
      }
      const kinds = rungs.map(({ shortfall }) => shortfall?.kind ?? 'done');
      expect([...new Set(kinds)], id).toEqual(['done', 'too slow', 'stalls']);
      for (const { multiple, shortfall, verdict } of rungs) {
        expect(multiple).toBeGreaterThan(0);
        expect(verdict === 'gives way', id).toBe(shortfall !== undefined);
      }
    }
  });

  it('is off where the pack has less than the least volts with nothing drawn, and reads by how much, not 0×', () => {
    const half = withChange(heron, ['parts', 'pack-1', 'part', 'series'], 3);
    const ladder = working(half);
    const rung = rungIn(ladder, 'brown-out');
    expect(rung.shortfall).toMatchObject({ kind: 'off' });
    expect(rung.verdict).toBe('gives way');
    const { volts, least } = rung.shortfall as Extract<Shortfall, { kind: 'off' }>;
    expect(least).toBeGreaterThan(volts);
    expect(rung.multiple).toBeCloseTo(volts / least, 12);
    expect(standingOf(rung)!).toBeLessThan(0);
    // Nothing gives sooner than what is not even on.
    expect(ladder.first!.id).toBe('brown-out');
    expect(headlineText(resultOf(half, 'lift').headline)).toMatch(/^brown-out 0\.9\d+× the volts/);
    expect(worded(rungSentence(rung, ladder, 'm'), inMetric)).toMatch(
      /with nothing drawn, 0\.9\d+× the 6\.\d+ V it takes to stay on/,
    );
    expect(
      valueOf(
        workingOf(resolvePath(half, mechanismOf(half, 'lift'), 'raise'), {
          of: 'rung',
          rung: 'brown-out',
          situation: 'working',
        })!,
      ),
    ).toBeCloseTo(rung.multiple!, 9);
  });

  it('says what share of the force or of the speed there is, in the list, the sentence and beside the rung', () => {
    const slow = working(lifting(20, 0.4));
    expect(slow.first).toMatchObject({ id: 'volts', shortfall: { kind: 'too slow' } });
    const share = slow.first!.multiple!;
    expect(slow.first!.shortfall).toEqual({
      kind: 'too slow',
      speed: expect.closeTo(share * slow.speed!, 9) as number,
    });
    expect(worded(rungSentence(slow.first!, slow, 'm'), inMetric)).toMatch(
      /^The motor at full volts moves it at 0\.\d+ m\/s, 0\.\d+× the 3\.38 m\/s wanted;/,
    );
    expect(headlineText(resultOf(lifting(20, 0.4), 'lift').headline)).toMatch(/^too late 0\.\d+×, /);
    const heavy = working(lifting(120));
    expect(worded(rungSentence(heavy.first!, heavy, 'm'), inMetric)).toMatch(
      /gives \d+ N at rest, 0\.\d+× the [\d.]+ N the job takes: nothing moves\./,
    );
    expect(headlineText(resultOf(lifting(120), 'lift').headline)).toMatch(/× the force, /);
  });

  it('leaves what breaks, and what is done, as they were', () => {
    const { rungs } = working(lifting(60));
    expect(rungIn(working(lifting(60)), 'rope').shortfall).toBeUndefined();
    expect(
      rungs
        .filter(({ shortfall }) => shortfall)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['stator', 'supply', 'volts']);
    expect(working(heron).rungs.every(({ shortfall }) => shortfall === undefined)).toBe(true);
  });

  it('starts with the share of the acceleration that it says, where its own rotor takes the rest', () => {
    const { starting } = resultOf(lifting(20, 0.3), 'lift').jobs[0]!.ladders;
    const first = starting.first!;
    expect(first.shortfall?.kind).toBe('starts slowly');
    expect(first.multiple).toBeGreaterThan(0);
    expect(first.verdict).toBe('gives way');
    expect(worded(rungSentence(first, starting, 'm'), inMetric)).toMatch(
      / starts it with [\d.]+ m\/s², 0\.\d+× the acceleration wanted/,
    );
    const grip = withChange(heron, [...job(heron, 'grip'), 'time'], typed(0.03));
    for (const rung of resultOf(grip, 'grip').jobs[0]!.ladders.starting.rungs)
      expect(rung.multiple, rung.id).toBeGreaterThan(0);
  });

  it('of a servo is its speed where it moves, and no run that never arrives has a time', () => {
    const grip = withChange(heron, [...job(heron, 'grip'), 'time'], typed(0.02));
    const servo = rungIn(working(grip, 'grip'), 'servo');
    expect(servo.shortfall?.kind).toBe('too slow');
    expect(servo.multiple).toBeGreaterThan(0.01);
    const stalled = resultOf(lifting(120), 'lift').jobs[0]!.checks.find(({ id }) => id === 'in-time')!;
    expect(stalled).toMatchObject({ verdict: 'gives way', multiple: undefined, there: 'does not move' });
    const late = resultOf(lifting(20, 1.2), 'lift').jobs[0]!.checks.find(({ id }) => id === 'in-time')!;
    expect(late.multiple).toBeGreaterThan(0.5);
  });
});
