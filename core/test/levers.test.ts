import { describe, expect, it } from 'vitest';
import { dcDriveOf, applyChanges, evaluateMechanism, resolveDcPath, type LeverId, type Plan } from '../src/index.js';
import { LEVERS } from '../src/judge/mends/levers.js';
import { SERVO_LEVERS } from '../src/judge/mends/servoLevers.js';
import { STEP_LEVERS } from '../src/judge/mends/stepLevers.js';
import type { LeverContext, LeverSetting } from '../src/judge/mends/lever.js';
import { plainPlan, mechanismOf, nansIn, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');

function contextOf(plan: Plan, id: string, job = 0, stage?: string): LeverContext {
  const mechanism = mechanismOf(plan, id);
  const path = resolveDcPath(plan, mechanism, mechanism.jobs[job]!.id);
  return { plan, mechanism, path, ...(stage ? { stage } : {}) };
}

const lift = contextOf(heron, 'lift');
const climb = contextOf(heron, 'climb');
const push = contextOf(heron, 'drive', 1);
const arm = contextOf(heron, 'arm');
const thrower = contextOf(heron, 'thrower');
const sled = contextOf(plainPlan('limpet'), 'sled');

const gears = contextOf(heron, 'lift', 0, 's1');
const chain = contextOf(heron, 'lift', 0, 's2');
const belt = contextOf(heron, 'thrower', 0, 's1');
const odd = contextOf(withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages', 1, 'links'], 95), 'lift', 0, 's2');

const set = (lever: LeverId, context: LeverContext, value: number): LeverSetting => LEVERS[lever].set(context, value)!;

/** What a lever reads like at a value, rounded away from where it stands. */
const READINGS: readonly (readonly [lever: LeverId, context: LeverContext, value: number, label: string])[] = [
  ['deeper', lift, 9.3, 'More reduction: 9.38:1'],
  ['shallower', lift, 8.3, 'Less reduction: 8.25:1'],
  ['motors', lift, 1.3, 'One more motor'],
  ['motors', lift, 2.1, 'Three motors in all'],
  ['lighter', lift, 15.9, '20 kg down to 15.5 kg'],
  ['lighter', push, 44.9, '52 kg down to 44.5 kg'],
  ['longer', lift, 1.83, 'Allow 1.85 s'],
  ['less-often', lift, 21.2, 'Once every 21.5 s'],
  ['held-shorter', climb, 7.34, 'Hold it for 7.3 s only'],
  ['less-push', push, 247, 'Push with 245 N'],
  ['counterforce', lift, 41.2, 'A spring that takes 41.5 N'],
  ['smaller-drum', lift, 0.0187, 'Drum ⌀ 37 mm'],
  ['stronger-rope', lift, 5130, 'Rope of 5150 N'],
  ['better-tread', push, 1.02, 'Tread with a grip of 1.05'],
  ['holder', climb, 2, 'A ratchet on the drum'],
  ['stator-limit', lift, 71, 'A controller of 71 A motor-side'],
  ['stator-limit-down', lift, 44, 'Motor-side limit 44 A'],
  ['supply-limit', lift, 47.3, 'A controller of 47.5 A pack-side, breaker 50 A'],
  ['supply-limit-down', lift, 22.3, 'Pack-side limit 22 A'],
  ['brake-limit', lift, 71, 'A controller of 71 A braking'],
  ['brake-limit-down', lift, 44, 'Braking limit 44 A'],
  ['return-limit', lift, 6.1, 'Return limit 6.1 A'],
  ['return-limit-down', lift, 4.4, 'Return limit 4.4 A'],
  ['spring', arm, 6.2, 'A spring of 6.2 N·m/rad'],
  ['more-inertia', thrower, 0.0051, 'Wheels of 51 kg·cm²'],
  ['thicker-screw', sled, 0.0071, 'Screw ⌀ 7.1 mm'],
  ['breaker', lift, 43, 'Breaker 50 A on 10 AWG'],
  ['thicker-wire', lift, 9.2, '8 AWG wire'],
  ['parallel', lift, 1.4, 'Two packs in parallel'],
  ['more-teeth', gears, 18.2, '19 → 64 teeth'],
  ['more-teeth', chain, 20.1, '21 → 56 teeth'],
  ['wider', gears, 0.0137, 'Face 14 mm wide'],
  ['wider', belt, 0.0201, 'Belt 21 mm wide'],
  ['larger-pitch', chain, 0.0064, 'Chain No. 35'],
  ['larger-pitch', belt, 0.0051, 'A belt of 8 mm pitch'],
  ['tensioner', chain, 14.2, 'A tensioner that pulls 14.5 N'],
  ['tensioner', belt, 301, 'Each strand at rest 305 N'],
  ['even-links', odd, 96, 'An even chain of 96 links'],
  ['harder', chain, 150e6, 'Sprockets of 7075 aluminium'],
  ['thicker-shaft', chain, 0.0131, 'Hexagon shaft 14 mm'],
];

describe('levers', () => {
  it.each(READINGS)('%s', (lever, context, value, label) => {
    const setting = set(lever, context, value);
    expect(said(setting.label)).toBe(label);
    const changed = applyChanges(context.plan, setting.changes);
    expect(changed).not.toEqual(context.plan);
    expect(nansIn(evaluateMechanism(changed, mechanismOf(changed, context.mechanism.id)))).toEqual([]);
  });

  it('are all tried here, but for the main wire, which the demo has as thick as it gets', () => {
    const tried = new Set(READINGS.map(([lever]) => lever));
    // Those of pulses, servos and rails are tried beside their own checks, in machines.test.ts.
    const others = [...Object.keys(STEP_LEVERS), ...Object.keys(SERVO_LEVERS)];
    expect(Object.keys(LEVERS).filter((id) => !tried.has(id as LeverId) && !others.includes(id))).toEqual([
      'thicker-main',
    ]);
    expect(LEVERS['thicker-main'].span(lift)).toBeUndefined();
    const thin = contextOf(withChange(heron, ['supply', 1, 'wire', 'gauge'], typed(10)), 'lift');
    expect(LEVERS['thicker-main'].span(thin)).toEqual({ from: 10, to: 6 });
    expect(said(set('thicker-main', thin, 7).label)).toBe('6 AWG main wire');
  });

  it('stand where the plan stands', () => {
    expect(LEVERS.deeper.span(lift)!.from).toBeCloseTo(9, 12);
    expect(LEVERS.motors.span(lift)).toEqual({ from: 1, to: 6 });
    expect(LEVERS.longer.span(lift)).toEqual({ from: 1.6, to: 6.4 });
    expect(LEVERS['supply-limit'].span(lift)).toEqual({ from: 40, to: 160 });
  });

  it('are not there where a mechanism has no such thing', () => {
    expect(LEVERS['less-push'].span(lift)).toBeUndefined();
    expect(LEVERS['better-tread'].span(lift)).toBeUndefined();
    expect(LEVERS.counterforce.span(push)).toBeUndefined();
    expect(LEVERS.holder.span(push)).toBeUndefined();
    expect(LEVERS.holder.span(lift), 'the lift has its ratchet').toBeUndefined();
    const many = contextOf(withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'motors'], 6), 'lift');
    expect(LEVERS.motors.span(many)).toBeUndefined();
  });

  it('move the tuning stage only, by whole teeth', () => {
    const { changes } = set('deeper', lift, 10);
    expect(changes).toMatchObject([
      { at: ['mechanisms', 1, 'choices', 0, 'stages', 1], to: { driver: 18, driven: 54 } },
    ]);
  });

  it('of a stage are there only where that stage has such a thing', () => {
    expect(LEVERS['even-links'].span(chain), 'an even chain').toBeUndefined();
    expect(LEVERS['larger-pitch'].span(gears), 'gears').toBeUndefined();
    expect(LEVERS.wider.span(chain), 'a chain').toBeUndefined();
    expect(LEVERS.harder.span(gears), 'the hardest already').toBeUndefined();
    expect(LEVERS['more-teeth'].span(lift), 'no stage named').toBeUndefined();
    expect(LEVERS['thicker-shaft'].span(belt), 'a shaft nobody gave').toBeUndefined();
  });

  it('of more teeth set the chain free and keep its distance', () => {
    const changed = applyChanges(heron, set('more-teeth', chain, 21).changes);
    const stage = mechanismOf(changed, 'lift').choices[0]!.stages[1]!;
    expect(stage).not.toHaveProperty('links');
    expect(contextOf(changed, 'lift').path.stageParts[1]!.centre).toBeCloseTo(chain.path.stageParts[1]!.centre, 2);
  });

  it('give a second pack its share of everything', () => {
    const changed = applyChanges(heron, set('parallel', lift, 2).changes);
    expect(changed.parts['pack-1']!.part).toMatchObject({
      parallel: 2,
      capacity: { si: 2 * 18 * 3600, as: '36 Ah' },
      dischargeLimit: { si: 360, as: '360 A' },
    });
    const before = lift.path.pack;
    const after = contextOf(changed, 'lift').path.pack;
    expect(after.resistance - 0.002).toBeCloseTo((before.resistance - 0.002) / 2, 12);
  });

  it('leave the controller of other mechanisms alone, and say that the new figure is an estimate', () => {
    const changed = applyChanges(heron, set('stator-limit', lift, 80).changes);
    const partOf = (id: string) => changed.parts[dcDriveOf(mechanismOf(changed, id).choices[0]!).controller]!.part;
    expect(partOf('lift')).toMatchObject({
      name: 'brushed controller 40 A, 80 A motor-side',
      statorLimit: { si: 80, source: 'estimated' },
    });
    expect(partOf('climb')).toEqual(heron.parts['controller-1']!.part);
  });
});
