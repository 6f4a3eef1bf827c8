import { describe, expect, it } from 'vitest';
import { evaluateMechanism, resolvePath, servoSize, type Plan, type ServoPath } from '../src/index.js';
import { demoPlan, mechanismOf, said, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const grip = mechanismOf(heron, 'grip');
const at = heron.mechanisms.indexOf(grip);
const choice = grip.choices.findIndex(({ id }) => id === grip.current);
const { drive } = grip.choices[choice]!;
const servo = drive.kind === 'servo' ? drive.servo : '';
const set = (plan: Plan, key: string, to: unknown): Plan =>
  withChange(plan, ['mechanisms', at, 'choices', choice, 'drive', key], to);
const part = (plan: Plan, key: string, to: unknown): Plan => withChange(plan, ['parts', servo, 'part', key], to);
const checkOf = (plan: Plan) =>
  evaluateMechanism(plan, mechanismOf(plan, 'grip')).jobs[0]!.checks.find(({ id }) => id === 'servo-fits');

describe('a servo where it is to go', () => {
  it('is asked nothing where neither a horn nor room is typed', () => {
    expect(checkOf(heron)).toBeUndefined();
  });

  it('takes the horn of as many teeth as its spline, and says where that is not known', () => {
    const spline = part(heron, 'splineTeeth', 25);
    expect(checkOf(set(spline, 'hornTeeth', 25))!.verdict).toBe('enough');
    const other = checkOf(set(spline, 'hornTeeth', 24))!;
    expect(other.verdict).toBe('gives way');
    expect(said(other.sentence)).toContain('a horn of 24 teeth does not go on a spline of 25');
    expect(checkOf(set(part(heron, 'splineTeeth', undefined), 'hornTeeth', 24))!.note).toBe(true);
  });

  it('goes into room that is as large as its case; by its mass where the sheet is silent', () => {
    const heavy = part(heron, 'mass', typed(0.2));
    expect((resolvePath(heavy, mechanismOf(heavy, 'grip'), grip.jobs[0]!.id) as ServoPath).fit.size.length).toBe(
      servoSize(0.2).length,
    );
    const tight = set(heavy, 'roomLength', typed(0.05));
    expect(checkOf(tight)!.verdict).toBe('gives way');
    expect(said(checkOf(tight)!.sentence)).toContain('its case has a length of 66 mm, there is room for 50 mm');
    expect(checkOf(part(tight, 'caseLength', typed(0.049)))!.verdict).toBe('enough');
  });
});

describe('repeated blows', () => {
  const struck = withChange(heron, ['mechanisms', at, 'jobs', 0, 'blows'], true);
  const of = (plan: Plan) =>
    evaluateMechanism(plan, mechanismOf(plan, 'grip')).jobs[0]!.checks.find(({ id }) => id === 'stands-blows');

  it('ask for gears and a bearing that stand them, and say where the sheet is silent', () => {
    expect(of(heron)).toBeUndefined();
    expect(of(part(struck, 'gears', 'steel'))!.verdict).toBe('enough');
    const plastic = of(part(struck, 'gears', 'plastic'))!;
    expect(plastic.verdict).toBe('gives way');
    expect(said(plastic.sentence)).toContain('plastic gears strip');
    expect(of(part(struck, 'bearing', 'bush'))!.verdict).toBe('gives way');
    expect(of(part(struck, 'gears', undefined))!.note).toBe(true);
  });
});
