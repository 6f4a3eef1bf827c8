import { describe, expect, it } from 'vitest';
import {
  cellsOf,
  evaluateMechanism,
  mendsFor,
  resolvePath,
  robotOnPack,
  sameSpeedVariants,
  voltVariants,
  type DcPath,
  type PackPart,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, typed, withChange } from './demo.js';

/** A supply that holds its volts in the place of a pack. */

const heron = demoPlan('heron');
const node = heron.supply.find((one) => one.kind === 'pack')!;
const packId = node.kind === 'pack' ? node.part : '';
const BENCH: PackPart = {
  kind: 'pack',
  name: 'bench',
  chemistry: 'bench',
  series: 1,
  parallel: 1,
  voltage: typed(13.8),
  dischargeLimit: typed(30),
};
const on = (of: Partial<PackPart> = {}): Plan =>
  withChange(heron, ['parts', packId, 'part'], JSON.parse(JSON.stringify({ ...BENCH, ...of })));
const pathOf = (plan: Plan): DcPath => resolvePath(plan, mechanismOf(plan, 'lift'), 'raise') as DcPath;
const judged = (plan: Plan) => evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!;

describe('a bench supply', () => {
  it('holds its volts whatever charge is left, and lets go of them a twentieth lower', () => {
    expect(cellsOf(BENCH)).toBe(13.8);
    const { pack, restVoltage } = pathOf(on());
    expect(restVoltage + (pack.resistance + pathOf(on()).main!.wireResistance) * pack.others).toBeCloseTo(13.8, 9);
    expect(pack.full).toBe(13.8);
    expect(pack.floor).toBeCloseTo(13.11, 9);
    expect(pack.resistance).toBeCloseTo(0.01 + 0.002, 9);
    expect(robotOnPack(on(), { lanes: [] })!.pack.restAt(0.1)).toBeCloseTo(13.8, 9);
  });

  it('ends at its current limit, told as the supply’s', () => {
    const rungOf = (amperes: number) =>
      judged(on({ dischargeLimit: typed(amperes) })).ladders.working.rungs.find(({ id }) => id === 'discharge')!;
    expect(rungOf(30).subject).toContain('bench supply’s current limit');
    // Half the amperes reach less than half the force: the free current is off both.
    expect(rungOf(15).multiple!).toBeLessThan(rungOf(30).multiple!);
    const mends = mendsFor(on({ dischargeLimit: typed(15) }), 'lift', {
      jobId: 'raise',
      rung: 'discharge',
      situation: 'working',
    });
    expect(mends.length).toBeGreaterThan(0);
    expect(JSON.stringify(mends)).not.toContain('parallel');
  });

  it('takes nothing back: what braking returns is said, with what takes it', () => {
    const lift = heron.mechanisms.indexOf(mechanismOf(heron, 'lift'));
    const down = withChange(on(), ['mechanisms', lift, 'jobs', 0, 'profile'], 'stop');
    const free = withChange(down, ['mechanisms', lift, 'choices', 0, 'drive', 'returnLimit'], typed(20));
    const check = judged(free).checks.find(({ id }) => id === 'return-charge')!;
    if (check.multiple !== undefined) {
      expect(check.verdict).toBe('gives way');
      expect(said(check.sentence)).toContain('a bench supply takes none');
      expect(said(check.hint!)).toContain('braking resistor');
    }
    expect(pathOf(free).pack.chargeLimit).toBe(0);
    expect(judged(free).checks.some(({ id }) => id === 'charge')).toBe(false);
  });

  it('is not known without its volts, is set higher in place of more cells, and has none to count', () => {
    const silent = on({ voltage: undefined });
    expect(evaluateMechanism(silent, mechanismOf(silent, 'lift')).headline.verdict).toBe('not known');
    expect(voltVariants(on(), 'lift', 'raise').map(({ label }) => label)).toEqual([
      'set to 6.9 V, less reduction',
      'set to 6.9 V, 0.5 × the turns',
      'set to 10.4 V, less reduction',
      'set to 10.4 V, 0.75 × the turns',
      'as it is, set to 13.8 V',
      'set to 20.7 V, more reduction',
      'set to 20.7 V, 1.5 × the turns',
      'set to 27.6 V, more reduction',
      'set to 27.6 V, 2 × the turns',
      'set to 41.4 V, more reduction',
      'set to 41.4 V, 3 × the turns',
    ]);
    expect([...sameSpeedVariants(on(), 'lift', 'raise', 'top', 1)]).toEqual([]);
  });
});
