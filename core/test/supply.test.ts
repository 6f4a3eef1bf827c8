import { describe, expect, it } from 'vitest';
import { CELLS, evaluateMechanism, resolveDcPath, wireLossOf, type Chemistry, type Plan } from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');
const pathOf = (plan: Plan, id = 'lift') =>
  resolveDcPath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id);
const pack = (key: string, to: unknown, plan: Plan = heron): Plan =>
  withChange(plan, ['parts', 'pack-1', 'part', key], to);

describe('plugs', () => {
  const wired = (node: number, key: string, value: number, plan: Plan = heron) =>
    withChange(plan, ['supply', node, 'wire', key], typed(value));

  it('add their resistance to the wire, on the branch once and on the main for all motors', () => {
    const before = pathOf(heron, 'drive').drive.supplyResistance;
    const branch = pathOf(wired(2, 'connectorResistance', 0.001), 'drive').drive.supplyResistance;
    expect(branch - before).toBeCloseTo(2 * 0.001, 9);
    const main = pathOf(wired(1, 'connectorResistance', 0.001), 'drive').drive.supplyResistance;
    expect(main - before).toBeCloseTo(4 * 2 * 0.001, 9);
  });

  it('as many as are counted', () => {
    const six = wired(3, 'connectors', 6, wired(3, 'connectorResistance', 0.001));
    expect(pathOf(six).drive.supplyResistance - pathOf(heron).drive.supplyResistance).toBeCloseTo(0.006, 9);
  });

  it('are judged only where what they carry is given', () => {
    const check = (plan: Plan) =>
      evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.checks.find(({ id }) => id === 'branch-plug');
    expect(check(heron)).toBeUndefined();
    expect(check(wired(3, 'connectorRated', 60))).toMatchObject({ verdict: 'enough' });
  });
});

describe('a branch’s wire', () => {
  it('drops and heats by what runs through it, by hand for the mast lift', () => {
    const path = pathOf(heron);
    const loss = wireLossOf(path)!;
    expect(loss.drop).toBeCloseTo(30.8 * path.branch.wireResistance, 2);
    expect(loss.heat).toBeCloseTo(loss.drop ** 2 / path.branch.wireResistance, 9);
    expect(wireLossOf(pathOf(heron, 'hoist'))).toBeUndefined();
  });
});

describe('a pack', () => {
  it.each(Object.keys(CELLS) as Chemistry[])(
    'of %s may be charged as its cells usually are, where its sheet is silent',
    (chemistry) => {
      const silent = pack('chargeLimit', undefined, pack('chemistry', chemistry));
      const path = pathOf(silent);
      expect(path.pack.chargeLimit).toBeCloseTo(CELLS[chemistry].chargeRate * 18, 9);
      expect(path.figures['pack.chargeLimit']!.source).toBe('typical');
      expect(path.pack.capacityExponent).toBe(chemistry === 'lead' ? 1.2 : 1);
    },
  );

  it('that must not be charged takes nothing back', () => {
    const alkaline = pack('chargeLimit', undefined, pack('chemistry', 'alkaline'));
    const [, lower] = evaluateMechanism(alkaline, mechanismOf(alkaline, 'lift')).jobs;
    const check = lower!.checks.find(({ id }) => id === 'return-charge');
    expect(check).toMatchObject({ verdict: 'gives way', multiple: 0 });
  });

  it('lets the robot’s computers give up where they do, over its cells’ floor', () => {
    const at = (plan: Plan) =>
      evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.ladders.working.rungs.find(
        ({ id }) => id === 'brown-out',
      )!.capacity!;
    const early = withChange(heron, ['supply', 0, 'brownOut'], typed(11.5));
    expect(at(early)).toBeLessThan(at(heron));
    const late = withChange(heron, ['supply', 0, 'brownOut'], typed(5));
    expect(at(late)).toBeCloseTo(at(heron), 9);
  });

  it('of two cells has boards that live on its own floor', () => {
    const limpet = plainPlan('limpet');
    expect(pathOf(limpet, 'winch').pack.brownOut).toBeCloseTo(6, 9);
  });

  it('is used to the share that is kind to it', () => {
    const charge = (plan: Plan) =>
      evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.checks.find(({ id }) => id === 'charge')!.multiple!;
    expect(charge(pack('usable', typed(0.4)))).toBeCloseTo(charge(heron) / 2, 6);
  });
});

describe('parts that fit together', () => {
  const fits = (plan: Plan) =>
    evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.checks.find(({ id }) => id === 'fits-together');
  const lift = (keys: (string | number)[], to: unknown, plan: Plan = heron) =>
    withChange(plan, ['mechanisms', 1, 'choices', 0, ...keys], to);

  it('are not spoken of where too little is given', () => {
    expect(fits(heron)).toBeUndefined();
  });

  it('fit where shaft and bore are the same', () => {
    expect(fits(lift(['stages', 0, 'bore'], typed(0.008)))).toMatchObject({ verdict: 'enough' });
    expect(said(fits(lift(['stages', 0, 'bore'], typed(0.006)))!.sentence)).toContain(
      '8 mm does not fit a bore of 6 mm',
    );
  });

  it('compare the holes in the words of the drawings', () => {
    expect(fits(lift(['stages', 0, 'mount'], '4 × M5 on 50 mm '))).toMatchObject({ verdict: 'enough' });
    expect(said(fits(lift(['stages', 0, 'mount'], '2 × M3 on 25 mm'))!.sentence)).toContain('are not the gearbox’s');
  });

  it('mind a motor timed for one sense of rotation', () => {
    const timed = withChange(heron, ['parts', 'motor-1', 'part', 'rotation'], 'clockwise');
    expect(fits(timed)).toMatchObject({ verdict: 'enough' });
    expect(said(fits(lift(['drive', 'direction'], 'reverse', timed))!.sentence)).toContain('timed for one sense');
    const other = withChange(heron, ['parts', 'motor-1', 'part', 'rotation'], 'anticlockwise');
    expect(fits(other)).toMatchObject({ verdict: 'gives way' });
    expect(fits(lift(['drive', 'direction'], 'reverse', other))).toMatchObject({ verdict: 'enough' });
  });
});

describe('settings of the controller', () => {
  const drive = (key: string, to: unknown, plan: Plan = heron) =>
    withChange(plan, ['mechanisms', 1, 'choices', 0, 'drive', key], to);

  it('are read with what is typical where nothing is set', () => {
    expect(pathOf(heron).control).toMatchObject({ rampTime: 0, dragOffset: 0, idle: 'brake', mode: 'effort' });
    expect(pathOf(heron).control.rollBack).toBeCloseTo(30, 9);
    expect(pathOf(heron).figures['drive.rollBack']!.source).toBe('typical');
  });

  it('a ramp makes the run later, and the check of time says so', () => {
    const time = (plan: Plan) => evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.run!.time;
    expect(time(drive('rampTime', typed(0.4)))).toBeGreaterThan(time(heron) + 0.1);
  });

  it('braking limits are the drive’s, else the part’s', () => {
    expect(pathOf(heron).drive).toMatchObject({ brakeLimit: 60, returnLimit: 2.6 });
    expect(pathOf(drive('returnLimit', undefined)).drive.returnLimit).toBe(30);
    expect(pathOf(drive('brakeLimit', typed(20))).drive.brakeLimit).toBe(20);
  });
});
