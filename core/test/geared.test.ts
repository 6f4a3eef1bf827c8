import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  gearedAlready,
  gearedSign,
  resolvePath,
  takeOutReduction,
  type DcDrive,
  type DcPath,
  type MotorPart,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** A motor whose sheet may speak of its gearbox's output: when one asks, and what the answer takes away. */

const rpm = (value: number) => (value * 2 * Math.PI) / 60;
const PLAIN = {
  name: 'brushed 12 V, 64 mm can',
  freeSpeed: rpm(5800),
  stallTorque: 2.1,
  canDiameter: 0.064,
  torqueToBackEmfRatio: 0.94,
};

describe('a motor that may be geared already', () => {
  it('is asked about by its name, its lost torque, or its strength', () => {
    expect(gearedSign({ ...PLAIN, name: '37 mm GearMotor' })).toBe('its name says gear');
    expect(gearedSign({ ...PLAIN, torqueToBackEmfRatio: 0.7 })).toContain('gears take a share');
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(200), stallTorque: 3, canDiameter: 0.037 })).toContain(
      'strong for its can',
    );
  });

  it('is no plain motor, no slow hub motor, and none of which too little is known', () => {
    expect(gearedSign(PLAIN)).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(300), stallTorque: 12, canDiameter: 0.11 })).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(200), stallTorque: 3, canDiameter: undefined })).toBeUndefined();
    expect(gearedSign({ ...PLAIN, freeSpeed: NaN })).toBeUndefined();
    // A strong outrunner turns fast.
    expect(gearedSign({ ...PLAIN, freeSpeed: rpm(4500), stallTorque: 10, canDiameter: 0.05 })).toBeUndefined();
  });
});

describe('in its place', () => {
  const heron = demoPlan('heron');
  const key = (currentChoice(mechanismOf(heron, 'lift')).drive as DcDrive).motor;
  const signOf = (plan: Plan) =>
    gearedAlready(
      resolvePath(plan, mechanismOf(plan, 'lift'), mechanismOf(plan, 'lift').jobs[0]!.id) as DcPath,
      plan.parts[key]!.part as MotorPart,
    );
  const named = withChange(heron, ['parts', key, 'part', 'name'], 'gearmotor 64 mm');

  it('is judged by the sheet it has, and not asked again once that was said', () => {
    expect(signOf(heron)).toBeUndefined();
    expect(signOf(named)).toBe('its name says gear');
    expect(signOf(withChange(heron, ['parts', key, 'part', 'data', 'stallTorque'], typed(1.6)))).toContain('share');
    for (const said of ['shaft', 'output'])
      expect(signOf(withChange(named, ['parts', key, 'part', 'figuresAt'], said))).toBeUndefined();
  });

  it('takes out all that reduces, but no screw', () => {
    const stagesAfter = (plan: Plan, id: string) =>
      currentChoice(mechanismOf(applyChanges(plan, takeOutReduction(plan, id)), id));
    expect(stagesAfter(heron, 'lift')).toMatchObject({ stages: [] });
    expect(stagesAfter(heron, 'lift').tuning).toBeUndefined();
    expect(stagesAfter(demoPlan('limpet'), 'sled').stages.map(({ kind }) => kind)).toEqual(['screw']);
  });
});
