import { describe, expect, it } from 'vitest';
import { evaluateMechanism, resolvePath, valueOf, workingOf, type Plan } from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** What pushes on a thing from outside while it is held. */

const heron = demoPlan('heron');
const pushed = (id: string, si: number): Plan =>
  withChange(
    heron,
    ['mechanisms', heron.mechanisms.indexOf(mechanismOf(heron, id)), 'jobs', 0, 'heldAgainst'],
    typed(si),
  );
const pathOf = (plan: Plan, id: string) => resolvePath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id);
const holding = (plan: Plan, id: string) => evaluateMechanism(plan, mechanismOf(plan, id)).jobs[0]!.ladders.holding;

describe('a load held against something', () => {
  it('asks the more of a motor, servo or stepper that holds it, whichever way it pulls already', () => {
    for (const id of ['arm', 'camera', 'turntable']) {
      const [before, after] = [pathOf(heron, id), pathOf(pushed(id, 0.4), id)];
      for (const q of [0, 0.2, 0.5]) {
        const own = before.load.holdForce(q);
        expect(Math.abs(after.load.holdForce(q))).toBeCloseTo(Math.abs(own) + 0.4, 9);
        // Moving asks no more: it is there while it is held.
        expect(after.load.force(q, 0.1)).toBe(before.load.force(q, 0.1));
      }
    }
  });

  it('is on the rope what it is at the load, by how far the load goes for the rope', () => {
    const k = pathOf(heron, 'lift').asked.perCoordinate;
    expect(pathOf(pushed('lift', 50), 'lift').load.holdForce(0) - pathOf(heron, 'lift').load.holdForce(0)).toBeCloseTo(
      50 * k,
      9,
    );
  });

  it('is in the ladder and its working alike', () => {
    const plan = pushed('camera', 0.05);
    const [before, after] = [holding(heron, 'camera'), holding(plan, 'camera')];
    expect(after.demand!).toBeGreaterThan(before.demand!);
    const working = workingOf(pathOf(plan, 'camera'), { of: 'demand', situation: 'holding' })!;
    expect(valueOf(working)).toBeCloseTo(after.demand!, 9);
  });
});
