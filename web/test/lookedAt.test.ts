import type { PlanSummary } from '@rough-gear/contract/api';
import { describe, expect, it } from 'vitest';
import { isLookedAt } from '../src/views/robots/lookedAt.js';

const headline = { verdict: 'enough', jobId: 'a', name: 'volts', notKnown: 0 } as const;
const arm = { id: 'arm', name: 'Arm', kind: 'arm', headline } as const;
const robot = { verdict: 'enough', lead: 'Enough.', rest: 'Arm: it does.' } as const;
const plan = (of: Partial<PlanSummary>): PlanSummary => ({
  id: 'p',
  name: 'Heron',
  revision: 1,
  savedAt: '2026-12-01T10:00:00Z',
  mechanisms: [arm],
  judged: true,
  ...of,
});

describe('A robot in the list', () => {
  it('is looked at until its mechanisms are judged, and then until the whole of it is', () => {
    expect(isLookedAt(plan({ judged: false, robot }))).toBe(true);
    expect(isLookedAt(plan({}))).toBe(true);
    expect(isLookedAt(plan({ robot }))).toBe(false);
  });

  it('is not asked about again where nothing more will be known', () => {
    expect(isLookedAt(plan({ mechanisms: [] }))).toBe(false);
    expect(isLookedAt(plan({ unreadable: 'of next year' }))).toBe(false);
    expect(isLookedAt(plan({ unjudged: 'it takes too long' }))).toBe(false);
    expect(isLookedAt(plan({ deletedAt: '2026-12-01T11:00:00Z' }))).toBe(false);
  });
});
