import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  countOf,
  currentChoice,
  duesOf,
  holdsOf,
  matchRungs,
  resolvePath,
  robotOnPack,
  simulateMatch,
  systemOf,
  type Go,
  type MatchResult,
  type MatchScript,
} from '../src/index.js';
import { LaneNow } from '../src/match/lanes/laneNow.js';
import { Mover } from '../src/match/lanes/mover.js';
import type { LaneOn, PackOn } from '../src/match/lanes/onPack.js';
import { PackNow } from '../src/match/lanes/packNow.js';
import { insertDue, type Due } from '../src/match/lanes/schedule.js';
import type { MotionSystem } from '../src/judge/motion/system.js';
import { demoPlan, mechanismOf } from './demo.js';

/** What a match is made of, each piece by hand. */
const go = (when: Go['when'], id = 'go'): Go => ({ id, job: 'raise', when });
const timesOf = (when: Go['when'], length: number): readonly number[] =>
  duesOf({ lanes: [{ mechanism: 'lift', goes: [go(when)] }] } as Pick<MatchScript, 'lanes'>, length).map(
    ({ planned }) => planned,
  );

describe('When goes are due', () => {
  it('once, where that is in the match', () => {
    expect(timesOf({ kind: 'at', time: 40 }, 150)).toEqual([40]);
    expect(timesOf({ kind: 'at', time: 150 }, 150)).toEqual([]);
  });

  it('again and again until their own end, or the match’s', () => {
    expect(timesOf({ kind: 'every', from: 5, time: 20, to: 70 }, 150)).toEqual([5, 25, 45, 65]);
    expect(timesOf({ kind: 'every', from: 0, time: 15, to: 600 }, 50)).toEqual([0, 15, 30, 45]);
    expect(timesOf({ kind: 'every', from: 0, time: 15, to: 45 }, 150)).toEqual([0, 15, 30, 45]);
  });

  it('in the order of their times, the one that was there first in front', () => {
    const due = (planned: number, id: string): Due => ({ lane: 0, go: go({ kind: 'at', time: planned }, id), planned });
    const dues = [due(1, 'a'), due(5, 'b')];
    insertDue(dues, due(3, 'c'));
    insertDue(dues, due(5, 'd'));
    insertDue(dues, due(9, 'e'));
    expect(dues.map(({ go: { id } }) => id)).toEqual(['a', 'c', 'b', 'd', 'e']);
  });
});

const pack: PackOn = {
  resistance: 0.02,
  mainResistance: 0.005,
  capacity: 36_000,
  capacityExponent: 1.2,
  usable: 0.8,
  floor: 9,
  brownOut: 6,
  main: { holds: 100, timeConstant: 8 },
  restAt: () => 12.6,
};
const drawing = (current: number) => ({ current, volts: 12.6 - 0.02 * current, collapsed: false, rounds: 1 }) as never;

describe('The pack as a match goes on', () => {
  it('warms its breaker by the square of what flows, over its own time', () => {
    const now = new PackNow(pack, undefined);
    now.count(0, 4, drawing(60), drawing(60), 12.6, 0);
    expect(now.mainHeat).toBeCloseTo(0.6 ** 2 * (1 - Math.exp(-4 / 8)), 9);
    // Of a current that rises from 0 to 90 A the square's mean is a third of 90².
    const rising = new PackNow(pack, undefined);
    rising.count(0, 4, drawing(0), drawing(90), 12.6, 0);
    expect(rising.mainHeat).toBeCloseTo((0.9 ** 2 / 3) * (1 - Math.exp(-4 / 8)), 9);
    expect([rising.flowed, rising.energy]).toEqual([
      expect.closeTo(4 * 45, 9),
      expect.closeTo(4 * (12.6 * 45 - (0.02 * 90 ** 2) / 3), 9),
    ]);
  });

  it('trips when its heat comes to one, and keeps the peak', () => {
    const now = new PackNow(pack, undefined);
    now.count(10, 20, drawing(150), drawing(150), 12.6, 0);
    expect(now.mainTripsAt).toBe(30);
    const peak = now.mainHeat;
    now.count(30, 20, drawing(0), drawing(0), 12.6, 0);
    expect(now.mainHeat).toBeCloseTo(peak * Math.exp(-20 / 8), 9);
    expect([now.mainPeak, now.mainTripsAt]).toEqual([peak, 30]);
  });

  it('gives less when drawn from faster', () => {
    const [slow, fast] = [new PackNow(pack, undefined), new PackNow(pack, undefined)];
    // The rate at which it is rated takes what flows and no more: 36,000 A·s over twenty hours.
    slow.count(0, 10, drawing(0.5), drawing(0.5), 12.6, 0);
    expect(slow.taken).toBeCloseTo(5, 9);
    fast.count(0, 10, drawing(50), drawing(50), 12.6, 0);
    expect(fast.taken).toBeCloseTo(500 * 100 ** 0.2, 6);
    expect(fast.charge).toBeCloseTo(1 - fast.taken / 36_000, 9);
  });
});

const lane: LaneOn = {
  mechanism: 'lift',
  name: 'Lift',
  jobs: new Map(),
  branchResistance: 0,
  branch: { holds: 20, timeConstant: 5, together: false },
  motors: 2,
  brushless: false,
  thermal: {
    windingCapacity: 40,
    caseCapacity: 200,
    windingToCase: 1,
    caseToAir: 4,
    windingLimit: 120,
    ambient: 25,
  },
  resistance: 0.1,
};
const START = { branch: 0 };
const counted = (on: LaneOn, current: number, seconds = 2): LaneNow => {
  const now = new LaneNow(on, START);
  now.count(0, 1e-9, current, current / on.motors, [12, 12]);
  now.count(0, seconds, current, current / on.motors, [12, 12]);
  return now;
};

describe('A lane as a match goes on', () => {
  it('warms a breaker of its own by what one motor takes, a common one by all', () => {
    const settled = 1 - Math.exp(-2 / 5);
    expect(counted(lane, 30).branchHeat).toBeCloseTo((15 / 20) ** 2 * settled, 6);
    const together = { ...lane, branch: { ...lane.branch!, together: true } };
    expect(counted(together, 30).branchHeat).toBeCloseTo((30 / 20) ** 2 * settled, 6);
  });

  it('keeps the greatest it drew', () => {
    const now = counted(lane, 30);
    now.count(2, 1, 10, 5, [12, 12]);
    expect(now.peak).toBe(30);
  });

  it('heats one phase of a brushless motor at rest twice as much', () => {
    const heat = (on: LaneOn): number => {
      const now = counted(on, 30, 1);
      now.warm(1);
      return now.lumps!.winding - 25;
    };
    expect(heat({ ...lane, brushless: true }) / heat(lane)).toBeCloseTo(2, 1);
  });

  it('warms a motor that turns by its rubbing as well', () => {
    const heron = demoPlan('heron');
    const system = systemOf(resolvePath(heron, mechanismOf(heron, 'drive'), 'sprint') as never);
    const rise = (turning: boolean): number => {
      const now = new LaneNow(lane, START);
      now.mover = new Mover(system, 0.01);
      now.mover.tell(turning ? { kind: 'effort' } : { kind: 'hold', current: 5 }, 0);
      now.mover.speed = turning ? 1 : 0;
      now.count(0, 1e-9, 10, 5, [12, 12]);
      now.count(0, 1, 10, 5, [12, 12]);
      now.warm(1);
      return 40 * (now.lumps!.winding - 25) + 200 * (now.lumps!.shell - 25);
    };
    const mover = new Mover(system, 0.01);
    mover.speed = 1;
    // What a second of five amperes leaves in 0.1 Ω, and what rubs beside it.
    expect(rise(false)).toBeCloseTo(25 * 0.1, 1);
    expect(mover.frictionAt(5)).toBeGreaterThan(1);
    expect(rise(true) - rise(false)).toBeCloseTo(mover.frictionAt(5), 0);
  });

  it('draws what a known run takes over time, and nothing after its end', () => {
    const now = new LaneNow(lane, START);
    const sample = (time: number, supplyCurrent: number) => ({ time, supplyCurrent, packVoltage: 12 });
    const run = { time: 2, samples: [sample(0, 2), sample(1, 6), sample(2, 4)] } as never;
    now.timed = { run, since: 10, at: 0 };
    const at = (time: number): number => now.drawnAt(12, 0, 0, time);
    expect([at(10), at(10.5), at(11), at(11.5), at(12)].map((one) => Number(one.toFixed(6)))).toEqual([2, 4, 6, 5, 4]);
    expect(at(12.1)).toBe(0);
    // The same watts at fewer volts.
    expect(now.drawnAt(6, 0, 0, 11)).toBeCloseTo(12, 6);
  });
});

describe('What all motors of a lane draw', () => {
  const heron = demoPlan('heron');
  const system = systemOf(resolvePath(heron, mechanismOf(heron, 'drive'), 'sprint') as never);
  const motors = (count: number): Mover => {
    // Without limits of a controller: what the volts alone drive.
    const drive = { ...system.drive, motors: count, statorLimit: undefined, supplyLimit: undefined };
    return new Mover({ ...system, drive, rampTime: 1 } satisfies MotionSystem, 0.01);
  };
  const FOUR = 4;
  const each = (command: Mover['command'], time: number): readonly number[] =>
    [1, FOUR].map((count) => {
      const mover = motors(count);
      mover.tell(command, 0);
      return mover.drawn(12, 0, 0.5, time);
    });

  it('is that of one, so many times', () => {
    const [one, four] = each({ kind: 'hold', current: 8 }, 2);
    expect(one).toBeGreaterThan(0);
    expect(four).toBeCloseTo(FOUR * one!, 9);
    const [effort, efforts] = each({ kind: 'effort' }, 2);
    expect(efforts).toBeCloseTo(FOUR * effort!, 9);
    const follow = { kind: 'follow', speedAt: () => 0.6, rateAt: () => 0 } as unknown as Mover['command'];
    const follows = (count: number): number => {
      const mover = motors(count);
      mover.tell(follow, 0);
      return mover.drawn(12, 0, 0.5, 2) / mover.pull.supplyCurrent;
    };
    expect(follows(FOUR)).toBeCloseTo(FOUR, 9);
  });

  it('rises with the ramp: half of it is half of the effort', () => {
    const mover = motors(1);
    mover.tell({ kind: 'effort' }, 0);
    const [ramped, whole] = [mover.drawn(12, 0, 0, 0.5), mover.drawn(12, 0, 0, 2)];
    // From rest the current at the motor goes with the effort, that at the pack with its square, but for what sags.
    expect(ramped / whole).toBeGreaterThan(0.2);
    expect(ramped / whole).toBeLessThan(0.4);
  });
});

describe('What breakers have left in a match', () => {
  it('is told in times the current, of which heat is the square', () => {
    const heron = demoPlan('heron');
    const script = heron.scripts![0]!;
    const robot = robotOnPack(heron, script)!;
    const result = simulateMatch(robot, script);
    const rungs = matchRungs(robot, result);
    const told = [
      { rung: rungs.find(({ id }) => id === 'main-breaker'), peak: result.main!.peak },
      ...result.lanes.flatMap(({ mechanism, branch }) =>
        branch && branch.peak > 0
          ? [{ rung: rungs.find((one) => one.id === 'branch' && one.mechanism === mechanism), peak: branch.peak }]
          : [],
      ),
    ];
    expect(told.length).toBeGreaterThan(3);
    for (const { rung, peak } of told) expect(rung!.multiple ** 2 * peak).toBeCloseTo(1, 9);
  });

  it('is of all motors behind one breaker, whose wire they share', () => {
    const heron = demoPlan('heron');
    const at = heron.supply.findIndex(({ id }) => id === currentChoice(mechanismOf(heron, 'drive')).drive.node);
    const script = heron.scripts![0]!;
    const resistanceOf = (together: boolean): number => {
      const plan = applyChanges(heron, [{ at: ['supply', at, 'together'], to: together }]);
      return robotOnPack(plan, script)!.lanes.find(({ mechanism }) => mechanism === 'drive')!.branchResistance;
    };
    const { drive } = currentChoice(mechanismOf(heron, 'drive'));
    expect(resistanceOf(true)).toBeCloseTo(countOf(drive) * resistanceOf(false), 12);
  });
});

describe('What is held between goes', () => {
  it('is every stretch in which a lane draws without a go', () => {
    const result = {
      length: 10,
      goes: [{ lane: 0, go: 'a', began: 2, ended: 4 }],
      samples: {
        times: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9],
        lanes: [[0, 0, 30, 30, 6, 6, 6, 0, 0.01, 0]],
      },
    } as unknown as MatchResult;
    expect(holdsOf(result, 0)).toEqual([{ from: 4, to: 7, current: 6 }]);
    expect(holdsOf(result, 1)).toEqual([]);
  });
});
