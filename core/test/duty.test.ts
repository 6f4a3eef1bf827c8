import { describe, expect, it } from 'vitest';
import {
  continuousCurrent,
  cycleOf,
  dayOf,
  daySamples,
  integrateDay,
  lumpsAfter,
  lumpsFrom,
  resolveDcPath,
  runBy,
  runTimeOf,
  thermalFromMass,
  timeToLimit,
  type Plan,
  type Segment,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange } from './demo.js';

const heron = plainPlan('heron');
const pathOf = (plan: Plan, id: string, job = 0) => {
  const mechanism = mechanismOf(plan, id);
  return resolveDcPath(plan, mechanism, mechanism.jobs[job]!.id);
};
const thermal = thermalFromMass(1.15, 120, 25);

describe('two lumps', () => {
  it('go on from where they stand: two halves are the whole', () => {
    const heating = { squared: 900, friction: 12 };
    const start = { winding: 60, shell: 40 };
    const whole = lumpsFrom(start, 0.1, thermal, heating, 80);
    const half = lumpsFrom(start, 0.1, thermal, heating, 40);
    const halves = lumpsFrom(half, 0.1, thermal, heating, 40);
    expect(halves.winding).toBeCloseTo(whole.winding, 9);
    expect(halves.shell).toBeCloseTo(whole.shell, 9);
  });

  it('are what plain small steps give', () => {
    let [w, s] = [70, 45];
    const { windingCapacity: cw, caseCapacity: cc, windingToCase: rwc, caseToAir: rca } = thermal;
    for (let i = 0; i < 50_000; i++) {
      const copper = 1200 * 0.08 * (1 + 0.00393 * (w - 20));
      const [dw, ds] = [(copper - (w - s) / rwc) / cw, ((w - s) / rwc + 9 - (s - 25) / rca) / cc];
      [w, s] = [w + dw * 1e-3, s + ds * 1e-3];
    }
    const exact = lumpsFrom({ winding: 70, shell: 45 }, 0.08, thermal, { squared: 1200, friction: 9 }, 50);
    expect(exact.winding).toBeCloseTo(w, 2);
    expect(exact.shell).toBeCloseTo(s, 2);
  });

  it('cool to the air, and reach the limit for ever at the steady current', () => {
    const cold = lumpsFrom({ winding: 110, shell: 80 }, 0.1, thermal, { squared: 0, friction: 0 }, 20_000);
    expect(cold.winding).toBeCloseTo(25, 3);
    const steady = continuousCurrent(0.1, thermal);
    expect(lumpsAfter(0.1, thermal, steady, 1e6).winding).toBeCloseTo(120, 3);
    expect(timeToLimit(0.1, thermal, steady * 0.99)).toBeNull();
    const seconds = timeToLimit(0.1, thermal, 4 * steady)!;
    expect(lumpsAfter(0.1, thermal, 4 * steady, seconds).winding).toBeCloseTo(120, 6);
  });

  it('that run away are endless for no one', () => {
    const burnt = lumpsFrom({ winding: 25, shell: 25 }, 0.1, thermal, { squared: 1e8, friction: 0 }, 1e5);
    expect(Number.isNaN(burnt.winding)).toBe(false);
  });
});

describe('a cycle', () => {
  it('works, holds and rests: the times add up', () => {
    const path = pathOf(heron, 'climb');
    const cycle = cycleOf(path, runBy(path));
    expect(cycle.seconds).toBe(150);
    expect(cycle.segments.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(150, 9);
    expect(cycle.holdCurrent).toBeGreaterThan(0);
    expect(cycle.segments.at(-2)!.motorSquared).toBeCloseTo(cycle.holdCurrent ** 2, 9);
  });

  it('holds with no current what a ratchet holds', () => {
    const path = pathOf(heron, 'lift');
    expect(cycleOf(path, runBy(path)).holdCurrent).toBe(0);
  });

  it('has the mean square of the run in its pieces', () => {
    const path = pathOf(heron, 'lift');
    const run = runBy(path);
    const work = cycleOf(path, run).segments.slice(0, -1);
    const seconds = work.reduce((sum, piece) => sum + piece.seconds, 0);
    const squared = work.reduce((sum, piece) => sum + piece.seconds * piece.motorSquared, 0) / seconds;
    expect(Math.sqrt(squared) / run.rmsMotorCurrent).toBeCloseTo(1, 2);
  });

  it('spins a flywheel up once, then goes from shot to shot', () => {
    const path = pathOf(heron, 'thrower');
    const cycle = cycleOf(path, runBy(path));
    expect(cycle.prelude.length).toBeGreaterThan(0);
    expect(cycle.segments).toHaveLength(2);
    expect(cycle.segments[0]!.motorSquared).toBeGreaterThan(cycle.segments[1]!.motorSquared);
  });
});

describe('a day of matches', () => {
  /** The same day in plain steps, go by go, with nothing averaged over goes. */
  function plainly(path: ReturnType<typeof pathOf>, segments: readonly Segment[], goes: number) {
    const { windingCapacity: cw, caseCapacity: cc, windingToCase: rwc, caseToAir: rca, ambient } = path.motor.thermal;
    const resistance = path.drive.motor.resistance;
    let [w, s] = [ambient, ambient];
    const ends: number[] = [];
    const pass = ({ seconds, motorSquared, friction }: Segment) => {
      const steps = Math.ceil(seconds / 0.01);
      const dt = seconds / steps;
      for (let i = 0; i < steps; i++) {
        const copper = motorSquared * resistance * (1 + 0.00393 * (w - 20));
        const [dw, ds] = [(copper - (w - s) / rwc) / cw, ((w - s) / rwc + friction - (s - ambient) / rca) / cc];
        [w, s] = [w + dw * dt, s + ds * dt];
      }
    };
    for (let round = 0; round < 3; round++) {
      for (let go = 0; go < goes; go++) segments.forEach(pass);
      ends.push(w);
      if (round < 2) pass({ seconds: 480, motorSquared: 0, friction: 0, supply: 0, supplySquared: 0 });
    }
    return ends;
  }

  it.each(['lift', 'climb', 'intake', 'arm'])('%s is what plain steps through every go give', (id) => {
    const path = pathOf(heron, id);
    const run = runBy(path);
    const day = dayOf(path, run);
    const ends = plainly(path, cycleOf(path, run).segments, day.goes);
    day.heat!.afterMatch.forEach((temperature, i) => expect(temperature).toBeCloseTo(ends[i]!, 1));
  });

  it('gets hotter with less rest between goes and between matches', () => {
    const peak = (plan: Plan) => {
      const path = pathOf(plan, 'lift');
      return dayOf(path, runBy(path)).heat!.peak;
    };
    const often = withChange(heron, ['mechanisms', 1, 'jobs', 0, 'every'], typed(5));
    expect(peak(often)).toBeGreaterThan(peak(heron));
    const hurried = withChange(heron, ['match'], { rest: typed(30) });
    expect(peak(hurried)).toBeGreaterThan(peak(heron));
    const long = withChange(heron, ['match'], { rounds: typed(8) });
    expect(peak(long)).toBeGreaterThan(peak(heron));
  });

  it('says which breaker trips, and when', () => {
    const small = withChange(heron, ['parts', 'breaker-2', 'part', 'rated'], typed(5));
    const path = pathOf(small, 'lift');
    const { branch } = dayOf(path, runBy(path));
    expect(branch!.tripsAt).toBeGreaterThan(0);
    expect(branch!.peak).toBeGreaterThan(1);
    const before = pathOf(heron, 'lift');
    expect(dayOf(before, runBy(before)).branch!.tripsAt).toBeUndefined();
  });

  it('takes more of a lead pack’s charge the harder it draws', () => {
    const path = pathOf(heron, 'lift');
    const cycle = cycleOf(path, runBy(path));
    const plain = integrateDay({ ...path, pack: { ...path.pack, capacityExponent: 1 } }, cycle).charge;
    const lead = integrateDay(path, cycle).charge;
    const amperes = cycle.segments.reduce((sum, { seconds, supply }) => sum + seconds * supply, 0);
    expect(plain).toBeCloseTo(10 * amperes, 6);
    expect(lead).toBeGreaterThan(plain);
  });

  it('of countless goes costs no more than many', () => {
    const restless = withChange(
      withChange(heron, ['mechanisms', 1, 'jobs', 0, 'every'], typed(1e-4)),
      ['mechanisms', 1, 'jobs', 0, 'distance'],
      typed(1e-4),
    );
    const path = pathOf(restless, 'lift');
    const day = dayOf(path, runBy(path));
    expect(daySamples(path, runBy(path)).length).toBeLessThan(25_000);
    expect(day.goes).toBeGreaterThan(1000);
  });
});

describe('How long a pack lasts', () => {
  it('is its usable charge over the mean current of the job, over and over', () => {
    const path = pathOf(heron, 'lift');
    const run = runBy(path);
    const { charge, goes, cycle } = dayOf(path, run);
    const mean = charge / (goes * cycle.seconds);
    const usable = path.pack.usable * path.pack.capacity!;
    expect(runTimeOf(path, run)).toBeCloseTo(usable / mean, 6);
    // Twice as seldom lasts about twice as long: what lead loses by being drawn fast stays.
    const seldom = pathOf(
      withChange(
        heron,
        ['mechanisms', heron.mechanisms.findIndex(({ id }) => id === 'lift'), 'jobs', 0, 'every'],
        typed(30),
      ),
      'lift',
    );
    const ratio = runTimeOf(seldom, runBy(seldom))! / runTimeOf(path, run)!;
    expect(ratio).toBeGreaterThan((0.9 * cycleOf(seldom, runBy(seldom)).seconds) / cycle.seconds);
  });

  it('is not known without the charge of the pack', () => {
    const path = pathOf(heron, 'lift');
    expect(runTimeOf({ ...path, pack: { ...path.pack, capacity: undefined } }, runBy(path))).toBeUndefined();
  });
});
