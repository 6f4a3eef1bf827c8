import { describe, expect, it } from 'vitest';
import { measureChoice, reviewReasons, wantText, writeReason, type Decision, type Plan } from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const lift = mechanismOf(heron, 'lift');
const now = measureChoice(heron, lift, lift.current, 'raise').figures;

const decision: Decision = {
  id: 'r1',
  writtenAt: '2026-11-25T20:00:00.000Z',
  mechanism: 'lift',
  job: 'raise',
  choice: lift.current,
  chosen: { words: 'two of these', figures: now },
  over: { words: 'one of those', figures: { ...now, time: now.time! * 1.4, mass: now.mass! * 1.2, price: 1 } },
  why: '  It must be there before the others.  ',
};
const reason = writeReason(decision);
const logged: Plan = { ...heron, reasons: [reason] };
const atMotor = (key: string) => {
  const { drive } = lift.choices[0]!;
  return ['parts', drive.kind === 'dc' ? drive.motor : '', 'part', key];
};

describe('A reason', () => {
  it('claims what it is better in, bounded by the other, and says what it gave up', () => {
    expect(reason.claims.map(({ want }) => want).sort()).toEqual(
      ['mass', 'time', ...(now.margin! >= 1 ? ['margin'] : [])].sort(),
    );
    expect(reason.claims.find(({ want }) => want === 'time')).toEqual({
      want: 'time',
      then: now.time,
      bound: now.time! * 1.4,
    });
    expect(reason.gaveUp).toContain(`dearer, ${wantText('price', now.price!)} for 1`);
    expect(reason.why).toBe('It must be there before the others.');
  });

  it('claims nothing of figures that are alike or not known', () => {
    const same = writeReason({ ...decision, over: { words: 'the same', figures: now } });
    expect(same.claims.every(({ want }) => want === 'margin')).toBe(true);
    expect(same.gaveUp).toBeUndefined();
    expect(writeReason({ ...decision, over: { words: 'unknown', figures: {} } }).claims.length).toBeLessThanOrEqual(1);
  });

  it('is true as long as nothing changes', () => {
    const [first] = reviewReasons(logged);
    expect(first).toMatchObject({ state: 'in force', untrue: false, mechanismName: lift.name });
    for (const claim of first!.claims) expect(claim).toMatchObject({ now: claim.then, true: true });
    expect(reviewReasons(heron)).toEqual([]);
  });

  it('is untrue once a mass has passed its bound, and true again when it is taken back', () => {
    const heavier = withChange(logged, atMotor('mass'), typed(9));
    const [first] = reviewReasons(heavier);
    expect(first!.untrue).toBe(true);
    expect(first!.claims.find(({ want }) => want === 'mass')).toMatchObject({ true: false });
    expect(first!.claims.find(({ want }) => want === 'time')).toMatchObject({ true: true });
    // Up to the bound it stays true.
    const mass = now.mass!;
    const motors = lift.choices[0]!.drive.kind === 'dc' ? lift.choices[0]!.drive.motors : 1;
    const each = heron.parts[atMotor('')[1]!]!.part.mass!.si;
    const almost = withChange(logged, atMotor('mass'), typed(each + (0.19 * mass) / motors));
    expect(reviewReasons(almost)[0]!.untrue).toBe(false);
  });

  it('cannot be told where a figure is gone', () => {
    const [first] = reviewReasons(withChange(logged, atMotor('mass'), undefined));
    const mass = first!.claims.find(({ want }) => want === 'mass')!;
    expect(mass.true).toBe(false);
    expect(mass.now).toBeUndefined();
  });

  it('of another choice, of one chosen anew and of one that is gone is no longer held against it', () => {
    const at = ['mechanisms', heron.mechanisms.indexOf(lift)];
    const beside = withChange(
      withChange(logged, [...at, 'choices', lift.choices.length], { ...lift.choices[0]!, id: 'z', name: 'other' }),
      [...at, 'current'],
      'z',
    );
    expect(reviewReasons(beside)[0]).toMatchObject({ state: 'another choice', untrue: false });
    const anew: Plan = { ...logged, reasons: [reason, { ...reason, id: 'r2' }] };
    expect(reviewReasons(anew).map(({ state }) => state)).toEqual(['chosen anew', 'in force']);
    const gone: Plan = { ...logged, mechanisms: logged.mechanisms.filter(({ id }) => id !== 'lift') };
    expect(reviewReasons(gone)[0]).toMatchObject({ state: 'gone', untrue: false, mechanismName: 'lift' });
  });
});
