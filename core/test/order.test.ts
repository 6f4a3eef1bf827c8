import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  countOf,
  currentChoice,
  inMetric,
  ledgerOf,
  orderSheet,
  sparesFor,
  USUAL_SPARES,
  worded,
  type OrderLine,
} from '../src/index.js';
import { demoPlan, typed } from './demo.js';

/** The order sheet counts what the plan holds, no piece more and none less. */
const heron = demoPlan('heron');
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
    const motor = Object.entries(heron.parts).find(([, { part }]) => part.name.includes('64 mm can'))![0];
    const owned = applyChanges(heron, [{ at: ['parts', motor, 'part', 'owned'], to: 100 }]);
    expect(named(orderSheet(owned).lines, /64 mm can/)).toMatchObject({ toBuy: 0, cost: 0 });
  });

  it('names wheels by their teeth, and chains by their length', () => {
    const chain = named(lines, /^chain, No\. /)!;
    expect(chain.measure).toBe('metres');
    expect(chain.wanted).toBeGreaterThan(0.3);
    expect(named(lines, /^sprocket of \d+ teeth/)).toBeDefined();
    expect(named(lines, /^wire, \d+ AWG/)!.spares).toBe(0);
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
