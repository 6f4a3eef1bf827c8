import { describe, expect, it } from 'vitest';
import {
  countOf,
  currentChoice,
  harnessChecks,
  harnessOf,
  ledgerOf,
  type Plan,
  type SupplyNode,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, typed, withChange } from './demo.js';

/** The wiring as one sheet is the plan's own, and what is wrong in it is told. */
const heron = demoPlan('heron');
const nodeAt = (plan: Plan, of: (node: SupplyNode) => boolean): readonly (string | number)[] => [
  'supply',
  plan.supply.findIndex(of),
];
const branchAt = (plan: Plan, mechanism: string) =>
  nodeAt(plan, ({ id }) => id === currentChoice(mechanismOf(plan, mechanism)).drive.node);
const checksOf = (plan: Plan) =>
  harnessChecks(plan, harnessOf(plan)).map(({ verdict, where, sentence }) => `${where}, ${verdict}: ${said(sentence)}`);

describe('the wiring of a robot', () => {
  const harness = harnessOf(heron);

  it('has the slots and the channels that the ledger counts', () => {
    const ledger = ledgerOf(heron);
    expect(harness.slots).toHaveLength(ledger.slots);
    expect(harness.channels).toHaveLength(ledger.channels);
    expect(harness.slots.map(({ number }) => number)).toEqual(harness.slots.map((_, i) => i + 1));
    expect(nansIn(harness)).toEqual([]);
  });

  it('leads from each slot to one controller, and numbers its channel', () => {
    const own = harness.slots.filter(({ mechanisms }) => mechanisms.includes('drive'));
    const motors = countOf(currentChoice(mechanismOf(heron, 'drive')).drive);
    expect(own.map(({ end }) => end)).toEqual(
      Array.from({ length: motors }, (_, i) => `Drive base, controller ${i + 1}`),
    );
    expect(own.map(({ channels }) => channels)).toEqual(Array.from({ length: motors }, (_, i) => [i + 1]));
  });

  it('hangs servos on their rail by channel', () => {
    const [rail] = harness.rails;
    expect(rail!.servos.map(({ end }) => end)).toEqual([
      'Crate grip, servo',
      'Camera pan-tilt, servo 1',
      'Camera pan-tilt, servo 2',
    ]);
    expect(harness.slots.find(({ end }) => end === rail!.name)).toMatchObject({ channels: [], motor: undefined });
  });

  it('names motors that hang on one slot together as such', () => {
    const together = withChange(heron, [...branchAt(heron, 'drive'), 'together'], true);
    const own = harnessOf(together).slots.filter(({ mechanisms }) => mechanisms.includes('drive'));
    expect(own).toHaveLength(1);
    expect(own[0]).toMatchObject({ end: 'Drive base, 4 controllers', channels: [1, 2, 3, 4] });
  });
});

describe('what is wrong with the wires', () => {
  it('is nothing on the demo robot', () => {
    expect(checksOf(heron)).toEqual([]);
  });

  it('a wire too thin for its breaker', () => {
    const thin = withChange(heron, [...branchAt(heron, 'lift'), 'wire', 'gauge'], typed(18));
    expect(checksOf(thin)).toEqual([
      'slot 5, Mast lift, gives way: 18 AWG typically goes behind 15 A at most, and the breaker lets 40 A through: a thicker wire, or a smaller breaker.',
    ]);
  });

  it('a branch without a breaker, and a pack that nothing cuts off', () => {
    const bare = withChange(heron, [...branchAt(heron, 'lift'), 'breaker'], undefined);
    expect(checksOf(bare)[0]).toContain('Mast lift, gives way: No breaker of its own');
    const open = withChange(heron, [...nodeAt(heron, ({ kind }) => kind === 'main'), 'breaker'], undefined);
    expect(checksOf(open)[0]).toContain('main, tight: Each branch has its breaker');
    const both = withChange(open, [...branchAt(open, 'lift'), 'breaker'], undefined);
    expect(checksOf(both)[0]).toContain('main, gives way: Nothing cuts the pack off');
  });

  it('two on one slot, but not servos on their rail', () => {
    const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const arm = currentChoice(mechanismOf(heron, 'arm')).drive.node;
    const shared = withChange(heron, ['mechanisms', lift, 'choices', 0, 'drive', 'node'], arm);
    expect(checksOf(shared).filter((one) => one.includes('Two on one slot'))).toHaveLength(1);
  });

  it('signals without a common ground', () => {
    const apart = withChange(heron, [...nodeAt(heron, ({ kind }) => kind === 'rail'), 'ground'], 'apart');
    expect(checksOf(apart)[0]).toContain('gives way: Its ground is apart');
  });

  it('what nobody has said, and plugs that are smaller than their breaker', () => {
    const at = branchAt(heron, 'lift');
    const unknown = withChange(heron, [...at, 'wire'], { gauge: typed(12) });
    expect(checksOf(unknown)[0]).toContain('slot 5, Mast lift, not known: Its wire has no length');
    const none = withChange(heron, [...at, 'wire'], undefined);
    expect(checksOf(none)[0]).toContain('has no gauge');
    const plug = withChange(heron, [...at, 'wire', 'connectorRated'], typed(30));
    expect(checksOf(plug)[0]).toContain('tight: Its plugs carry 30 A');
  });
});
