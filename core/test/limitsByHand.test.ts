import { describe, expect, it } from 'vitest';
import {
  currentToLimit,
  evaluateMechanism,
  GRAVITY,
  resolveDcPath,
  tripCurrent,
  type JobResult,
  type Plan,
  type DcPath,
  type SituationId,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange } from './demo.js';

/** The mast lift with nothing to hold it, so that every rung speaks in every situation. */
const plan = withChange(plainPlan('heron'), ['mechanisms', 1, 'choices', 0, 'output', 'holder'], 'nothing');

const judged = (of: Plan, mechanism = 'lift'): JobResult => evaluateMechanism(of, mechanismOf(of, mechanism)).jobs[0]!;
const pathOf = (of: Plan, mechanism = 'lift'): DcPath => {
  const found = mechanismOf(of, mechanism);
  return resolveDcPath(of, found, found.jobs[0]!.id);
};
const capacity = (of: Plan, situation: SituationId, id: string): number =>
  judged(of).ladders[situation].rungs.find((rung) => rung.id === id)!.capacity!;

// The lift's own numbers, worked apart from the core.
const kt = 2.1 / 115.8;
const lever = 9 / 0.022;
const eta = 0.96 * 0.95 * 0.95;
const back = (2 - 1 / 0.96) * (2 - 1 / 0.95) ** 2;
const copper = (gauge: number, length: number) =>
  (1.724e-8 * 2 * length) / ((Math.PI / 4) * (0.000127 * 92 ** ((36 - gauge) / 39)) ** 2);
const rp = 6 * (0.033 / 18) + 0.002;
const rs = rp + copper(6, 0.4) + copper(12, 0.6);
const loop = 12 / 118 + 0.004;
const ke = (12 - 2.2 * (12 / 118)) / ((5800 * Math.PI) / 30);
const omega = (1.35 / 1.6) * lever;
const rest = 12.24;
const a = (2 * 1.35) / 1.6 ** 2;
const rotor = 0.5 * 0.4 * 1.15 * (0.3 * 0.064) ** 2;

const startingForce = (current: number) => kt * Math.max(0, current - 2.2) * lever * eta - rotor * lever ** 2 * eta * a;
const workingForce = (current: number) => kt * (current - 2.2) * lever * eta;
const holdingForce = (current: number) => (kt * current * lever) / back;
const fromSupply = (ib: number, speed: number) => {
  const emf = ke * speed;
  return (Math.sqrt(emf ** 2 + 4 * loop * (rest - rs * ib) * ib) - emf) / (2 * loop);
};

describe('each limit of the mast lift, worked by hand', () => {
  it('motor at full volts', () => {
    expect(capacity(plan, 'starting', 'volts')).toBeCloseTo(startingForce(rest / (loop + rs)), 6);
    expect(capacity(plan, 'working', 'volts')).toBeCloseTo(workingForce((rest - ke * omega) / (loop + rs)), 6);
    expect(capacity(plan, 'holding', 'volts')).toBeCloseTo(holdingForce(rest / (loop + rs)), 6);
  });

  it('motor-side limit of 60 A', () => {
    expect(capacity(plan, 'starting', 'stator')).toBeCloseTo(startingForce(60), 6);
    expect(capacity(plan, 'working', 'stator')).toBeCloseTo(workingForce(60), 6);
    expect(capacity(plan, 'holding', 'stator')).toBeCloseTo(holdingForce(60), 6);
  });

  it('pack-side limit of 40 A', () => {
    expect(capacity(plan, 'starting', 'supply')).toBeCloseTo(startingForce(fromSupply(40, 0)), 6);
    expect(capacity(plan, 'working', 'supply')).toBeCloseTo(workingForce(fromSupply(40, omega)), 6);
  });

  it('brown-out where cells, boards or controller give up first, each through the wires up to it', () => {
    // The cells' floor through the pack alone: (12.24 − 10.5)/0.013 A; the controller's 8 V through all of it.
    const cells = (rest - 6 * 1.75) / rp;
    const lowest = plan.parts['controller-1']!.part;
    const controller = (rest - (lowest.kind === 'controller' ? lowest.lowestVoltage!.si : NaN)) / rs;
    const boards = (rest - 6.8) / (rp + copper(6, 0.4));
    expect(Math.min(cells, boards, controller)).toBe(cells);
    expect(capacity(plan, 'working', 'brown-out')).toBeCloseTo(workingForce(fromSupply(cells, omega)), 6);
    const said = (of: Plan) => judged(of).ladders.working.rungs.find(({ id }) => id === 'brown-out')!.subject;
    expect(said(plan)).toBe('The cells’ floor');
    const boarded = withChange(plan, ['supply', 0, 'brownOut'], typed(11));
    expect(capacity(boarded, 'working', 'brown-out')).toBeCloseTo(
      workingForce(fromSupply((rest - 11) / (rp + copper(6, 0.4)), omega)),
      6,
    );
    expect(said(boarded)).toContain('boards');
    const high = withChange(plan, ['parts', 'controller-1', 'part', 'lowestVoltage'], typed(11.4));
    expect(capacity(high, 'working', 'brown-out')).toBeCloseTo(workingForce(fromSupply((rest - 11.4) / rs, omega)), 6);
  });

  it('pack discharge, less what the rest of the robot draws', () => {
    const busy = withChange(
      withChange(plan, ['parts', 'pack-1', 'part', 'dischargeLimit'], typed(70)),
      ['supply', 0, 'others'],
      typed(30),
    );
    const sagged = rest - (rp + copper(6, 0.4)) * 30;
    const emf = ke * omega;
    const current = (Math.sqrt(emf ** 2 + 4 * loop * (sagged - rs * 40) * 40) - emf) / (2 * loop);
    expect(capacity(busy, 'working', 'discharge')).toBeCloseTo(workingForce(current), 6);
  });

  it('branch breaker, warm from the goes before', () => {
    const working = (208.133 / (lever * eta) / kt + 2.2) * 1;
    const power = working * (ke * omega + working * loop);
    const supply = (2 * power) / (rest + Math.sqrt(rest ** 2 - 4 * rs * power));
    const before = (1.6 / 15) * (supply / 52) ** 2;
    const left = Math.exp(-1.6 / 12);
    const trip = 52 * Math.sqrt((1 - before * left) / (1 - left));
    const path = pathOf(plan);
    expect(tripCurrent(path.branch.breaker!, 1.6, before)).toBeCloseTo(trip, 9);
    expect(capacity(plan, 'working', 'branch-breaker')).toBeCloseTo(workingForce(fromSupply(trip, omega)), 3);
  });

  it('steady heat over its share of the time, and for ever while holding', () => {
    const { continuousCurrent } = pathOf(plan).motor;
    expect(capacity(plan, 'working', 'continuous')).toBeCloseTo(
      workingForce(continuousCurrent / Math.sqrt(1.6 / 15)),
      6,
    );
    expect(capacity(plan, 'holding', 'continuous')).toBeCloseTo(holdingForce(continuousCurrent), 6);
    expect(judged(plan).ladders.starting.rungs.some(({ id }) => id === 'continuous')).toBe(false);
  });

  it('steady heat of a brushless motor held still is 0.71 of it', () => {
    const brushless = withChange(plan, ['parts', 'motor-1', 'part', 'type'], 'brushless');
    const { continuousCurrent } = pathOf(brushless).motor;
    expect(capacity(brushless, 'holding', 'continuous')).toBeCloseTo(holdingForce(0.71 * continuousCurrent), 6);
  });

  it('heat while held for as long as it is held', () => {
    const path = pathOf(plan);
    const current = currentToLimit(12 / 118, path.motor.thermal, 10);
    expect(capacity(plan, 'holding', 'heat')).toBeCloseTo(holdingForce(current), 6);
    const longer = withChange(plan, ['mechanisms', 1, 'jobs', 0, 'held'], typed(60));
    expect(capacity(longer, 'holding', 'heat')).toBeLessThan(capacity(plan, 'holding', 'heat'));
  });

  it('rope at a fifth of its strength', () => {
    expect(capacity(plan, 'holding', 'rope')).toBeCloseTo(4200 / 5, 9);
  });

  it('wheels slip at what the tyres carry, uphill less', () => {
    const heron = plainPlan('heron');
    const slip = (of: Plan) =>
      evaluateMechanism(of, mechanismOf(of, 'drive')).jobs[1]!.ladders.starting.rungs.find(({ id }) => id === 'slip')!;
    expect(slip(heron).capacity).toBeCloseTo(0.9 * 52 * GRAVITY, 6);
    expect(slip(heron).wants).toBe(1);
    const uphill = withChange(heron, ['mechanisms', 0, 'jobs', 1, 'slope'], typed(0.2));
    expect(slip(uphill).capacity).toBeCloseTo(0.9 * 52 * GRAVITY * Math.cos(0.2), 6);
    expect(slip(uphill).multiple!).toBeLessThan(slip(heron).multiple!);
  });
});

describe('what a change does to the rungs', () => {
  const multiple = (of: Plan, id: string, situation: SituationId = 'working') =>
    judged(of).ladders[situation].rungs.find((rung) => rung.id === id)!.multiple!;
  const drive = ['mechanisms', 1, 'choices', 0, 'drive'];

  it.each([
    ['a second motor doubles what heat allows', [...drive, 'motors'], 2, 'continuous', 1.9, 2.1],
    ['a longer time asks for less speed', ['mechanisms', 1, 'jobs', 0, 'time'], typed(2.4), 'volts', 1.3, 1.6],
    [
      'half the load doubles the multiple, but for its friction',
      ['mechanisms', 1, 'jobs', 0, 'mass'],
      typed(10),
      'supply',
      1.8,
      2,
    ],
    ['a higher pack-side limit lifts its rung only', [...drive, 'supplyLimit'], typed(60), 'supply', 1.15, 1.5],
  ])('%s', (_name, at, to, rung, least, most) => {
    const factor = multiple(withChange(plan, at, to), rung) / multiple(plan, rung);
    expect(factor).toBeGreaterThan(least);
    expect(factor).toBeLessThan(most);
  });

  it('gears deeper for more force and less speed', () => {
    const deeper = withChange(plan, ['mechanisms', 1, 'choices', 0, 'stages', 1, 'driven'], 60);
    expect(multiple(deeper, 'stator') / multiple(plan, 'stator')).toBeCloseTo(60 / 48, 9);
    expect(multiple(deeper, 'volts')).toBeLessThan(multiple(plan, 'volts'));
  });

  it('never reports less than nothing', () => {
    const absurd = withChange(plan, ['mechanisms', 1, 'jobs', 0, 'time'], typed(0.05));
    for (const rung of judged(absurd).ladders.working.rungs) expect(rung.multiple).toBeGreaterThanOrEqual(0);
  });
});
