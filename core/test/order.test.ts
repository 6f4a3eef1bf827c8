import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  countOf,
  currentChoice,
  evaluateMechanism,
  inMetric,
  ledgerOf,
  mayStandIn,
  orderSheet,
  mechanismNeeds,
  piecesOf,
  sameKey,
  slotsOf,
  secondWheels,
  sparesFor,
  standIns,
  USUAL_SPARES,
  worded,
  type OrderLine,
  type Plan,
  type Shelved,
  type StandIn,
} from '../src/index.js';
import { demoPlan, typed } from './demo.js';

/** The order sheet counts what the plan holds, no piece more and none less. */
const heron = demoPlan('heron');
const shelfParts = (): readonly Shelved[] =>
  (JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] })
    .parts;
const NONE = { oneIn: Infinity, atLeast: 0, wornOneIn: Infinity };
const named = (lines: readonly OrderLine[], name: RegExp): OrderLine | undefined =>
  lines.find((line) => name.test(worded(line.name, inMetric)));

describe('the order sheet', () => {
  const { lines, cost, unpriced } = orderSheet(heron);

  it('counts motors, controllers and servos as the ledger does', () => {
    const ledger = ledgerOf(heron);
    const of = (group: OrderLine['group'], kinds: RegExp) =>
      lines
        .filter((line) => line.group === group && !kinds.test(line.key))
        .reduce((sum, { wanted }) => sum + wanted, 0);
    expect(of('motors and servos', /^$/)).toBe(ledger.motors + ledger.servos);
    const boards = new Set(
      heron.mechanisms.flatMap(({ choices }) =>
        choices.flatMap(({ drive }) => (drive.kind === 'step' ? [drive.board] : [])),
      ),
    );
    expect(of('controllers and boards', /^$/)).toBe(ledger.controllers + boards.size);
  });

  it('puts the same part of several mechanisms on one line, and says of which', () => {
    const can = named(lines, /64 mm can/)!;
    const users = heron.mechanisms.filter((mechanism) => {
      const { drive } = currentChoice(mechanism);
      return drive.kind === 'dc' && heron.parts[drive.motor]!.part.name.includes('64 mm can');
    });
    expect(can.wanted).toBe(users.reduce((sum, mechanism) => sum + countOf(currentChoice(mechanism).drive), 0));
    expect(can.of).toEqual(users.map(({ name }) => name));
    expect(can.spares).toBe(Math.ceil(can.wanted / USUAL_SPARES.wornOneIn));
  });

  it('buys what is wanted and spare less what is owned, never less than none', () => {
    for (const line of lines) {
      expect(line.toBuy).toBeCloseTo(Math.max(0, line.wanted + line.spares - line.owned), 9);
      if (line.cost !== undefined && line.price !== undefined)
        expect(line.cost).toBeCloseTo(line.toBuy * line.price, 9);
    }
    expect(cost).toBeCloseTo(
      lines.reduce((sum, line) => sum + (line.cost ?? 0), 0),
      9,
    );
    expect(unpriced.every((line) => line.cost === undefined)).toBe(true);
    const sheet = orderSheet(heron);
    expect(sheet.mass).toBeCloseTo(
      lines.reduce((sum, line) => sum + (line.mass ?? 0) * line.wanted, 0),
      9,
    );
    expect(sheet.unweighed).toBe(lines.filter((line) => line.mass === undefined).length);
    const motor = Object.entries(heron.parts).find(([, { part }]) => part.name.includes('64 mm can'))![0];
    const owned = applyChanges(heron, [{ at: ['parts', motor, 'part', 'owned'], to: 100 }]);
    expect(named(orderSheet(owned).lines, /64 mm can/)).toMatchObject({ toBuy: 0, cost: 0 });
  });

  it('cuts a chain of an odd count of links from the next even one: never too short', () => {
    const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const stage = currentChoice(heron.mechanisms[lift]!).stages.findIndex(({ kind }) => kind === 'chain');
    const pulled = (links: number): number => {
      const plan = applyChanges(heron, [
        { at: ['mechanisms', lift, 'choices', 0, 'stages', stage, 'links'], to: links },
      ]);
      return mechanismNeeds(plan, plan.mechanisms[lift]!)
        .filter(({ key }) => key.startsWith('chain '))
        .reduce((sum, { amount }) => sum + amount, 0);
    };
    expect(pulled(79)).toBeCloseTo(pulled(80), 9);
    expect(pulled(81)).toBeCloseTo(pulled(82), 9);
    expect(pulled(80)).toBeGreaterThan(pulled(78));
  });

  it('names wheels by their teeth, and chains by their length', () => {
    const chain = named(lines, /^chain, No\. /)!;
    expect(chain.measure).toBe('metres');
    expect(chain.wanted).toBeGreaterThan(0.3);
  });

  it('has each train of motors that drive apart', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'drive');
    const together = applyChanges(heron, [{ at: ['mechanisms', at, 'choices', 0, 'drive', 'apart'], to: undefined }]);
    const apart = applyChanges(heron, [{ at: ['mechanisms', at, 'choices', 0, 'drive', 'apart'], to: true }]);
    const wheels = (plan: typeof heron) =>
      orderSheet(plan, NONE)
        .lines.filter(
          ({ group, of }) => group === 'wheels and gearboxes' && of.includes('Drive base') && of.length === 1,
        )
        .reduce((sum, { wanted }) => sum + wanted, 0);
    const { drive } = currentChoice(heron.mechanisms[at]!);
    expect(wheels(apart)).toBe(wheels(together) * countOf(drive));
  });

  it('a stage that is priced as a whole costs that, for each train', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const before = orderSheet(heron, NONE).cost;
    const priced = applyChanges(heron, [{ at: ['mechanisms', at, 'choices', 0, 'stages', 0, 'price'], to: typed(31) }]);
    expect(orderSheet(priced, NONE).cost - before).toBeCloseTo(31, 6);
  });
});

describe('what a stage takes', () => {
  const needsWith = (mechanism: string, changes: readonly [string, unknown][], stage = 0) => {
    const at = heron.mechanisms.findIndex(({ id }) => id === mechanism);
    const plan = applyChanges(
      heron,
      changes.map(([key, to]) => ({ at: ['mechanisms', at, 'choices', 0, 'stages', stage, key], to })),
    );
    return mechanismNeeds(plan, plan.mechanisms[at]!);
  };

  it('is so many belts as run side by side, each for its share of the price', () => {
    const belt = (changes: readonly [string, unknown][]) =>
      needsWith('thrower', changes).find(({ key }) => key.startsWith('belt '))!;
    const one = belt([['price', typed(24)]]);
    const three = belt([
      ['price', typed(24)],
      ['belts', 3],
    ]);
    expect(three.amount).toBe(3 * one.amount);
    expect([one.price, three.price]).toEqual([24, 8]);
  });

  it('is a chain by the metre', () => {
    const at = currentChoice(heron.mechanisms.find(({ id }) => id === 'lift')!).stages.findIndex(
      ({ kind }) => kind === 'chain',
    );
    const chain = needsWith('lift', [['price', typed(30)]], at).find(({ key }) => key.startsWith('chain '))!;
    expect(chain.price! * chain.amount).toBeCloseTo(30, 9);
    expect(chain.amount).toBeLessThan(3);
  });

  it('is the gear between two as well', () => {
    const gears = (changes: readonly [string, unknown][]) =>
      needsWith('lift', changes)
        .filter(({ key }) => key.startsWith('gear '))
        .reduce((sum, { amount }) => sum + amount, 0);
    expect(gears([['idler', 24]])).toBe(gears([]) + 1);
    expect(needsWith('lift', [['idler', 24]]).some(({ key }) => key.startsWith('gear 24 '))).toBe(true);
  });
});

describe('what wears', () => {
  const wears = (key: string, more: Readonly<Record<string, unknown>> = {}): boolean => {
    const changed = applyChanges(
      heron,
      Object.entries(more).map(([field, to]) => ({ at: ['parts', key, 'part', field], to })),
    );
    const name = changed.parts[key]!.part.name;
    return orderSheet(changed).lines.find((line) => worded(line.name, inMetric) === name)!.wears;
  };

  it('is a fuse, brushes, and gears of plastic: not a breaker, nor gears of steel', () => {
    expect([wears('main-1', { type: 'fuse' }), wears('main-1')]).toEqual([true, false]);
    expect([wears('motor-1'), wears('motor-4')]).toEqual([true, false]);
    expect([wears('servo-2'), wears('servo-1'), wears('servo-1', { gears: 'reinforced resin' })]).toEqual([
      true,
      false,
      true,
    ]);
  });
});

describe('what holds a motor', () => {
  it('is as many screws as its pattern says, for each of them', () => {
    const bare = applyChanges(
      heron,
      Object.keys(heron.parts).map((part) => ({ at: ['parts', part, 'part', 'mount'], to: undefined })),
    );
    const [id] = Object.entries(bare.parts).find(([, { part }]) => part.name.includes('64 mm can'))!;
    const held = applyChanges(bare, [{ at: ['parts', id, 'part', 'mount'], to: '4 × M5 on 50 mm' }]);
    expect(named(orderSheet(bare).lines, /^screw /)).toBeUndefined();
    const can = named(orderSheet(held).lines, /64 mm can/)!;
    expect(named(orderSheet(held).lines, /^screw M5, /)).toMatchObject({ wanted: 4 * can.wanted, of: can.of });
  });
});

describe('whatever the plan', () => {
  const plans = fc
    .record({
      kept: fc.subarray([...heron.mechanisms], { minLength: 1 }),
      counts: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 12, maxLength: 12 }),
      owned: fc.integer({ min: 0, max: 20 }),
    })
    .map(({ kept, counts, owned }): Plan => {
      const mechanisms = kept.map((mechanism, i) => ({
        ...mechanism,
        choices: mechanism.choices.map((choice) => ({
          ...choice,
          drive:
            choice.drive.kind === 'servo'
              ? { ...choice.drive, servos: counts[i]! }
              : { ...choice.drive, motors: counts[i]! },
        })),
      }));
      const parts = Object.fromEntries(
        Object.entries(heron.parts).map(([id, copy]) => [id, { ...copy, part: { ...copy.part, owned } }]),
      );
      return { ...heron, mechanisms, parts };
    });

  it('the pieces on the sheet are the pieces of the plan, no more and no fewer', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const sheet = orderSheet(plan);
        const wanted = new Map<string, number>();
        const add = (id: string, count: number) => {
          const key = sameKey(plan.parts[id]!);
          wanted.set(key, (wanted.get(key) ?? 0) + count);
        };
        for (const mechanism of plan.mechanisms)
          for (const [id, pieces] of piecesOf(currentChoice(mechanism).drive)) add(id, pieces);
        for (const node of plan.supply)
          if (node.kind === 'branch' && node.breaker !== undefined)
            add(node.breaker, slotsOf(plan).filter((slot) => slot.node === node.id).length);
        for (const [key, count] of wanted) {
          const line = sheet.lines.find((one) => one.key === key);
          if (count === 0) expect(line).toBeUndefined();
          else {
            expect(line?.wanted).toBe(count);
            expect(line!.toBuy).toBe(Math.max(0, count + line!.spares - line!.owned));
          }
        }
        // Nothing of a kind that drives is on the sheet but what a mechanism takes.
        for (const { group, key, wanted: count } of sheet.lines)
          if (group === 'motors and servos') expect(wanted.get(key)).toBe(count);
      }),
      { numRuns: 60 },
    );
  });
});

describe('wheels to try', () => {
  const stock = shelfParts().flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
  const wheels = secondWheels(heron, stock);

  it('make another total of a mechanism, and are bought as its own wheels are', () => {
    expect(wheels.length).toBeGreaterThan(3);
    for (const { ratio, needs } of wheels) {
      expect(needs.length).toBe(ratio.wheels);
      expect(Math.max(ratio.change, 1 / ratio.change)).toBeGreaterThan(1.05);
    }
    const wheel = wheels.find(({ mechanism }) => mechanism === 'Mast lift')!;
    const also = orderSheet(heron, NONE, { also: wheel.needs }).lines;
    const before = orderSheet(heron, NONE).lines;
    for (const need of wheel.needs) {
      const was = before.find(({ key }) => key === need.key)?.wanted ?? 0;
      expect(also.find(({ key }) => key === need.key)!.wanted).toBe(was + need.amount);
    }
  });

  it('are none of a shelf without wheels', () => {
    expect(secondWheels(heron, [])).toEqual([]);
  });
});

describe('stand-ins', () => {
  const { lines } = orderSheet(heron);
  const shelf = shelfParts();
  const done = (line: OrderLine): readonly StandIn[] => {
    const search = standIns(heron, line, shelf);
    for (;;) {
      const next = search.next();
      if (next.done) return next.value;
      expect(next.value).toBeLessThan(1);
    }
  };

  it('are judged as if they stood there, those that do no harm in front', () => {
    const line = named(lines, /brushed controller 20 A/)!;
    const found = done(line);
    expect(found.length).toBeGreaterThan(2);
    expect(found.map(({ worse }) => worse)).toEqual(found.map(({ worse }) => worse).sort((a, b) => a - b));
    const [first] = found;
    const copy = Object.entries(heron.parts).find(([, { part }]) => part.name === 'brushed controller 20 A')![0];
    const built = applyChanges(heron, [{ at: ['parts', copy], to: { part: first!.part, shelfId: first!.id } }]);
    const user = built.mechanisms.find(({ name }) => name === first!.judged[0]!.name)!;
    expect(first!.judged[0]!.headline).toEqual(evaluateMechanism(built, user).headline);
    expect(found.some(({ part }) => part.name === 'brushed controller 20 A')).toBe(false);
  });

  it('are asked for what drives only', () => {
    expect(mayStandIn(heron, named(lines, /64 mm can/)!)).toBe(true);
    for (const name of [/^wire, /, /^bearing, /, /^chain, /, /sealed lead/])
      expect(mayStandIn(heron, named(lines, name)!)).toBe(false);
    expect(done(named(lines, /^wire, /)!)).toEqual([]);
  });
});

describe('spares', () => {
  it.each([
    [6, false, 2],
    [6, true, 3],
    [1, false, 1],
    [0, true, 0],
  ])('of %i, worn %s: %i', (wanted, wears, spares) => {
    expect(sparesFor(wanted, wears, USUAL_SPARES)).toBe(spares);
  });

  it('by a rule that is none are refused', () => {
    expect(() => sparesFor(1, false, { oneIn: 0, atLeast: 1, wornOneIn: 2 })).toThrow(RangeError);
  });
});
