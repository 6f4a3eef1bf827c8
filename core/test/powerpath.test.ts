import { describe, expect, it } from 'vitest';
import {
  alongTrain,
  evaluateJob,
  evaluateMechanism,
  operatingAt,
  reachOf,
  resolveDcPath,
  wireResistance,
  withTotal,
  type Plan,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');
const pathOf = (plan: Plan, mechanism: string, job?: string) => {
  const found = mechanismOf(plan, mechanism);
  return resolveDcPath(plan, found, job ?? found.jobs[0]!.id);
};

describe('resolving a path', () => {
  const path = pathOf(heron, 'lift');

  it('reads each figure with its source and its place', () => {
    expect(path.figures['job.mass']).toMatchObject({
      value: 20,
      source: 'typed',
      as: '20 kg',
      at: ['mechanisms', 1, 'jobs', 0, 'mass'],
    });
    expect(path.figures['motor.stallTorque']).toMatchObject({
      source: 'sheet',
      at: ['parts', 'motor-1', 'part', 'data', 'stallTorque'],
    });
    expect(path.figures['job.shock']).toMatchObject({ value: 1, source: 'typical', from: 'a smooth start' });
    expect(path.figures['pack.cellResistance']).toMatchObject({
      source: 'estimated',
      from: expect.stringContaining('sealed lead') as string,
    });
    expect(path.lacks).toEqual({});
  });

  it('adds the motor’s own branch to n times what all share', () => {
    const drive = pathOf(heron, 'drive');
    const shared = drive.pack.resistance + wireResistance(6, 0.4);
    expect(drive.drive.supplyResistance).toBeCloseTo(4 * shared + wireResistance(12, 0.5), 12);
    const index = heron.supply.findIndex(({ id }) => id === 'branch-drive');
    const together = pathOf(withChange(heron, ['supply', index, 'together'], true), 'drive');
    expect(together.drive.supplyResistance).toBeCloseTo(4 * (shared + wireResistance(12, 0.5)), 12);
  });

  it('goes straight on the pack where there is no main', () => {
    const sled = pathOf(plainPlan('limpet'), 'sled');
    expect(sled.main).toBeUndefined();
    expect(sled.drive.supplyResistance).toBeCloseTo(sled.pack.resistance + wireResistance(20, 0.3), 12);
  });

  it('lowers the rest voltage by what the others draw', () => {
    const busy = pathOf(withChange(heron, ['supply', 0, 'others'], typed(50)), 'lift');
    expect(busy.drive.restVoltage).toBeCloseTo(12.24 - 50 * (busy.pack.resistance + wireResistance(6, 0.4)), 12);
  });

  it('takes a limit set for the mechanism before the controller’s own', () => {
    expect(path.drive.supplyLimit).toBe(40);
    const set = pathOf(withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'supplyLimit'], typed(25)), 'lift');
    expect(set.drive.supplyLimit).toBe(25);
    expect(pathOf(heron, 'climb').drive.supplyLimit).toBe(40);
  });

  it('works a worm by its lead angle, which may stay by itself', () => {
    const limpet = plainPlan('limpet');
    const stage = ['mechanisms', 1, 'choices', 0, 'stages', 0];
    const steep = withChange(
      withChange(limpet, [...stage, 'leadAngle'], typed(0.05)),
      ['mechanisms', 1, 'choices', 0, 'output', 'holder'],
      'stage',
    );
    const winch = evaluateMechanism(steep, mechanismOf(steep, 'winch')).jobs[0]!;
    expect(pathOf(steep, 'winch').train.backEfficiency).toBe(0);
    expect(winch.ladders.holding.idle).toBe('stays by itself');
    expect(winch.checks.find(({ id }) => id === 'stays-up')!.verdict).toBe('enough');
    const loose = withChange(steep, [...stage, 'leadAngle'], typed(0.5));
    expect(
      evaluateMechanism(loose, mechanismOf(loose, 'winch')).jobs[0]!.checks.find(({ id }) => id === 'stays-up')!
        .verdict,
    ).toBe('gives way');
  });

  it('names what the document refers to and does not hold', () => {
    const broken = withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'motor'], 'motor-9');
    expect(() => pathOf(broken, 'lift')).toThrow(/names motor-9 as a motor/);
    expect(() => resolveDcPath(heron, mechanismOf(heron, 'lift'), 'other')).toThrow(/has no job other/);
    const lost = withChange(heron, ['mechanisms', 1, 'current'], 'z');
    expect(() => evaluateMechanism(lost, mechanismOf(lost, 'lift'))).toThrow(/current choice z/);
  });

  it('takes another total without touching its losses', () => {
    const other = withTotal(path, 12);
    expect([other.train.total, other.train.efficiency]).toEqual([12, path.train.efficiency]);
    expect(path.train.total).toBeCloseTo(9, 12);
  });
});

describe('what flows', () => {
  const path = pathOf(heron, 'lift');
  const force = 208.133;
  const flow = operatingAt(path, force, 0.84375);

  it('balances from the rope back to the pack', () => {
    expect(flow.motorTorque * 9 * path.train.efficiency).toBeCloseTo(force * 0.022, 9);
    expect(flow.motorCurrent).toBeCloseTo(flow.motorTorque / path.drive.motor.torqueConstant + 2.2, 9);
    const volts = path.drive.restVoltage - path.drive.supplyResistance * flow.supplyCurrent!;
    const power =
      flow.motorCurrent *
      (path.drive.motor.backEmfConstant * flow.motorSpeed + flow.motorCurrent * (path.drive.motor.resistance + 0.004));
    expect(volts * flow.supplyCurrent!).toBeCloseTo(power, 9);
  });

  it('writes the same on the shafts as the train does', () => {
    const shafts = alongTrain(
      { ...path.train, stages: path.train.stages.slice(0, 2) },
      flow.motorTorque,
      flow.motorSpeed,
    );
    flow.shafts.forEach((shaft, i) => {
      expect(shaft.torque).toBeCloseTo(shafts[i]!.torque, 9);
      expect(shaft.speed).toBeCloseTo(shafts[i]!.speed, 9);
    });
  });

  const drivePointAtRest = () => {
    const { motor, controllerResistance, supplyResistance, restVoltage } = path.drive;
    return restVoltage / (motor.resistance + controllerResistance + supplyResistance);
  };

  it('is at a speed that is reached, and no more than the volts give, where the one asked is out of reach', () => {
    const fast = operatingAt(path, 50, 9);
    expect(fast.reached).toBeGreaterThan(0);
    expect(fast.reached).toBeLessThan(9);
    const there = operatingAt(path, 50, fast.reached! * (1 - 1e-9));
    expect(there.reached).toBeUndefined();
    expect(there.motorCurrent).toBeCloseTo(fast.motorCurrent, 4);
    // The pack gives what passes through the motor, and never more than that.
    expect(fast.supplyCurrent! / fast.motorCurrent).toBeCloseTo(1, 9);
    const stuck = operatingAt(path, 9000, 2);
    expect(stuck.reached).toBe(0);
    expect(stuck.motorCurrent).toBeCloseTo(drivePointAtRest(), 9);
  });
});

describe('reach', () => {
  const path = pathOf(heron, 'lift');
  const reach = reachOf(path)!;

  it('falls from stall to nothing, with each limit in its turn', () => {
    const order = reach.points.map(({ heldBy }) => heldBy).filter((held, i, all) => held !== all[i - 1]);
    expect(order).toEqual(['stator', 'supply', 'voltage']);
    expect(reach.points.at(-1)!.force).toBeCloseTo(0, 6);
    reach.points.slice(1).forEach((point, i) => expect(point.force).toBeLessThanOrEqual(reach.points[i]!.force + 1e-6));
  });

  it('meets the corner from both sides', () => {
    reach.points.slice(1).forEach((point, i) => {
      const before = reach.points[i]!;
      if (point.heldBy !== before.heldBy) expect([point.speed, point.force]).toEqual([before.speed, before.force]);
    });
  });

  it('settles where it meets the load, which is what a long run ends at', () => {
    const far = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'distance'], typed(12));
    expect(evaluateJob(far, mechanismOf(far, 'lift'), 'raise').run!.endSpeed).toBeCloseTo(reach.settles!, 4);
  });

  it('settles nowhere under a load it cannot move, and is not known without a figure', () => {
    const heavy = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'mass'], typed(90));
    expect(reachOf(pathOf(heavy, 'lift'))!.settles).toBeUndefined();
    expect(reachOf(pathOf(heron, 'hoist'))).toBeUndefined();
  });

  it('knows what the tyres carry', () => {
    expect(reachOf(pathOf(heron, 'drive', 'push'))!.traction).toBeCloseTo(0.9 * 52 * 9.80665, 6);
  });
});

describe('the links of the strip', () => {
  const job = evaluateMechanism(heron, mechanismOf(heron, 'lift')).jobs[0]!;

  it('run from pack to load', () => {
    expect(job.links.map(({ kind }) => kind)).toEqual([
      'pack',
      'branch',
      'controller',
      'motor',
      'stage',
      'stage',
      'output',
      'load',
    ]);
    expect(job.links.map(({ detail }) => said(detail))).toEqual([
      '12 V sealed lead',
      '40 A · 12 AWG',
      'pack-side 40 A',
      'brushed',
      '16 → 54',
      '18 → 48',
      '⌀ 44 mm',
      '20 kg up 1.35 m',
    ]);
  });

  it('carry the worst verdict of what speaks of them, and the share of the force used', () => {
    const controller = job.links.find(({ id }) => id === 'controller')!;
    expect(controller.verdict).toBe('tight');
    expect(controller.used).toBeCloseTo(1 / job.ladders.working.first!.multiple!, 9);
    // A wire that just suits its breaker is not used up.
    expect(job.links.find(({ id }) => id === 'branch')!.used).toBeLessThan(0.5);
    // Each stage by its own limits and checks; that the small gear is undercut a little is a note, and no verdict.
    expect(job.links.find(({ id }) => id === 's1')!.verdict).toBe('enough');
    const chain = job.links.find(({ id }) => id === 's2')!;
    expect(chain.verdict).toBe('enough');
    const own = Object.values(job.ladders)
      .filter(({ idle }) => !idle)
      .flatMap(({ rungs }) => rungs.filter(({ stage }) => stage === 's2'));
    expect(chain.used).toBeCloseTo(1 / Math.min(...own.map(({ multiple = Infinity }) => multiple)), 9);
  });

  it('say what they cannot know', () => {
    const hoist = evaluateMechanism(heron, mechanismOf(heron, 'hoist')).jobs[0]!;
    expect(hoist.links.find(({ id }) => id === 'motor')).toMatchObject({ verdict: 'not known' });
    expect(hoist.links.every(({ key }) => key === undefined || Number.isFinite(key.there.value))).toBe(true);
    const bare = withChange(heron, ['mechanisms', 1, 'choices', 0, 'output', 'radius'], undefined);
    expect(
      evaluateMechanism(bare, mechanismOf(bare, 'lift')).jobs[0]!.links.find(({ id }) => id === 'output')!.detail,
    ).toBe('radius missing');
  });
});
