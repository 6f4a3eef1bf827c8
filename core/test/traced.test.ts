import { describe, expect, it } from 'vitest';
import {
  CAUSE,
  CAUSES,
  moved,
  OBSERVED,
  predictedGo,
  randomFrom,
  sharesOf,
  traceGoes,
  trialsWorthDoing,
  type CauseId,
  type GoOfJob,
} from '../src/index.js';
import { bell } from '../src/bench/rig/truth.js';
import { mechanismOf, plainPlan, typed, withChange } from './demo.js';

/** A plan with one figure wrong by three standard deviations, measured up and down: the tracing must say which. */
const heron = plainPlan('heron');
const NOISE = 0.003;
const JOBS = ['raise', 'lower'];

function goesWith(cause: CauseId, deviations: number, seed: number): readonly GoOfJob[] {
  const lift = mechanismOf(heron, 'lift');
  const random = randomFrom(seed);
  return JOBS.map((jobId) => {
    const seen = predictedGo(heron, lift, jobId, moved(cause, deviations, sharesOf(heron, 'lift', jobId)))!;
    const go = OBSERVED.map((key) => [
      key,
      { value: seen[key] * (1 + NOISE * bell(random)), error: NOISE * Math.abs(seen[key]) },
    ]);
    return { jobId, go: Object.fromEntries(go) as GoOfJob['go'] };
  });
}

describe('why a go was not as predicted', () => {
  it.each(CAUSES)('names %s in nine of ten plants of three standard deviations', (cause) => {
    const named = Array.from({ length: 10 }, (_, i) => {
      const traced = traceGoes(heron, 'lift', goesWith(cause, i % 2 === 0 ? 3 : -3, i + 1));
      return traced?.causes[0]?.cause === cause ? 1 : 0;
    }).reduce<number>((sum, one) => sum + one, 0);
    expect(named).toBeGreaterThanOrEqual(9);
  });

  it('says how far off it is, and that it explains nearly all', () => {
    const [best] = traceGoes(heron, 'lift', goesWith('friction', 3, 1))!.causes;
    expect(best).toMatchObject({ cause: 'friction', name: CAUSE.friction.name });
    expect(best!.deviations).toBeGreaterThan(2.5);
    expect(best!.deviations).toBeLessThan(3.5);
    expect(best!.explains).toBeGreaterThan(0.9);
  });

  it('says that a go agrees where it is no further off than readings go', () => {
    const lift = mechanismOf(heron, 'lift');
    const { goTime, meanCurrent } = predictedGo(heron, lift, 'raise')!;
    const near = {
      goTime: { value: goTime * 1.01, error: 0.02 * goTime },
      meanCurrent: { value: meanCurrent, error: 1 },
    };
    expect(traceGoes(heron, 'lift', [{ jobId: 'raise', go: near }])!.agrees).toBe(true);
    const far = { goTime: { value: goTime * 1.2, error: 0.01 * goTime } };
    expect(traceGoes(heron, 'lift', [{ jobId: 'raise', go: far }])!.agrees).toBe(false);
  });

  it('has nothing to say without readings, or where the program has no run', () => {
    expect(traceGoes(heron, 'lift', [{ jobId: 'raise', go: {} }])).toBeUndefined();
    const heavy = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'mass'], typed(4000));
    const go = { goTime: { value: 2, error: 0.1 } };
    expect(traceGoes(heavy, 'lift', [{ jobId: 'raise', go }])).toBeUndefined();
  });
});

describe('the next trial worth doing', () => {
  it('narrows the verdict, and leaves out what was measured', () => {
    const [first] = trialsWorthDoing(heron, 'lift', 'raise');
    expect(first).toBeDefined();
    const wide = first!.now[1] - first!.now[0];
    expect(first!.then[1] - first!.then[0]).toBeLessThan(wide);
    // The middle stays: a trial says how sure it is, not what will come out.
    expect(first!.then[0] + first!.then[1]).toBeCloseTo(first!.now[0] + first!.now[1], 9);
  });

  it('is none for a train whose losses are measured already', () => {
    const lift = mechanismOf(heron, 'lift');
    const at = heron.mechanisms.indexOf(lift);
    const measured = { si: 0.9, as: '90 %', source: 'measured' as const, error: 0.01 };
    const stages = lift.choices[0]!.stages.map((stage) => ({ ...stage, efficiency: measured }));
    const output = { ...lift.choices[0]!.output, efficiency: measured };
    const known = withChange(
      withChange(heron, ['mechanisms', at, 'choices', 0, 'stages'], stages),
      ['mechanisms', at, 'choices', 0, 'output'],
      output,
    );
    expect(trialsWorthDoing(known, 'lift', 'raise').map(({ kind }) => kind)).not.toContain('pull');
  });
});
