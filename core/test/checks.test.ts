import { describe, expect, it } from 'vitest';
import {
  CHECKS,
  checkRule,
  evaluateMechanism,
  limitOf,
  LIMITS,
  valueOf,
  workingOf,
  resolveDcPath,
  type Check,
  type Plan,
  type ControllerPart,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';
import { allKindsPlan } from './kinds.js';

const heron = plainPlan('heron');
const kinds = allKindsPlan();
/** The hoist's missing figure filled in. */
const known = withChange(heron, ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042));

/** Changes of a mechanism's places, written with points. */
function withAll(plan: Plan, id: string, changes: Readonly<Record<string, unknown>>): Plan {
  const index = plan.mechanisms.findIndex((mechanism) => mechanism.id === id);
  // A whole list first, then what stands in it.
  const sorted = Object.entries(changes).sort(([a], [b]) => a.length - b.length);
  return sorted.reduce((doc, [at, to]) => {
    const keys = at.split('.').map((key) => (/^\d+$/.test(key) ? Number(key) : key));
    return withChange(doc, ['mechanisms', index, ...keys], to);
  }, plan);
}

const change = (plan: Plan, id: string, at: string, to: unknown): Plan => withAll(plan, id, { [at]: to });

function checksOf(plan: Plan, mechanism: string): ReadonlyMap<string, Check> {
  const [job] = evaluateMechanism(plan, mechanismOf(plan, mechanism)).jobs;
  return new Map(job!.checks.map((check) => [check.id, check]));
}

describe('the tables', () => {
  it('find every limit and check by its id, and no other', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');
    for (const { id } of LIMITS) expect(limitOf(path, id).id).toBe(id);
    for (const { id } of CHECKS) expect(checkRule(path, id).id).toBe(id);
    expect(() => limitOf(path, 'magic' as never)).toThrow('a dc drive has no limit magic');
    expect(() => checkRule(path, 'pulse-rate')).toThrow('a dc drive has no check pulse-rate');
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
    [
      'a wheel that is slow to come back',
      change(heron, 'thrower', 'jobs.0.recover', typed(0.02)),
      'thrower',
      'recovers',
    ],
    [
      'a hurried trapezoid',
      withAll(heron, 'lift', { 'jobs.0.profile': 'trapezoid', 'jobs.0.time': typed(0.5) }),
      'lift',
      'follows',
    ],
    [
      'a load too heavy to let down',
      withAll(heron, 'lift', { jobs: [mechanismOf(heron, 'lift').jobs[1]], 'jobs.0.mass': typed(400) }),
      'lift',
      'held-back',
    ],
    ['a motor that loses step', withAll(known, 'hoist', { 'jobs.0.creep': typed(0.001) }), 'hoist', 'creep'],
    ['a start under load', change(known, 'hoist', 'jobs.0.mass', typed(60)), 'hoist', 'starts-loaded'],
    ['a hold without sensors', change(known, 'hoist', 'choices.0.output.holder', 'nothing'), 'hoist', 'holds-still'],
    ['a long jam', change(heron, 'intake', 'jobs.0.jam', typed(600)), 'intake', 'jam'],
    ['a narrow window', change(kinds, 'turntable-1', 'jobs.0.settle', typed(0.001)), 'turntable-1', 'resolves'],
    [
      'a hot afternoon',
      withAll(heron, 'lift', {
        'jobs.0.every': typed(1.6),
        'jobs.0.mass': typed(40),
        'choices.0.drive.supplyLimit': typed(80),
      }),
      'lift',
      'match-heat',
    ],
    [
      'a breaker that is too small',
      withChange(heron, ['parts', 'breaker-2', 'part', 'rated'], typed(5)),
      'lift',
      'match-breakers',
    ],
    ['a tiny pack', withChange(heron, ['parts', 'pack-1', 'part', 'capacity'], typed(900)), 'lift', 'charge'],
    [
      'braking into the pack',
      withAll(heron, 'lift', {
        'jobs.0.profile': 'stop',
        'choices.0.drive.returnLimit': typed(30),
        jobs: [mechanismOf(heron, 'lift').jobs[1]],
      }),
      'lift',
      'return-charge',
    ],
    [
      'braking on a full pack',
      withChange(
        withAll(heron, 'lift', {
          'choices.0.drive.returnLimit': typed(30),
          jobs: [mechanismOf(heron, 'lift').jobs[1]],
        }),
        ['parts', 'controller-1', 'part', 'highestVoltage'],
        typed(13.9),
      ),
      'lift',
      'return-volts',
    ],
    ['a small plug', withChange(heron, ['supply', 3, 'wire', 'connectorRated'], typed(15)), 'lift', 'branch-plug'],
    ['a small main plug', withChange(heron, ['supply', 1, 'wire', 'connectorRated'], typed(15)), 'lift', 'main-plug'],
    [
      'a shaft that does not fit',
      change(heron, 'lift', 'choices.0.stages.0.bore', typed(0.006)),
      'lift',
      'fits-together',
    ],
    [
      'a chain too short for its shafts',
      withAll(heron, 'lift', { 'choices.0.stages.1.takeUp': 'fixed', 'choices.0.stages.1.centre': typed(0.2) }),
      'lift',
      'run-length',
    ],
    [
      'two stages in one plane, folded back',
      withAll(heron, 'lift', { 'choices.0.stages.1.plane': 1, 'choices.0.stages.1.direction': typed(Math.PI) }),
      'lift',
      'clearance',
    ],
    [
      'a belt with no room beside its wheel',
      change(heron, 'intake', 'choices.0.stages.1.room', typed(0.004)),
      'intake',
      'belt-room',
    ],
    [
      'a long thin screw that turns fast',
      withAll(kinds, 'carriage-1', { 'choices.0.output.freeLength': typed(2.5) }),
      'carriage-1',
      'screw-whirls',
    ],
    [
      'a chain on eight teeth',
      withAll(heron, 'lift', { 'choices.0.stages.1.driver': 8, 'choices.0.stages.1.driven': 21 }),
      'lift',
      'ripple',
    ],
    [
      'a motor on too many volts',
      withChange(heron, ['parts', 'motor-1', 'part', 'highestVoltage'], typed(13)),
      'lift',
      'motor-volts',
    ],
    [
      'a rotor that turns too fast',
      withChange(heron, ['parts', 'motor-1', 'part', 'highestSpeed'], typed(300)),
      'lift',
      'motor-speed',
    ],
    [
      'a motor that is open, under water',
      withChange(change(heron, 'lift', 'jobs.0.wet', 'under water'), ['parts', 'motor-1', 'part', 'sealing'], 'open'),
      'lift',
      'surroundings',
    ],
    ['a gear of ten teeth', change(heron, 'lift', 'choices.0.stages.0.driver', 10), 'lift', 'undercut'],
  ];

  it.each(failing)(
    'that fails for %s says what is asked, what is there, why, and what would mend it',
    (_name, plan, mechanism, id) => {
      const check = checksOf(plan, mechanism).get(id)!;
      expect(check.verdict).toBe('gives way');
      expect(check.asked).toBeDefined();
      expect(check.there).toBeDefined();
      expect(said(check.sentence)).toMatch(/^[A-Z0-9].*[.]$/);
      const { levers } = checkRule(
        resolveDcPath(plan, mechanismOf(plan, mechanism), mechanismOf(plan, mechanism).jobs[0]!.id),
        check.id,
      );
      expect(levers.length > 0 || check.hint !== undefined).toBe(true);
    },
  );

  it('asks about a limit that is set above its controller’s sheet, and takes it as it is set', () => {
    const lift = mechanismOf(heron, 'lift');
    const sheet = (heron.parts['controller-1']!.part as ControllerPart).statorLimit!.si;
    const set = (amps: number) =>
      checksOf(change(heron, 'lift', 'choices.0.drive.statorLimit', typed(amps)), 'lift').get('over-sheet');
    expect(checksOf(heron, lift.id).has('over-sheet')).toBe(false);
    expect(set(sheet)).toBeUndefined();
    const asked = set(sheet + 15)!;
    expect(asked.verdict).toBe('enough');
    expect(asked.note).toBe(true);
    expect(said(asked.sentence)).toMatch(/^Is the motor-side limit of 75 A right\? .*says 60 A/);
  });

  it('is tried here in every kind', () => {
    // Brushes wear out, and a limit may be set above its sheet: that is worth knowing, and fails nothing.
    const judging = CHECKS.filter(({ id }) => id !== 'brush-wear' && id !== 'over-sheet');
    expect(new Set(failing.map(([, , , id]) => id))).toEqual(new Set(judging.map(({ id }) => id)));
  });

  it.each(failing)('that fails for %s shows the multiple its working computes', (_name, plan, mechanism, id) => {
    const found = mechanismOf(plan, mechanism);
    const check = checksOf(plan, mechanism).get(id)!;
    const working = workingOf(resolveDcPath(plan, found, found.jobs[0]!.id), { of: 'check', check: check.id });
    if (check.multiple === undefined) expect(working).toBeUndefined();
    else expect(valueOf(working!)).toBeCloseTo(check.multiple, 9);
  });

  it('that is only worth knowing is a note: sixteen teeth are undercut a little', () => {
    const checks = checksOf(heron, 'lift');
    expect(checks.get('undercut')).toMatchObject({ verdict: 'enough', note: true, there: '16 teeth' });
    expect(checks.get('in-time')!.note).toBeUndefined();
    expect(checksOf(change(heron, 'lift', 'choices.0.stages.0.driver', 15), 'lift').get('undercut')).toMatchObject({
      verdict: 'tight',
    });
    expect(
      checksOf(change(heron, 'lift', 'choices.0.stages.0.driver', 18), 'lift').get('undercut')!.note,
    ).toBeUndefined();
  });

  it('is well for the mast lift as it stands', () => {
    for (const check of checksOf(heron, 'lift').values())
      expect([check.id, check.verdict]).toEqual([check.id, 'enough']);
  });
});
