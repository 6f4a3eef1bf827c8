import {
  drivesOf,
  leftAfter,
  meetsMust,
  motorRowOf,
  MUST_RULES,
  type MotorPart,
  type Must,
  type Part,
  type Shelved,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { demoPlan, mechanismOf } from './demo.js';

const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: readonly Shelved[] };
const parts = shelf.map(({ part }) => part);
const motors = parts.filter((part): part is MotorPart => part.kind === 'motor');
const named = (name: string): MotorPart => motors.find((motor) => motor.name === name)!;
const RPM = Math.PI / 30;

describe('What a part must be', () => {
  it('is a range of a figure whatever way its sheet gives it', () => {
    const between: Must = { id: 'kv', least: 300 * RPM, most: 1000 * RPM };
    const kept = motors.filter((motor) => meetsMust(motor, between)).map(({ name }) => name);
    expect(kept).toContain('outrunner, 50 mm, 380 Kv');
    expect(kept).toContain('brushed 12 V, 64 mm can');
    expect(kept).not.toContain('inrunner, 36 mm, 1,800 Kv');
    expect(kept).not.toContain('outrunner, 63 mm, 190 Kv');
  });

  it('is not met by what does not say', () => {
    const { sealing: _said, ...silent } = named('outrunner, 50 mm, 380 Kv');
    const must: Must = { id: 'sealing', is: 'dust and splashes' };
    expect(meetsMust({ ...silent, sealing: 'under water' }, must)).toBe(true);
    expect(meetsMust({ ...silent, sealing: 'open' }, must)).toBe(false);
    expect(meetsMust(silent, must)).toBe(false);
  });

  it('asks nothing of parts of another kind', () => {
    for (const part of parts.filter(({ kind }) => kind !== 'motor'))
      expect(meetsMust(part, { id: 'kv', least: 1e9 })).toBe(true);
  });

  it('takes any metal for metal, and of servos what they stand by their highest point', () => {
    const servos = parts.filter((part) => part.kind === 'servo');
    const metal = servos.filter((part) => meetsMust(part, { id: 'gears', is: 'any metal' }));
    expect(metal.length).toBeGreaterThan(0);
    expect(metal.every((part) => part.kind === 'servo' && part.gears !== 'plastic')).toBe(true);
    const strong = servos.filter((part) => meetsMust(part, { id: 'volts', least: 7.4 }));
    expect(strong.length).toBeGreaterThan(0);
    expect(strong.length).toBeLessThan(servos.length);
  });

  it('of words says only what parts can have', () => {
    for (const rule of MUST_RULES.filter(({ options }) => options))
      for (const words of Object.values(rule.options!)) expect(words.length).toBeGreaterThan(0);
    expect(new Set(MUST_RULES.map(({ kind, id }) => `${kind} ${id}`)).size).toBe(MUST_RULES.length);
  });

  it('narrows step by step, never back', () => {
    const musts: Must[] = [
      { id: 'type', is: 'brushless' },
      { id: 'poles', least: 7, most: 7 },
      { id: 'kv', most: 400 * RPM },
    ];
    const left = leftAfter(motors, musts);
    expect(left).toEqual([...left].sort((a, b) => b - a));
    expect(left.at(-1)).toBe(motors.filter((motor) => musts.every((must) => meetsMust(motor, must))).length);
    expect(left.at(-1)).toBeGreaterThan(0);
  });

  it('holds in a search: every drive is of a motor that meets it, and none that meets it is left out', () => {
    const plan = demoPlan('heron');
    const mechanism = mechanismOf(plan, 'drive');
    const query = {
      mechanismId: 'drive',
      jobId: 'sprint',
      scope: 'everything',
      ownedOnly: false,
      mostMotors: 2,
      packs: 'mine',
      from: 1,
      to: 100,
      wants: ['time'],
    } as const;
    const namesOf = (musts: readonly Must[]) =>
      new Set(drivesOf(plan, mechanism, { ...query, musts }, shelf).map(({ motor }) => motor));
    const must: Must = { id: 'type', is: 'brushless' };
    const fits = (part: Part) => part.kind === 'motor' && part.type === 'brushless';
    expect(namesOf([must])).toEqual(new Set(motors.filter(fits).map(({ name }) => name)));
    expect(namesOf([])).toEqual(new Set(motors.map(({ name }) => name)));
  });
});

describe('Every motor by the same figures', () => {
  it('by hand, from a sheet', () => {
    // 5800 rpm, 2.2 A free, 2.1 N·m and 118 A at stall on 12 V.
    const row = motorRowOf(named('brushed 12 V, 64 mm can'), 12);
    const r = 12 / 118;
    const ke = (12 - 2.2 * r) / (5800 * RPM);
    const kt = 2.1 / (118 - 2.2);
    expect(row.resistance).toBeCloseTo(r, 9);
    expect(row.kv! / RPM).toBeCloseTo(1 / ke / RPM, 6);
    expect(row.kt).toBeCloseTo(kt, 9);
    expect(row.freeSpeed! / RPM).toBeCloseTo(5800, 6);
    expect(row.stallTorque).toBeCloseTo(2.1, 9);
    expect(row.motorConstant).toBeCloseTo(kt / Math.sqrt(r), 9);
    expect(row.perMass).toBeCloseTo(kt / Math.sqrt(r) / 1.15, 9);
    expect(row.perVolume).toBeCloseTo(kt / Math.sqrt(r) / ((Math.PI / 4) * 0.064 ** 2 * 0.069), 6);
    expect(row.pricePerWatt).toBeCloseTo(38 / row.power!, 9);
  });

  it('on other volts: stall and speed go with them, what the can is worth does not', () => {
    const motor = named('outrunner, 35 mm, 900 Kv');
    const [low, high] = [motorRowOf(motor, 12), motorRowOf(motor, 24)];
    expect(high.stallCurrent! / low.stallCurrent!).toBeCloseTo(2, 9);
    expect(high.motorConstant).toBe(low.motorConstant);
    expect(high.freeSpeed! / low.freeSpeed!).toBeGreaterThan(2);
  });

  it('leaves open what is not known', () => {
    const { mass: _mass, length: _length, ...light } = named('outrunner, 35 mm, 900 Kv');
    expect(motorRowOf(light, 12)).toMatchObject({ perMass: undefined, perVolume: undefined });
    expect(motorRowOf({ ...light, data: { form: 'kv' } }, 12)).toEqual({});
  });
});
