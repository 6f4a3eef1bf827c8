import { describe, expect, it } from 'vitest';
import {
  matchWork,
  packRestVoltage,
  packTold,
  packVoltage,
  pitChecks,
  resolvePath,
  robotOnPack,
  robotPack,
  runOf,
  scriptOf,
  simulateMatch,
  wornSoFar,
  type MatchScript,
  type PackFigures,
  type When,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, withChange } from './demo.js';

/** What is looked at before a match is made from what the robot is, and what it has seen from what it played. */
const heron = demoPlan('heron');
const checks = pitChecks(heron);
const ids = checks.map(({ id }) => id);

describe('checks of a match', () => {
  it('are each once, hold no NaN, and ask something', () => {
    expect(new Set(ids).size).toBe(ids.length);
    expect(nansIn(checks)).toEqual([]);
    for (const { ask } of checks) expect(ask.length).toBeGreaterThan(5);
  });

  it('are of what the mechanisms have, and of nothing else', () => {
    const chains = heron.mechanisms.flatMap((mechanism) => {
      const path = resolvePath(heron, mechanism, mechanism.jobs[0]!.id);
      return path.stageParts.filter(({ kind }) => kind === 'chain').map(({ id }) => `chain ${mechanism.id} ${id}`);
    });
    expect(ids.filter((id) => id.startsWith('chain '))).toEqual(chains);
    expect(ids).toContain('rope lift');
    expect(ids).toContain('ratchet lift');
    expect(ids).not.toContain('ratchet drive');
    expect(ids).toContain('coupling turntable');
    expect(ids).toContain('horn grip');
    // Brushless motors have none.
    expect(ids).not.toContain('brushes thrower');
  });

  it('change with the plan, and are few without mechanisms', () => {
    const bare = { ...heron, mechanisms: [] };
    expect(pitChecks(bare).every(({ mechanismId }) => mechanismId === undefined)).toBe(true);
    const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const free = withChange(heron, ['mechanisms', lift, 'choices', 0, 'output', 'holder'], 'brake');
    expect(pitChecks(free).map(({ id }) => id)).toContain('brake lift');
  });
});

describe('what a mechanism does in a match', () => {
  it('is what its lane of the script says', () => {
    const lift = mechanismOf(heron, 'lift');
    const work = matchWork(heron, lift);
    const lane = scriptOf(heron)!.lanes.find(({ mechanism }) => mechanism === 'lift')!;
    expect(lane.goes.map(({ job, when }) => [job, when.kind])).toEqual([
      ['raise', 'every'],
      ['lower', 'after'],
    ]);
    // Every 12 s from the first second on up, and two seconds later down again; the end cuts the last one off.
    expect(work.goes).toBe(26);
    const path = resolvePath(heron, lift, 'raise');
    const whole = path.asked.travel! / path.radius / (2 * Math.PI);
    expect(work.turns).toBeGreaterThan(25 * whole);
    expect(work.turns).toBeLessThan(26 * whole);
  });

  it('is its first job over and over where there is no script', () => {
    const { scripts: _scripts, ...plan } = heron;
    const lift = mechanismOf(heron, 'lift');
    const path = resolvePath(plan, lift, lift.jobs[0]!.id);
    const { goes, seconds } = matchWork(plan, lift);
    const one = runOf(path)!.time;
    expect(goes).toBe(Math.floor(path.match.length / Math.max(path.asked.every, one)));
    expect(seconds).toBeCloseTo(goes * one, 9);
  });

  it('turns the shafts in front by their ratio', () => {
    const of = (id: string) => checks.find((check) => check.id === id)!.perMatch!.turns;
    const lift = mechanismOf(heron, 'lift');
    const { train } = resolvePath(heron, lift, 'raise');
    expect(of('gears lift s1') / of('rope lift')).toBeCloseTo(train.total, 9);
    expect(of('chain lift s2') / of('rope lift')).toBeCloseTo(
      train.stages.slice(1).reduce((p, s) => p * s.ratio, 1),
      9,
    );
  });

  it('is told in goes, turns and hours; a share of its life where that is worth a word', () => {
    const perMatch = { goes: 8, seconds: 12, turns: 100 };
    expect(said(wornSoFar({ perMatch }, 2)!)).toBe('16 goes, 200 turns, 24 s at work since new');
    expect(said(wornSoFar({ perMatch, lasts: 20 }, 2)!)).toContain('about 10 % of its life');
    expect(said(wornSoFar({ perMatch, lasts: 1e4 }, 2)!)).not.toContain('life');
    expect(wornSoFar({ perMatch }, 0)).toBeUndefined();
    expect(wornSoFar({}, 5)).toBeUndefined();
  });
});

describe('what a pack tells', () => {
  const pack = robotPack(heron)!;

  it.each([0.05, 0.3, 0.62, 0.97])('gives charge %d back from its volts at rest', (charge) => {
    expect(packTold(pack, packRestVoltage(pack, charge)).charge).toBeCloseTo(charge, 6);
  });

  it('gives its resistance back from its volts under load, and what that is over new', () => {
    const aged: PackFigures = {
      ...pack,
      cellResistance: 2 * pack.cellResistance,
      leadResistance: 2 * pack.leadResistance,
    };
    const rest = packRestVoltage(aged, 0.8);
    const told = packTold(pack, rest, { voltage: packVoltage(aged, 0.8, 30), current: 30 });
    expect(told.aged).toBeCloseTo(2, 9);
    expect(told.beyond).toBeUndefined();
    expect(told.worn).toBe(true);
    const fresh = packTold(pack, packRestVoltage(pack, 0.8), { voltage: packVoltage(pack, 0.8, 30), current: 30 });
    expect(fresh).toMatchObject({ worn: false });
    expect(fresh.aged).toBeCloseTo(1, 9);
  });

  it('says when it is beyond what such a pack can have', () => {
    expect(packTold(pack, 99)).toMatchObject({ charge: 1, beyond: 'full' });
    expect(packTold(pack, 1)).toMatchObject({ charge: 0, beyond: 'empty' });
  });

  it('refuses a load that is none', () => {
    expect(() => packTold(pack, 12, { voltage: 12.5, current: 10 })).toThrow(RangeError);
    expect(() => packTold(pack, 12, { voltage: 11, current: 0 })).toThrow(RangeError);
  });
});

describe('the goes a script makes', () => {
  const lift = mechanismOf(heron, 'lift');
  const goesOf = (...whens: readonly When[]): number => {
    const script: MatchScript = {
      id: 'one',
      name: 'one',
      counts: true,
      parts: [{ name: 'all', seconds: 150 }],
      lanes: [{ mechanism: 'lift', goes: whens.map((when, i) => ({ id: `go ${i}`, job: 'raise', when })) }],
      draws: [],
    };
    return matchWork({ ...heron, scripts: [script] }, lift).goes;
  };

  it('end with the match, whatever the script says', () => {
    expect(goesOf({ kind: 'every', time: 15, from: 0, to: 600 })).toBe(10);
    expect(goesOf({ kind: 'at', time: 250 })).toBe(0);
  });

  it('come again with each go that they wait for', () => {
    const every: When = { kind: 'every', time: 30, from: 0, to: 149 };
    expect(goesOf(every, { kind: 'after', go: 'go 0', wait: 1 })).toBe(10);
  });

  it('wait for their lane: what cannot begin is not played', () => {
    const one = runOf(resolvePath(heron, lift, 'raise'))!.time;
    expect(goesOf({ kind: 'every', time: 0.5, from: 0, to: 150 })).toBe(Math.ceil(150 / one));
  });

  it('are those of the match that is gone through, on the demo too', () => {
    const script = scriptOf(heron)!;
    const played = simulateMatch(robotOnPack(heron, script)!, script);
    script.lanes.forEach(({ mechanism }, i) => {
      const begun = played.goes.filter(({ lane, outcome }) => lane === i && outcome !== 'never begun');
      expect([mechanism, matchWork(heron, mechanismOf(heron, mechanism)).goes]).toEqual([mechanism, begun.length]);
    });
    // Driving about between its pushes is work too.
    expect(matchWork(heron, mechanismOf(heron, 'drive')).seconds).toBeGreaterThan(100);
  });
});
