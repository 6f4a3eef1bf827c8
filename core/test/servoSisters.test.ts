import { describe, expect, it } from 'vitest';
import { applyChanges, currentChoice, servoSisters, sisterBy, type Plan, type ServoPart } from '../src/index.js';
import { demoPlan, mechanismOf, typed } from './demo.js';

const heron = demoPlan('heron');
const grip = mechanismOf(heron, 'grip');
const servoOf = (plan: Plan): ServoPart => {
  const { drive } = currentChoice(mechanismOf(plan, 'grip'));
  return plan.parts[drive.kind === 'servo' ? drive.servo : '']!.part as ServoPart;
};
const own = servoOf(heron);
const geared = (by: number, of: Partial<ServoPart> = {}): ServoPart => ({
  ...own,
  name: `sister ${by}`,
  points: own.points.map((point) => ({
    ...point,
    stallTorque: typed(point.stallTorque!.si * by),
    speed: typed(point.speed!.si / by),
  })),
  ...of,
});

describe('servos with the same motor', () => {
  it('are those of the same watts and grams, whatever their gears', () => {
    expect(sisterBy(own, geared(2))).toBeCloseTo(2, 9);
    expect(sisterBy(own, geared(2, { mass: typed(own.mass!.si * 1.5) }))).toBeUndefined();
    expect(sisterBy(own, geared(2, { motion: 'continuous' }))).toBeUndefined();
    const stronger = geared(1);
    expect(
      sisterBy(own, {
        ...stronger,
        points: stronger.points.map((p) => ({ ...p, stallTorque: typed(p.stallTorque!.si * 2) })),
      }),
    ).toBeUndefined();
  });

  it('trade speed for torque evenly on this joint, off the shelf where it has one, made up where not', () => {
    const rows = servoSisters(heron, 'grip', grip.jobs[0]!.id, [{ id: 'two', revision: 1, part: geared(2) }]);
    expect(rows.map(({ by }) => Number(by.toFixed(2)))).toEqual([0.5, 0.71, 1, 1.41, 2]);
    const now = rows.find(({ id }) => id === 'own')!;
    for (const { by, torque, speed } of rows) {
      expect(torque / now.torque).toBeCloseTo(by, 1);
      // The rail sags a little more or less with each.
      expect((torque * speed) / (now.torque * now.speed)).toBeCloseTo(1, 1);
    }
    expect(rows.filter(({ onShelf }) => onShelf).map(({ name }) => name)).toEqual(['sister 2']);
    const taken = applyChanges(heron, rows.at(-1)!.changes);
    expect(servoOf(taken).name).toBe('sister 2');
    // Nothing else that uses the old part is touched.
    expect(Object.values(taken.parts).some(({ part }) => part.name === own.name)).toBe(true);
  });
});
