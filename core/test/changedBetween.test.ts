import { describe, expect, it } from 'vitest';
import { changedBetween, type Plan } from '../src/index.js';
import { demoPlan, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
const changed = (at: (string | number)[], to: unknown): readonly string[] =>
  changedBetween(heron, withChange(heron, at, to));

describe('what was done between two states of a plan', () => {
  it('is nothing where nothing was', () => {
    expect(changedBetween(heron, structuredClone(heron))).toEqual([]);
  });

  it('names the mechanism, the job and the figure, with both values as they were typed', () => {
    const mass = { si: 25, as: '25 kg', source: 'typed' };
    expect(changed(['mechanisms', lift, 'jobs', 0, 'mass'], mass)).toEqual([
      'Mast lift, Raise a crate, mass: 20 kg → 25 kg',
    ]);
    expect(changed(['mechanisms', lift, 'choices', 0, 'stages', 1, 'driven'], 52)).toEqual([
      expect.stringMatching(/^Mast lift, .*chain 2, driven teeth: 48 → 52$/),
    ]);
    expect(changed(['mechanisms', lift, 'choices', 0, 'drive', 'motors'], 2)).toEqual([
      expect.stringMatching(/^Mast lift, .*motors: 1 → 2$/),
    ]);
  });

  it('tells what came and what went: mechanisms, jobs, parts, and figures that were typed or forgotten', () => {
    const [, ...without] = heron.mechanisms;
    expect(changed(['mechanisms'], without)).toEqual(['Drive base removed']);
    expect(changedBetween({ ...heron, mechanisms: without }, heron)).toEqual(['Drive base added']);
    expect(changed(['mechanisms', lift, 'name'], 'Crate lift')).toEqual(['Crate lift, name: Mast lift → Crate lift']);
    expect(changed(['mechanisms', lift, 'jobs', 0, 'mass'], undefined)).toEqual([
      'Mast lift, Raise a crate, mass: 20 kg taken away',
    ]);
    expect(changed(['mechanisms', lift, 'jobs', 0, 'creep'], typed(0.02))[0]).toMatch(/creep: set to /);
    const { 'pack-1': pack, ...others } = heron.parts;
    expect(changed(['parts'], others)).toEqual([`${pack!.part.name} no longer used`]);
  });

  it('tells which choice is in force, and another order', () => {
    const turntable = heron.mechanisms.findIndex(({ id }) => id === 'turntable');
    const other = heron.mechanisms[turntable]!.choices.find(({ id }) => id !== heron.mechanisms[turntable]!.current)!;
    expect(changed(['mechanisms', turntable, 'current'], other.id)).toEqual([
      expect.stringMatching(new RegExp(`^Turntable, in force: .* → ${other.name}$`)),
    ]);
    const turned: Plan = { ...heron, mechanisms: [...heron.mechanisms].reverse() };
    expect(changedBetween(heron, turned)).toEqual(['mechanisms: put in another order']);
  });
});
