import { readFileSync } from 'node:fs';
import { applyChanges, evaluateMechanism, quantityOf, worstSituation, type Change, type Plan } from '../src/index.js';
import { describe, expect, it } from 'vitest';

const heron = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as Plan;

function opened(index: number, job: number, ...changes: Change[]): string {
  const plan = applyChanges(heron, changes);
  return worstSituation(evaluateMechanism(plan, plan.mechanisms[index]!).jobs[job]!);
}

describe('the situation to open first', () => {
  it('is the one with the worst verdict', () => {
    expect(opened(1, 0)).toBe('working');
    expect(opened(2, 0)).toBe('holding');
  });

  it('is, of equals, the one that gives at the least multiple', () => {
    expect(opened(0, 1)).toBe('starting');
  });

  it('follows what changes', () => {
    expect(opened(1, 0, { at: ['mechanisms', 1, 'jobs', 0, 'shock'], to: quantityOf(2.5, '2.5') })).toBe('starting');
    expect(
      opened(
        1,
        0,
        { at: ['mechanisms', 1, 'choices', 0, 'output', 'holder'], to: 'nothing' },
        { at: ['mechanisms', 1, 'jobs', 0, 'held'], to: quantityOf(600, '600 s') },
      ),
    ).toBe('holding');
  });

  it('puts what is not known before what is enough, and after what is tight', () => {
    expect(opened(3, 0)).toBe('starting');
  });
});
