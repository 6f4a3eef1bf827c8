import { describe, expect, it } from 'vitest';
import { applyChanges, currentChoice, resolvePath, wiresOfMechanism, type Plan, type Wire } from '../src/index.js';
import { demoPlan, mechanismOf, said, withChange } from './demo.js';

/** Which terminal goes to which: counted, and every end that must be reached is reached. */

const [heron, limpet] = [demoPlan('heron'), demoPlan('limpet')];
const wires = (plan: Plan, id: string): readonly Wire[] => {
  const mechanism = mechanismOf(plan, id);
  return wiresOfMechanism(plan, resolvePath(plan, mechanism, mechanism.jobs[0]!.id));
};
const reaches = (all: readonly Wire[], text: string) =>
  all.some(({ from, to }) => from.includes(text) || to.includes(text));
const at = (plan: Plan, id: string) => {
  const mechanism = mechanismOf(plan, id);
  return [
    'mechanisms',
    plan.mechanisms.indexOf(mechanism),
    'choices',
    mechanism.choices.indexOf(currentChoice(mechanism)),
  ];
};

describe('the wires of every mechanism of the demo', () => {
  it.each([heron, limpet].flatMap((plan) => plan.mechanisms.map(({ id }) => [plan.name, id, plan] as const)))(
    '%s, %s: begin at the pack and end at a motor, each once',
    (_name, id, plan) => {
      const all = wires(plan, id);
      expect(all[0]!.from).toBe('pack +');
      expect(all.some(({ role }) => role === 'minus')).toBe(true);
      const keys = all.map(({ from, to }) => `${from} → ${to}`);
      expect(new Set(keys).size).toBe(keys.length);
      expect(reaches(all, currentChoice(mechanismOf(plan, id)).drive.kind === 'servo' ? 'servo' : 'motor')).toBe(true);
      for (const { with: on } of all) if (on !== undefined) expect(said(on)).not.toMatch(/NaN|undefined/);
    },
  );
});

describe('a motor of each kind', () => {
  it('brushed has two leads, brushless three', () => {
    const leads = (id: string) => wires(heron, id).filter(({ role }) => role === 'motor').length;
    expect(leads('lift')).toBe(2);
    expect(leads('hoist')).toBe(3);
  });

  it('several on a branch each have a slot and a channel of their own', () => {
    const all = wires(heron, 'drive');
    const { drive } = currentChoice(mechanismOf(heron, 'drive'));
    const motors = drive.kind === 'dc' ? drive.motors : 0;
    expect(motors).toBeGreaterThan(1);
    expect(all.filter(({ from }) => from.startsWith('control channel'))).toHaveLength(motors);
  });
});

describe('a stepper', () => {
  const sled = at(limpet, 'sled');

  it('has a transistor with its resistors where one stands between pin and input', () => {
    const through = withChange(limpet, [...sled, 'drive', 'signalStage'], 'transistor');
    const gate = wires(through, 'sled').find(({ to }) => to.includes('gate'))!;
    expect(said(gate.with!)).toMatch(/Ω in it.*from the gate to ground/);
    expect(reaches(wires(limpet, 'sled'), 'gate')).toBe(false);
  });

  it('has an enable line only where it is wired', () => {
    expect(reaches(wires(limpet, 'sled'), 'enable')).toBe(false);
    expect(reaches(wires(withChange(limpet, [...sled, 'drive', 'enableWired'], true), 'sled'), 'enable')).toBe(true);
  });

  it('says how half coils are joined', () => {
    const { drive } = currentChoice(mechanismOf(limpet, 'sled'));
    const motor = drive.kind === 'step' ? drive.motor : '';
    const of = (wiring: string, leads: number) =>
      wires(
        applyChanges(limpet, [
          { at: ['parts', motor, 'part', 'leads'], to: leads },
          { at: ['parts', motor, 'part', 'wiring'], to: wiring },
        ]),
        'sled',
      )
        .flatMap(({ with: on }) => (on === undefined ? [] : [said(on)]))
        .join(' ');
    expect(of('parallel', 8)).toContain('starts of both halves joined');
    expect(of('series', 6)).toContain('middle tap left open');
    expect(of('half coil', 8)).toContain('other left open');
  });
});

describe('servos', () => {
  it('each have three wires, and one ground joined to the board’s', () => {
    const all = wires(limpet, 'legs');
    const { drive } = currentChoice(mechanismOf(limpet, 'legs'));
    const count = drive.kind === 'servo' ? drive.servos * (drive.joints ?? 1) : 0;
    expect(all.filter(({ role }) => role === 'signal')).toHaveLength(count);
    expect(all.filter(({ role }) => role === 'ground')).toHaveLength(1);
  });
});
