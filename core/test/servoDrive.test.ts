import { describe, expect, it } from 'vitest';
import { evaluateMechanism, type Plan } from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, withChange } from './demo.js';

/** A continuous servo on wheels: a drive like any other. */

describe('a drive base that continuous servos turn', () => {
  const limpet = demoPlan('limpet');
  const rover = limpet.mechanisms.find(({ kind }) => kind === 'drive-base')!;
  const winch = mechanismOf(limpet, 'winch');
  const servo = winch.choices.map(({ drive }) => drive).find((drive) => drive.kind === 'servo')!;
  const driven: Plan = withChange(limpet, ['mechanisms', limpet.mechanisms.indexOf(rover), 'choices', 0], {
    ...rover.choices[0]!,
    drive: { ...servo, servos: 2, linkage: { kind: 'direct' } },
    stages: [],
    tuning: undefined,
  });
  const result = evaluateMechanism(
    withChange(driven, ['mechanisms', limpet.mechanisms.indexOf(rover), 'current'], rover.choices[0]!.id),
    { ...driven.mechanisms[limpet.mechanisms.indexOf(rover)]!, current: rover.choices[0]!.id },
  );

  it('is judged whole: torque, rail, grip, time', () => {
    const { jobs } = result;
    expect(nansIn(result)).toEqual([]);
    for (const job of jobs) {
      expect(job.ladders.working.rungs.length).toBeGreaterThan(0);
      expect(job.checks.some(({ id }) => id === 'stands-at-angle')).toBe(false);
      expect(job.checks.some(({ id }) => id === 'rail-moving')).toBe(true);
    }
    expect(jobs[0]!.run).toBeDefined();
  });
});
