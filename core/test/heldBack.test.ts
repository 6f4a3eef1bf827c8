import { describe, expect, it } from 'vitest';
import { brakePoint, evaluateMechanism, motorSpeed, resolveDcPath, runBy, type Plan } from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange } from './demo.js';

const heron = plainPlan('heron');
const lower = (key: string, to: unknown, plan: Plan = heron) => withChange(plan, ['mechanisms', 1, 'jobs', 1, key], to);
const drive = (key: string, to: unknown, plan: Plan = heron) =>
  withChange(plan, ['mechanisms', 1, 'choices', 0, 'drive', key], to);
const pathOf = (plan: Plan) => resolveDcPath(plan, mechanismOf(plan, 'lift'), 'lower');
const checkOf = (plan: Plan, id: string) =>
  evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[1]!.checks.find((check) => check.id === id);

describe('a load let down', () => {
  it('by hand: braking on the output at the speed asked, over what pushes', () => {
    const path = pathOf(heron);
    const brake = brakePoint(path.drive, motorSpeed(path, path.asked.speed));
    const there = (brake.shaftTorque * path.train.total) / path.radius / path.train.backEfficiency;
    const pushes = 20 * 9.80665 - 12;
    expect(checkOf(heron, 'held-back')!.multiple).toBeCloseTo(there / pushes, 9);
  });

  it('asks nothing of the motor in its ladders: the weight does the work', () => {
    const [, job] = evaluateMechanism(heron, mechanismOf(heron, 'lift')).jobs;
    expect(job!.ladders.working).toMatchObject({ idle: 'load drives', verdict: 'enough' });
    expect(job!.ladders.working.demand).toBeLessThan(0);
  });

  it('cannot be held back without brakes worth the name', () => {
    const weak = drive('brakeLimit', typed(2));
    expect(checkOf(weak, 'held-back')).toMatchObject({ verdict: 'gives way' });
    expect(runBy(pathOf(weak)).outcome).toBe('cannot-stop');
    expect(checkOf(weak, 'in-time')).toMatchObject({ verdict: 'gives way', there: 'cannot stop there' });
  });

  it('is held by a stage that stays, whatever the brakes', () => {
    const worm = { id: 's2', kind: 'worm', starts: 1, teeth: 30, leadAngle: typed(0.05), friction: typed(0.2) };
    const stays = withChange(drive('brakeLimit', typed(2)), ['mechanisms', 1, 'choices', 0, 'stages', 1], worm);
    expect(checkOf(stays, 'held-back')).toMatchObject({ verdict: 'enough', there: 'a stage that stays' });
  });

  it('goes slower with a smaller return limit, and returns no more than it', () => {
    const [small, large] = [1.5, 5].map((amperes) => runBy(pathOf(drive('returnLimit', typed(amperes)))));
    expect(small!.time).toBeGreaterThan(large!.time);
    expect(small!.peakReturned).toBeLessThanOrEqual(1.5 * 1.001);
    expect(large!.peakReturned).toBeLessThanOrEqual(5 * 1.001);
  });

  it('ends where it was asked to, standing', () => {
    for (const mass of [5, 20, 45]) {
      const run = runBy(pathOf(lower('mass', typed(mass))));
      expect(run.outcome).toBe('arrived');
      expect(run.place / 1.35).toBeCloseTo(1, 2);
      expect(run.endSpeed).toBeLessThan(1e-6);
    }
  });

  it('balanced by a counterforce has to be driven down', () => {
    const balanced = lower('counterforce', typed(230));
    const [, job] = evaluateMechanism(balanced, mechanismOf(balanced, 'lift')).jobs;
    expect(job!.ladders.working.demand).toBeGreaterThan(0);
    expect(checkOf(balanced, 'held-back')).toBeUndefined();
  });

  it('cools the pack rather than taking from it: less energy than going up', () => {
    const up = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');
    expect(runBy(pathOf(heron)).packEnergy).toBeLessThan(0.2 * runBy(up).packEnergy);
  });
});
