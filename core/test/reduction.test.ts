import { describe, expect, it } from 'vitest';
import {
  backlashAllowance,
  beltLadder,
  beltRun,
  bendingStress,
  bendingTorque,
  centreForBacklash,
  centreForPitches,
  chainRun,
  chainSizeOf,
  gapsOf,
  gearCentre,
  hangingTension,
  layOut,
  leftPerTooth,
  lewisFactor,
  meshDerating,
  pitchesAround,
  pressureAngle,
  pullPerWidth,
  sagOf,
  screwBackEfficiency,
  selfHolding,
  skipPull,
  speedRipple,
  teethEngaged,
  torqueOfShaft,
  wearTakeUp,
  type StageRoom,
} from '../src/index.js';

const mm = (value: number) => value / 1000;
const degrees = (value: number) => (value * Math.PI) / 180;

describe('chain round two sprockets', () => {
  it('of one size is two centres and one wheel’s teeth', () => {
    expect(pitchesAround(mm(6.35), 20, 20, mm(63.5))).toBeCloseTo(2 * 10 + 20, 12);
    expect(centreForPitches(mm(6.35), 20, 20, 40)).toBeCloseTo(mm(63.5), 12);
  });

  it('takes the even count that is exact as the one below', () => {
    const run = chainRun(mm(6.35), 20, 20, mm(63.5));
    expect(run.below).toMatchObject({ links: 40 });
    expect(run.above.links).toBe(42);
    expect(run.odd!.links).toBe(41);
  });

  it('says when it is too short to go round', () => {
    expect(centreForPitches(mm(6.35), 16, 60, 60)).toBeUndefined();
    expect(chainRun(mm(6.35), 16, 60, mm(75)).below?.links ?? 0).toBeLessThan(
      chainRun(mm(6.35), 16, 60, mm(75)).above.links,
    );
    expect(pitchesAround(mm(6.35), 16, 60, mm(20))).toBeNaN();
  });

  it('rides on a polygon: 16 teeth are just under 2 %', () => {
    expect(speedRipple(16)).toBeLessThan(0.02);
    expect(speedRipple(15)).toBeGreaterThan(0.02);
  });

  it('takes half its wear as distance where its strands are level', () => {
    expect(wearTakeUp(mm(9.525), 20, 20, 80, 0.02)).toBeCloseTo((0.02 * 80 * mm(9.525)) / 2, 9);
    expect(wearTakeUp(mm(9.525), 20, 50, 80, 0.02)).toBeGreaterThan((0.02 * 80 * mm(9.525)) / 2);
  });

  it('hangs by a parabola: 2 mm too long over 300 mm are 15 mm', () => {
    expect(sagOf(0.3, 0.002)).toBeCloseTo(0.015, 12);
    expect(sagOf(0.3, -1)).toBe(0);
  });
});

describe('a chain that skips', () => {
  // By hand, docs/models.md: 16 teeth, new: 17.5° − 4° = 13.5°; a tooth turns 22.5°.
  it('leaves 0.397 of the pull behind each of 16 new teeth', () => {
    expect(pressureAngle(16, 0)).toBeCloseTo(degrees(13.5), 12);
    expect(leftPerTooth(16, 0)).toBeCloseTo(Math.sin(degrees(13.5)) / Math.sin(degrees(36)), 12);
  });

  it('rides up the flanks when it is worn out', () => {
    expect(pressureAngle(16, 0.03)).toBeCloseTo(degrees(35 - 7.5), 12);
    expect(pressureAngle(16, 0.5)).toBe(pressureAngle(16, 0.03));
    expect(skipPull(16, degrees(160), 0.03, 5)).toBeLessThan(skipPull(16, degrees(160), 0, 5) / 5);
  });

  it('holds by every tooth in mesh', () => {
    expect(teethEngaged(16, degrees(160))).toBe(7);
    expect(skipPull(16, degrees(160), 0, 5)).toBeCloseTo(5 / leftPerTooth(16, 0) ** 7, 6);
    expect(skipPull(16, degrees(80), 0, 5)).toBeLessThan(skipPull(16, degrees(160), 0, 5));
  });

  it('is pulled by its own weight: 0.33 kg/m over 0.25 m at 2 % is 5.06 N', () => {
    expect(hangingTension(0.33, 0.25, 0.02, 9.80665)).toBeCloseTo(5.0566, 3);
  });

  it('comes in three sizes', () => {
    expect(chainSizeOf(mm(9.525))).toMatchObject({ name: 'No. 35', strength: 7830 });
    expect(chainSizeOf(mm(9))).toBeUndefined();
  });
});

describe('belts', () => {
  const stock = [60, 70, 80];

  it('that fit exactly are the shorter', () => {
    const centre = centreForPitches(mm(5), 18, 36, 70)!;
    const run = beltRun(mm(5), 18, 36, centre, stock);
    expect(run.shorter).toMatchObject({ teeth: 70 });
    expect(run.longer).toMatchObject({ teeth: 80 });
  });

  it('end where the stock ends', () => {
    expect(beltRun(mm(5), 18, 36, mm(400), stock).longer).toBeUndefined();
    expect(beltRun(mm(5), 18, 36, mm(20), [80]).shorter).toBeUndefined();
    // Sold, but too short to go round.
    expect(beltRun(mm(5), 40, 80, mm(120), [50]).shorter).toBeUndefined();
  });

  it('lose a fifth of their pull with every tooth under six', () => {
    expect([12, 6, 5, 4, 3, 2, 1, 0].map(meshDerating)).toEqual([1, 1, 0.8, 0.6, 0.4, 0.2, 0, 0]);
  });

  it('pull by their width and profile, where the pitch is known', () => {
    expect(pullPerWidth('round', mm(5))! * mm(15)).toBeCloseTo(270, 9);
    expect(pullPerWidth('modified round', mm(8))! * mm(20)).toBeCloseTo(1200, 9);
    expect(pullPerWidth('round', mm(6))).toBeUndefined();
  });
});

describe('a ladder of belts', () => {
  it('is none where one belt reaches, or where none goes round', () => {
    const reach = centreForPitches(mm(5), 18, 36, 100)!;
    expect(beltLadder(mm(5), 18, 36, 100, reach)).toBeUndefined();
    expect(beltLadder(mm(5), 18, 150, 100, 2)).toBeUndefined();
  });

  it('goes on by equal steps until it reaches', () => {
    const [first, step] = [centreForPitches(mm(5), 18, 36, 100)!, centreForPitches(mm(5), 18, 18, 100)!];
    expect(beltLadder(mm(5), 18, 36, 100, first + 0.001)).toEqual({ middles: 1, reach: first + step });
    const far = beltLadder(mm(5), 18, 36, 100, 1)!;
    expect(far.reach).toBeGreaterThanOrEqual(1);
    expect(far.reach - step).toBeLessThan(1);
  });
});

describe('spur gears', () => {
  it('take Y from the table and straight between its rows', () => {
    expect(lewisFactor(17)).toBe(0.303);
    expect(lewisFactor(23)).toBeCloseTo((0.331 + 0.337) / 2, 12);
    expect(lewisFactor(300)).toBe(0.472);
    expect(lewisFactor(1000)).toBe(0.472);
    expect(lewisFactor(11)).toBeUndefined();
  });

  // By hand, docs/models.md: module 1 mm, 20 teeth, 10 mm, 2 N·m at rest.
  it('bend at their foot: 62.1 MPa for 2 N·m on 20 teeth of 1 mm', () => {
    const tooth = { module: mm(1), teeth: 20, face: mm(10) };
    expect(bendingStress(tooth, 2, 0)).toBeCloseTo(200 / (mm(10) * mm(1) * 0.322), 3);
    expect(bendingTorque(tooth, bendingStress(tooth, 2, 0), 0)).toBeCloseTo(2, 12);
    // At 610 rad/s the pitch line runs 6.1 m/s: twice the stress.
    expect(bendingStress(tooth, 2, 610)).toBeCloseTo(2 * bendingStress(tooth, 2, 0), 3);
  });

  it('mesh at half the sum of their diameters, a little further for play', () => {
    expect(gearCentre(mm(1), 16, 54)).toBeCloseTo(mm(35), 12);
    expect(backlashAllowance(mm(1))).toBeCloseTo(mm(0.05), 12);
    expect(backlashAllowance(mm(3))).toBeCloseTo(mm(0.12), 12);
    expect(centreForBacklash(mm(0.1))).toBeCloseTo(mm(0.1) / (2 * Math.tan(degrees(20))), 12);
  });
});

describe('a worm', () => {
  it('stays by itself only where it does so at seven tenths of its friction', () => {
    const flank = degrees(14.5);
    const staysFrom = Math.cos(flank) * Math.tan(degrees(5));
    expect(selfHolding(degrees(5), staysFrom / 0.65, flank)).toMatchObject({ answer: 'stays' });
    expect(selfHolding(degrees(5), staysFrom * 1.1, flank)).toMatchObject({ answer: 'may creep', asGiven: 0 });
    expect(selfHolding(degrees(5), staysFrom * 0.9, flank)).toMatchObject({ answer: 'runs back' });
    expect(selfHolding(degrees(5), 0.1, flank).staysFrom).toBeCloseTo(staysFrom, 12);
    expect(screwBackEfficiency(degrees(5), staysFrom * 1.0001, flank)).toBe(0);
    expect(screwBackEfficiency(degrees(5), staysFrom * 0.9999, flank)).toBeGreaterThan(0);
  });
});

describe('shafts', () => {
  it('carry by the cube of their size', () => {
    const carried = (size: number) => torqueOfShaft('round', size, 140e6, 0, 0);
    expect(carried(mm(12))).toBeCloseTo((140e6 * Math.PI * mm(12) ** 3) / 16, 9);
    expect(carried(mm(24)) / carried(mm(12))).toBeCloseTo(8, 9);
  });

  it('of hexagon carry 0.188·s³, bent no more than a round one of that width', () => {
    expect(torqueOfShaft('hexagon', mm(12), 140e6, 0, 0)).toBeCloseTo(140e6 * 0.188 * mm(12) ** 3, 9);
    const bent = torqueOfShaft('hexagon', mm(12), 140e6, 1 / mm(20), mm(60));
    expect(bent).toBeCloseTo(torqueOfShaft('round', mm(12), 140e6, 1 / mm(20), mm(60)), 9);
  });

  it('with a key lose a quarter', () => {
    expect(torqueOfShaft('keyed', mm(12), 140e6, 0, 0)).toBeCloseTo(
      0.75 * torqueOfShaft('round', mm(12), 140e6, 0, 0),
      9,
    );
  });
});

describe('a layout', () => {
  const stage = (id: string, over: Partial<StageRoom>): StageRoom => ({
    id,
    plane: 1,
    direction: 0,
    centre: mm(60),
    driverRadius: mm(10),
    drivenRadius: mm(40),
    addendum: mm(1),
    shaftRadius: mm(4),
    bearing: mm(22),
    ...over,
  });
  const numbers = (id: string) => Number(id.slice(1));
  const L = [stage('s1', { plane: 1 }), stage('s2', { plane: 2, direction: Math.PI / 2 })];

  it('puts each shaft where the stages lead', () => {
    const { shafts } = layOut(L, mm(3));
    expect(shafts.map(({ x, y }) => [x, y].map((value) => Number((1000 * value).toFixed(6))))).toEqual([
      [0, 0],
      [60, 0],
      [60, 60],
    ]);
    expect(shafts.map(({ from, to }) => [from, to])).toEqual([
      [1, 1],
      [1, 2],
      [2, 2],
    ]);
  });

  it('in an L of two planes collides nowhere', () => {
    expect(gapsOf(layOut(L, mm(3)), numbers).filter(({ gap }) => gap < 0)).toEqual([]);
  });

  it('in an L of one plane collides with both its wrong neighbours', () => {
    // The large wheel of the second stage runs into the large wheel of the first, and its driver into the same.
    const flat = layOut([L[0]!, { ...L[1]!, plane: 1 }], mm(3));
    const clashes = gapsOf(flat, numbers).filter(({ gap }) => gap < 0);
    expect(clashes.map(({ a, b }) => `${a}, ${b}`)).toEqual([
      'driven wheel of stage 1, driver of stage 2',
      'driven wheel of stage 1, driven wheel of stage 2',
    ]);
    expect(clashes[1]!.gap).toBeCloseTo(mm(60 - 82), 9);
  });

  it('sees a shaft that a wheel of another stage would cut', () => {
    const folded = layOut(
      [
        stage('s1', { plane: 2 }),
        stage('s2', { plane: 2, direction: Math.PI, centre: mm(55), driverRadius: mm(8) }),
        stage('s3', { plane: 1 }),
      ],
      mm(3),
    );
    expect(gapsOf(folded, numbers).some(({ b, gap }) => b === 'motor shaft' && gap < 0)).toBe(true);
  });

  it('keeps a gearbox on its own axis, and an idler on a pin between', () => {
    const { wheels, shafts } = layOut(
      [
        stage('s1', { centre: 0, driverRadius: 0, drivenRadius: 0, caseRadius: mm(21) }),
        stage('s2', { plane: 2, driverRadius: mm(10), idlerRadius: mm(5), drivenRadius: mm(20), centre: mm(40) }),
      ],
      mm(3),
    );
    expect(shafts[1]).toMatchObject({ x: 0, y: 0 });
    expect(wheels.map(({ role }) => role)).toEqual(['case', 'driver', 'idler', 'driven']);
    expect(wheels[2]).toMatchObject({ x: mm(15), shaft: -2 });
  });
});
