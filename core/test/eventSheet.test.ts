import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  estimatedStageMass,
  eventChecks,
  eventFor,
  findMends,
  judged,
  ledgerOf,
  massOf,
  quantityOf,
  robotOnPack,
  searchShortlist,
  simulateMatch,
  slotsOf,
  wiresOf,
  worsened,
  type EventLimit,
  type Plan,
  type Shelved,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, withChange } from './demo.js';

const heron = demoPlan('heron');
const under = (...limits: readonly EventLimit[]): Plan => ({ ...heron, event: { name: 'test', limits } });
const most = (of: Extract<EventLimit, { kind: 'most' }>['of'], si: number): EventLimit => ({
  id: of,
  kind: 'most',
  of,
  most: quantityOf(si, String(si)),
});
const checked = (plan: Plan) => eventChecks(plan).map(({ name, verdict }) => [name, verdict]);

describe('What a robot weighs', () => {
  it('is motors, controllers, wheels and what was typed, to the kilogram by hand', () => {
    const { motors, controllers, structure, train, all } = massOf(heron, mechanismOf(heron, 'thrower'));
    // Two motors of 0.3 kg, two controllers of 0.11 kg, 3.1 kg typed.
    expect(motors.mass).toBeCloseTo(0.6, 9);
    expect(controllers.mass).toBeCloseTo(0.22, 9);
    expect(structure.mass).toBeCloseTo(3.1, 9);
    expect(all.mass).toBeCloseTo(0.6 + 0.22 + 3.1 + train.mass, 9);
    // 3 % of what a sheet says, 20 % of what is estimated, 30 % of what is drawn; independent, so by squares.
    expect(all.spread).toBeCloseTo(Math.hypot(0.6 * 0.03, 0.22 * 0.03, 3.1 * 0.2, train.mass * 0.3), 9);
    expect(all.estimated).toBeCloseTo(3.1 + train.mass, 9);
  });

  it('counts a pair of gears as two discs of steel, six tenths of them full', () => {
    const stage = { id: 's', kind: 'teeth', driver: 20, driven: 60, pitch: quantityOf(0.001, '1 mm') } as const;
    const disc = (d: number) => (Math.PI / 4) * d ** 2 * 0.01 * 7850 * 0.6;
    expect(estimatedStageMass(stage)).toBeCloseTo(disc(0.02) + disc(0.06), 9);
    expect(estimatedStageMass({ ...stage, idler: 40 })).toBeCloseTo(disc(0.02) + disc(0.06) + disc(0.04), 9);
    const printed = estimatedStageMass({ ...stage, material: 'printed' })!;
    expect(printed / estimatedStageMass(stage)!).toBeCloseTo(1100 / 7850, 9);
    expect(estimatedStageMass({ id: 's', kind: 'teeth', driver: 20, driven: 60 })).toBeUndefined();
    // A chain of 100 links weighs what its size weighs by the metre; its sprockets are plates.
    const chain = { id: 's', kind: 'chain', driver: 16, driven: 48, pitch: quantityOf(0.00635, 'No. 25') } as const;
    const longer = estimatedStageMass({ ...chain, links: 200 })! - estimatedStageMass({ ...chain, links: 100 })!;
    expect(longer).toBeCloseTo(100 * 0.00635 * 0.14, 9);
  });

  it('and what it takes up, costs and has in common', () => {
    const ledger = ledgerOf(heron);
    // Twelve motors behind as many controllers and drivers, three servos.
    expect(ledger.channels).toBe(12 + 3);
    expect(ledger.mass.mass).toBeCloseTo(ledger.rows.reduce((sum, { mass }) => sum + mass.all.mass, 0) + 8.6, 9);
    expect(ledger.pack.mass).toBeCloseTo(5.9, 9);
    expect(slotsOf(heron).map(({ number }) => number)).toEqual(Array.from({ length: 13 }, (_, i) => i + 1));
    expect(slotsOf(heron)[0]).toMatchObject({ rated: 40, mechanisms: ['drive'], name: 'Drive base 1' });
    // One main wire of 0.4 m, there and back.
    expect(wiresOf(heron)[0]).toEqual({ gauge: 6, length: 0.8 });
    expect(ledger.common.find(({ name }) => name.startsWith('brushed 12 V, 64'))).toMatchObject({ pieces: 6 });
    // What lies there is used once: the sum of what each still costs is what the robot still costs.
    expect(ledger.price).toBe(ledger.rows.reduce((sum, { price = 0 }) => sum + price, 0));
    expect(nansIn(ledger)).toEqual([]);
  });
});

describe('The event sheet', () => {
  it('of the demo is passed by a little mass, and says by how much and by which rule', () => {
    const mass = eventChecks(heron).find(({ name }) => name === 'mass')!;
    expect(mass.verdict).toBe('gives way');
    expect(mass.multiple).toBeGreaterThan(0.97);
    expect(said(mass.sentence)).toMatch(
      /^48\.7 kg, ± 1\.4 kg of 48 kg allowed \(R3: without the pack\): 0\.6\d kg too much/,
    );
    const robot = robotOnPack(heron, heron.scripts![1]!)!;
    const { rungs } = judged(robot, heron.scripts![1]!, simulateMatch(robot, heron.scripts![1]!), eventChecks(heron));
    expect(rungs[0]).toMatchObject({ id: 'event', name: 'mass' });
  });

  it('holds every kind of limit against the robot', () => {
    expect(checked(under(most('motors', 12), most('servos', 2), most('slots', 13), most('kinds', 8)))).toEqual([
      ['motors', 'enough'],
      ['servos', 'gives way'],
      ['slots of the board', 'enough'],
      ['kinds of motor and servo', 'enough'],
    ]);
    expect(checked(under(most('packVolts', 12), most('mainBreaker', 100), most('branchBreaker', 40)))).toEqual([
      ['pack’s nominal volts', 'enough'],
      ['main breaker', 'gives way'],
      ['branch breaker', 'enough'],
    ]);
    expect(checked(under(most('money', 939)))).toEqual([['money to spend', 'gives way']]);
    expect(checked(under(most('money', 2000)))).toEqual([['money to spend', 'not known']]);
    const wire = (gauge: number): EventLimit => ({
      id: 'wire',
      kind: 'wire',
      breaker: quantityOf(40, '40 A'),
      gauge: quantityOf(gauge, `${gauge} AWG`),
    });
    expect(checked(under(wire(12)))).toEqual([['wire behind 40 A', 'enough']]);
    expect(said(eventChecks(under(wire(10)))[0]!.sentence)).toContain('thinner: Drive base, Mast lift');
    const names = ['brushed 12 V, 64 mm can', ' Brushed 12 V, 45 MM can '];
    const [listed] = eventChecks(under({ id: 'list', kind: 'motors', names }));
    expect(listed!.verdict).toBe('gives way');
    expect(said(listed!.sentence)).not.toContain('45 mm can');
    expect(said(listed!.sentence)).toContain('stepper 57 mm');
    expect(said(listed!.sentence)).not.toContain('servo, steel gears');
    expect(checked(under({ id: 'p', kind: 'packs', names: ['another'] }))).toEqual([['packs allowed', 'gives way']]);
    expect(eventChecks({ ...heron, event: undefined })).toEqual([]);
  });

  it('cannot tell a mass of which a motor’s is missing, unless it is over already', () => {
    const unknown = withChange(heron, ['parts', 'motor-3', 'part', 'mass'], undefined);
    const of = (kg: number) => eventChecks({ ...unknown, event: under(most('mass', kg)).event })[0]!;
    expect(of(60).verdict).toBe('not known');
    expect(said(of(60).sentence)).toContain('without brushed 12 V, 45 mm can');
    expect(of(20).verdict).toBe('gives way');
  });

  it('is respected by mends: none passes a limit, and one that adds to what is over says so', () => {
    const target = { jobId: 'raise', rung: 'supply', situation: 'working' } as const;
    const mendsOf = (plan: Plan) => [...findMends(plan, 'lift', target)].filter((mend) => mend !== undefined);
    const motorIn = (plan: Plan) => mendsOf(plan).find(({ lever }) => lever === 'motors');
    expect(motorIn(under(most('motors', 12)))).toBeUndefined();
    expect(motorIn(under(most('motors', 13)))).toMatchObject({ more: undefined });
    expect(motorIn(under(most('motors', 11)))).toMatchObject({ more: ['motors'] });
  });

  it('is respected by the search: what would pass it falls out, with the reason', () => {
    const shelf: readonly Shelved[] = Object.entries(heron.parts).map(([id, { part }]) => ({
      id,
      revision: 1,
      part,
    }));
    const found = (plan: Plan) => {
      const search = searchShortlist(
        plan,
        {
          mechanismId: 'lift',
          jobId: 'raise',
          scope: 'everything',
          ownedOnly: false,
          mostMotors: 2,
          packs: 'mine',
          from: 5,
          to: 40,
          wants: ['mass', 'margin'],
        },
        shelf,
      );
      let next = search.next();
      while (!next.done) next = search.next();
      return next.value;
    };
    expect(found(under()).front.some(({ motors }) => motors === 2)).toBe(true);
    const limited = found(under(most('motors', 12)));
    expect(limited.front.every(({ motors }) => motors === 1)).toBe(true);
    expect(limited.fallen.map(({ reason }) => reason)).toContain('the event’s motors');
    // What is passed already hides nothing: what adds to it says so.
    const over = under(most('motors', 11));
    const two = found(over).front.find(({ motors }) => motors === 2)!;
    expect(eventFor(over)(two)).toEqual({ passed: [], more: ['motors'] });
  });

  it('tells what is passed newly from what is passed by more', () => {
    const [one, two] = [under(most('motors', 12)), under(most('motors', 11))];
    const more = (plan: Plan) =>
      applyChanges(plan, [{ at: ['mechanisms', 1, 'choices', 0, 'drive', 'motors'], to: 2 }]);
    expect(worsened(eventChecks(one), eventChecks(more(one)))).toEqual({ passed: ['motors'], more: [] });
    expect(worsened(eventChecks(two), eventChecks(more(two)))).toEqual({ passed: [], more: ['motors'] });
    expect(worsened(eventChecks(more(two)), eventChecks(two))).toEqual({ passed: [], more: [] });
  });
});
