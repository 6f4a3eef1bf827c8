import { describe, expect, it } from 'vitest';
import {
  CHECKS,
  checkRule,
  evaluateMechanism,
  limitOf,
  LIMITS,
  valueOf,
  workingOf,
  resolvePath,
  type Check,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

const heron = demoPlan('heron');

function checksOf(plan: Plan, mechanism: string): ReadonlyMap<string, Check> {
  const [job] = evaluateMechanism(plan, mechanismOf(plan, mechanism)).jobs;
  return new Map(job!.checks.map((check) => [check.id, check]));
}

describe('the tables', () => {
  it('find every limit and check by its id, and no other', () => {
    for (const { id } of LIMITS) expect(limitOf(id).id).toBe(id);
    for (const { id } of CHECKS) expect(checkRule(id).id).toBe(id);
    expect(() => limitOf('magic' as never)).toThrow('there is no limit magic');
    expect(() => checkRule('magic' as never)).toThrow('there is no check magic');
  });

  it('hold no id twice', () => {
    for (const ids of [LIMITS.map(({ id }) => id), CHECKS.map(({ id }) => id)])
      expect(new Set<string>(ids).size).toBe(ids.length);
  });
});

describe('a check', () => {
  const failing: readonly (readonly [name: string, plan: Plan, mechanism: string, check: string])[] = [
    ['too slow', withChange(heron, ['mechanisms', 1, 'jobs', 0, 'time'], typed(1.2)), 'lift', 'in-time'],
    ['what falls', heron, 'climb', 'stays-up'],
    [
      'another kind of controller',
      withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'controller'], 'controller-2'),
      'lift',
      'motor-kind',
    ],
    ['too many cells', withChange(heron, ['parts', 'pack-1', 'part', 'series'], 14), 'lift', 'volts-full'],
    [
      'a sagging pack',
      withChange(heron, ['parts', 'pack-1', 'part', 'cellResistance'], typed(0.02)),
      'drive',
      'volts-least',
    ],
    ['thin wire', withChange(heron, ['supply', 3, 'wire', 'gauge'], typed(18)), 'lift', 'branch-wire'],
    ['thin main wire', withChange(heron, ['supply', 1, 'wire', 'gauge'], typed(10)), 'lift', 'main-wire'],
    [
      'a spinning outrunner',
      withChange(
        withChange(heron, ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042)),
        ['parts', 'controller-2', 'part', 'erpmLimit'],
        typed(2000),
      ),
      'hoist',
      'erpm',
    ],
  ];

  it.each(failing)(
    'that fails for %s says what is asked, what is there, why, and what would mend it',
    (_name, plan, mechanism, id) => {
      const check = checksOf(plan, mechanism).get(id)!;
      expect(check.verdict).toBe('gives way');
      expect(check.asked).toBeDefined();
      expect(check.there).toBeDefined();
      expect(check.sentence).toMatch(/^[A-Z0-9].*[.]$/);
      const { levers } = checkRule(check.id);
      expect(levers.length > 0 || check.hint !== undefined).toBe(true);
    },
  );

  it('is tried here in every kind', () => {
    expect(new Set(failing.map(([, , , id]) => id))).toEqual(new Set(CHECKS.map(({ id }) => id)));
  });

  it.each(failing)('that fails for %s shows the multiple its working computes', (_name, plan, mechanism, id) => {
    const found = mechanismOf(plan, mechanism);
    const check = checksOf(plan, mechanism).get(id)!;
    const working = workingOf(resolvePath(plan, found, found.jobs[0]!.id), { of: 'check', check: check.id });
    if (check.multiple === undefined) expect(working).toBeUndefined();
    else expect(valueOf(working!)).toBeCloseTo(check.multiple, 9);
  });

  it('is well for the mast lift as it stands', () => {
    for (const check of checksOf(heron, 'lift').values())
      expect([check.id, check.verdict]).toEqual([check.id, 'enough']);
  });
});
