import { describe, expect, it } from 'vitest';
import {
  bearingOutside,
  evaluateMechanism,
  fewestSheets,
  holesOf,
  mountHoles,
  plateHoles,
  pulleyWidth,
  resolvePath,
  sheetsFor,
  trainLayout,
  turned,
  type Hole,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

/** What is drilled in a plate, and on how few sheets it is printed; the room a belt takes. */

const heron = demoPlan('heron');
const layoutOf = (id: string) => {
  const mechanism = mechanismOf(heron, id);
  const path = resolvePath(heron, mechanism, mechanism.jobs[0]!.id);
  return { path, layout: trainLayout(path)! };
};
const at = (x: number, y: number, radius = 0.004): Hole => ({ x, y, radius, use: 'shaft' });
const A4 = { width: 0.186, height: 0.247 };

describe('the motor’s own holes', () => {
  it('are a square, a pair or a circle, with room for the screw', () => {
    const square = mountHoles('4 × M5 on 47 mm');
    expect(square).toHaveLength(4);
    for (const { x, y, radius } of square) {
      expect(Math.abs(x)).toBeCloseTo(0.0235, 6);
      expect(Math.abs(y)).toBeCloseTo(0.0235, 6);
      expect(radius).toBeCloseTo(0.00275, 9);
    }
    const three = mountHoles('3 × M3 on 22 mm');
    for (const { x, y } of three) expect(Math.hypot(x, y)).toBeCloseTo(0.011, 6);
    expect(mountHoles('a clamp')).toEqual([]);
    expect(mountHoles(undefined)).toEqual([]);
  });

  it('stand in the drawing beside a bearing for every shaft but the motor’s', () => {
    const { path, layout } = layoutOf('lift');
    const holes = plateHoles(layout, path.fitting?.mount);
    const count = (use: Hole['use']) => holes.filter((hole) => hole.use === use).length;
    const known = layout.shafts.filter(({ bearing }) => bearing > 0);
    expect(count('bearing')).toBe(known.length);
    expect(count('screw')).toBe(mountHoles(path.fitting?.mount).length);
    expect(count('motor shaft')).toBe(1);
    for (const { bearing, radius } of known) expect(bearing).toBe(bearingOutside(2 * radius));
    // A bore for a shaft nobody has chosen would be a hole drilled for nothing.
    path.stageParts.forEach(({ shaft }, i) => expect(layout.shafts[i + 1]!.bearing > 0).toBe(shaft !== undefined));
  });
});

describe('the fewest sheets', () => {
  it('print no sheet with nothing on it', () => {
    const apart = [at(0, 0), at(0.6, 0)];
    expect(sheetsFor(apart, A4, 0.008).used).toHaveLength(2);
  });

  it('turn a long row upright, and leave what fits as it is', () => {
    const row = [at(0, 0), at(0.2, 0)];
    expect(sheetsFor(row, A4, 0.008).used.length).toBe(2);
    const angle = fewestSheets(row, A4, 0.008);
    expect(angle).not.toBe(0);
    expect(sheetsFor(turned(row, angle), A4, 0.008).used).toHaveLength(1);
    expect(fewestSheets([at(0, 0), at(0.1, 0.1)], A4, 0.008)).toBe(0);
  });

  it('never need more than as built, and turning keeps every distance', () => {
    const { layout } = layoutOf('drive');
    const holes = holesOf(layout);
    const angle = fewestSheets(holes, A4, 0.008);
    const best = turned(holes, angle);
    expect(sheetsFor(best, A4, 0.008).used.length).toBeLessThanOrEqual(sheetsFor(holes, A4, 0.008).used.length);
    const far = (all: readonly Hole[]) => Math.hypot(all[0]!.x - all[1]!.x, all[0]!.y - all[1]!.y);
    expect(far(best)).toBeCloseTo(far(holes), 12);
  });
});

describe('room beside the wheel', () => {
  it('is held against belts and rims', () => {
    expect(pulleyWidth({ width: 0.009, belts: 1 })).toBeCloseTo(0.012, 12);
    const turntable = mechanismOf(heron, 'turntable');
    const index = heron.mechanisms.indexOf(turntable);
    const stage = turntable.choices[0]!.stages.findIndex(({ kind }) => kind === 'belt');
    if (stage < 0) throw new Error('the turntable has a belt');
    const width = (turntable.choices[0]!.stages[stage] as { face?: { si: number } }).face!.si;
    const roomy = (room: number) =>
      evaluateMechanism(
        withChange(heron, ['mechanisms', index, 'choices', 0, 'stages', stage, 'room'], typed(room)),
        mechanismOf(
          withChange(heron, ['mechanisms', index, 'choices', 0, 'stages', stage, 'room'], typed(room)),
          'turntable',
        ),
      ).jobs[0]!.checks.find(({ id }) => id === 'belt-room')!.verdict;
    expect(roomy(width)).toBe('gives way');
    expect(roomy(2 * width)).toBe('enough');
  });
});
