import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  duplicateMechanism,
  evaluateMechanism,
  partIdsOf,
  removeMechanism,
} from '../src/index.js';
import { demoPlan, mechanismOf } from './demo.js';

const heron = demoPlan('heron');

describe('a mechanism once more', () => {
  it.each(heron.mechanisms.map(({ id }) => id))('%s: is judged as it is, and changed apart', (from) => {
    const { id, changes } = duplicateMechanism(heron, from);
    const made = applyChanges(heron, changes);
    const [was, is] = [mechanismOf(heron, from), mechanismOf(made, id)];
    expect(made.mechanisms.indexOf(is)).toBe(heron.mechanisms.indexOf(was) + 1);
    // No part and no branch of one is the other's.
    const own = partIdsOf(currentChoice(is).drive);
    for (const part of partIdsOf(currentChoice(was).drive)) expect(own).not.toContain(part);
    const nodeOf = (plan: typeof heron, node: string) => plan.supply.find((one) => one.id === node)!;
    const [before, after] = [currentChoice(was).drive.node, currentChoice(is).drive.node].map((node) =>
      nodeOf(made, node),
    );
    const { headline } = evaluateMechanism(heron, was);
    const again = evaluateMechanism(made, is).headline;
    expect(again.verdict).toBe(headline.verdict);
    if (before!.kind === 'branch') {
      expect(after!.id).not.toBe(before!.id);
      expect(again.multiple).toBe(headline.multiple);
    } else {
      // The rail they share carries both.
      expect(after).toBe(before);
      expect(again.multiple!).toBeLessThanOrEqual(headline.multiple!);
    }
    // Taken away again nothing is left of it.
    const gone = applyChanges(made, removeMechanism(made, id));
    expect(Object.keys(gone.parts).sort()).toEqual(Object.keys(heron.parts).sort());
    expect(gone.supply).toEqual(heron.supply);
  });
});
