import { describe, expect, it } from 'vitest';
import { clashIn, evaluateMechanism, type Part } from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const part = (id: string): Part => heron.parts[id]!.part;

describe('two figures of a part that cannot both be right', () => {
  it('are named, with what each must be and why', () => {
    const motor = part('motor-1');
    if (motor.kind !== 'motor' || motor.data.form !== 'sheet') throw new Error('told by its sheet');
    expect(clashIn(motor)).toBeUndefined();
    const low = { ...motor, data: { ...motor.data, stallCurrent: { ...typed(1), as: '1 A' } } };
    expect(clashIn(low)).toMatch(/^held it draws more than turning freely, not 1 A and 2\.2 A$/);
    const controller = { ...part('controller-1'), lowestVoltage: typed(30), highestVoltage: typed(28) } as Part;
    expect(clashIn(controller)).toMatch(/from its least volts up, not from 30 to 28/);
    const servo = Object.values(heron.parts).find((copy) => copy.part.kind === 'servo')!.part;
    expect(clashIn({ ...servo, shortestPulse: typed(0.002), longestPulse: typed(0.001) } as Part)).toMatch(
      /from its shortest pulse to its longest, not from 0\.002 to 0\.001/,
    );
    for (const copy of Object.values(heron.parts)) expect(clashIn(copy.part), copy.part.name).toBeUndefined();
  });

  it('leave a plan that came with them unjudged, without a figure that is none', () => {
    const plan = withChange(heron, ['parts', 'motor-1', 'part', 'data', 'stallCurrent'], typed(1));
    const { headline, jobs } = evaluateMechanism(plan, mechanismOf(plan, 'lift'));
    expect(headline.verdict).toBe('not known');
    expect(headline.name).toBe('stall current');
    expect(nansIn(jobs)).toEqual([]);
  });
});
