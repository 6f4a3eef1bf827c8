import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  duesOf,
  evaluateJob,
  inTimeOf,
  judgeDay,
  judged,
  ledgerOf,
  lengthOf,
  matchSentence,
  proposeScript,
  putScript,
  removeJob,
  removeMechanism,
  removeScript,
  robotOnPack,
  settleShared,
  shifted,
  showMultiple,
  simulateMatch,
  withGo,
  withPackAs,
  withoutGo,
  type DayAsked,
  type Go,
  type JudgedDay,
  type MatchResult,
  type MatchScript,
  type MatchStart,
  type PackState,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const limpet = demoPlan('limpet');

const scriptOf = (goes: Readonly<Record<string, readonly Go[]>>, seconds = 20, current = 0): MatchScript => ({
  id: 'm',
  name: 'test',
  counts: true,
  parts: [{ name: 'all', seconds }],
  lanes: Object.entries(goes).map(([mechanism, all]) => ({ mechanism, goes: all })),
  draws: current > 0 ? [{ id: 'boards', name: 'boards', current, from: 0 }] : [],
});
const at = (time: number, job: string, id = `${job} ${time}`): Go => ({ id, job, when: { kind: 'at', time } });
const atCharge = (charge: number): MatchStart => ({ charge, lumps: [], branches: [], main: 0 });

function marched(
  plan: Plan,
  script: MatchScript,
  options: Parameters<typeof simulateMatch>[2] & PackState = {},
): MatchResult {
  return simulateMatch(withPackAs(robotOnPack(plan, script)!, options), script, options);
}
const took = ({ goes }: MatchResult, go = 0): number => goes[go]!.ended! - goes[go]!.began!;

/** Nothing else draws while a mechanism is looked at alone. */
const alone = withChange(heron, ['supply', heron.supply.findIndex(({ kind }) => kind === 'pack'), 'others'], undefined);

describe('A pack that is shared', () => {
  it('is settled where what is drawn and what is given agree', () => {
    // A drive on a limit of 400 W and a resistor of 0.5 Ω: V = 12 − 0.02·(400/V + 2·V), by the formula for a quadratic.
    const volts = (12 + Math.sqrt(144 - 4 * 1.04 * 0.02 * 400)) / (2 * 1.04);
    const settled = settleShared({ rest: 12, resistance: 0.02 }, (v) => 400 / v + 2 * v);
    expect(settled.volts).toBeCloseTo(volts, 6);
    expect(settled.collapsed).toBe(false);
  });

  it('takes the higher of two answers, from any guess', () => {
    const high = (12 + Math.sqrt(144 - 4 * 0.05 * 600)) / 2;
    for (const guess of [undefined, 12, 9, 7, 3, 0.5])
      expect(settleShared({ rest: 12, resistance: 0.05 }, (v) => 600 / v, guess).volts).toBeCloseTo(high, 5);
  });

  it('says that it collapses where no volts carry what is asked', () => {
    // At most 12²/(4·0.05) = 720 W can be had.
    expect(settleShared({ rest: 12, resistance: 0.05 }, (v) => 719 / v).collapsed).toBe(false);
    const { collapsed, volts } = settleShared({ rest: 12, resistance: 0.05 }, (v) => 730 / v);
    expect(collapsed).toBe(true);
    expect(volts).toBeGreaterThan(0);
  });

  it('rises above rest where more is returned than drawn', () => {
    expect(settleShared({ rest: 12, resistance: 0.02 }, () => -25).volts).toBeCloseTo(12.5, 6);
  });
});

describe('A match', () => {
  it('with one mechanism in it is the mechanism alone', () => {
    for (const [id, job] of [
      ['lift', 'raise'],
      ['drive', 'sprint'],
      ['arm', 'reach'],
      ['thrower', 'throw'],
      ['turntable', 'turn'],
      ['grip', 'close'],
    ] as const) {
      const mechanism = mechanismOf(alone, id);
      const jobId = mechanism.jobs.find((one) => one.id === job)?.id ?? mechanism.jobs[0]!.id;
      const { run } = evaluateJob(alone, mechanism, jobId);
      const result = marched(alone, scriptOf({ [id]: [at(1, jobId)] }), { start: atCharge(0.5) });
      expect(result.goes[0]!.outcome, id).toBe('arrived');
      expect(took(result) / run!.time, id).toBeCloseTo(1, 2);
      expect(result.leastVolts.volts / run!.leastPackVoltage, id).toBeCloseTo(1, 2);
    }
  });

  it('with two goes a long time apart has two single ones', () => {
    const single = marched(alone, scriptOf({ lift: [at(1, 'raise')] }));
    const twice = marched(alone, scriptOf({ lift: [at(1, 'raise'), at(11, 'raise')] }));
    expect(took(twice, 1)).toBeCloseTo(took(single), 2);
    expect(twice.lanes[0]!.energy).toBeCloseTo(2 * single.lanes[0]!.energy, -1);
  });

  it('makes a lift slower while the drive pulls, and tells who was on at the dip', () => {
    const single = marched(alone, scriptOf({ lift: [at(2, 'raise')] }));
    const both = marched(alone, scriptOf({ drive: [at(1.9, 'sprint')], lift: [at(2, 'raise')] }));
    const lift = both.goes.find(({ lane }) => lane === 1)!;
    expect(lift.ended! - lift.began!).toBeGreaterThan(1.05 * took(single));
    const boards = both.dips.find(({ of }) => of === 'boards')!;
    expect(boards.who).toEqual([0, 1]);
    expect(boards.time).toBeGreaterThan(1.9);
    expect(boards.multiple).toBeCloseTo((boards.rest - boards.floor) / (boards.rest - boards.volts), 9);
  });

  it('never makes a go earlier by more resistance in the pack', () => {
    const script = scriptOf({ drive: [at(1, 'sprint')], lift: [at(1.2, 'raise')], arm: [at(1.5, 'reach')] });
    let before = [0, 0, 0];
    for (const aged of [1, 1.5, 2, 3]) {
      const result = marched(heron, script, { aged });
      const now = [0, 1, 2].map((lane) => result.goes.find((go) => go.lane === lane)!.ended!);
      now.forEach((time, i) => expect(time, `${aged}, lane ${i}`).toBeGreaterThanOrEqual(before[i]! - 1e-3));
      before = now;
    }
  });

  it.each([
    ['heron', heron],
    ['limpet', limpet],
  ] as const)('of %s balances its energy, and halving the step changes nothing by half a per cent', (_, plan) => {
    const script = proposeScript(plan, 'frantic', 'm1');
    const result = marched(plan, script);
    const lanes = result.lanes.reduce((sum, { energy }) => sum + energy, 0);
    expect((lanes + result.standing + result.wire) / result.energy).toBeCloseTo(1, 3);
    expect(nansIn(result)).toEqual([]);
    const half = marched(plan, script, { step: 0.0025 });
    expect(half.energy / result.energy).toBeCloseTo(1, 2);
    expect(Math.abs(half.leastVolts.volts - result.leastVolts.volts)).toBeLessThan(0.05);
    for (const [i, go] of result.goes.entries()) {
      const other = half.goes[i]!;
      if (go.outcome !== 'arrived' || other.go !== go.go) continue;
      expect((go.ended! - go.began!) / (other.ended! - other.began!), `${go.go} at ${go.began}`).toBeCloseTo(1, 2);
    }
  });

  it('ends a lane whose breaker lets go, and tells when', () => {
    const node = heron.supply.findIndex(({ id }) => id === 'branch-lift');
    const breaker = (heron.supply[node] as { breaker: string }).breaker;
    const weak = withChange(heron, ['parts', breaker, 'part', 'rated'], { si: 4, as: '4 A', source: 'typed' });
    const result = marched(weak, scriptOf({ lift: [at(1, 'raise'), at(8, 'raise')] }));
    expect(result.goes.map(({ outcome }) => outcome)).toEqual(['tripped', 'never begun']);
    expect(result.lanes[0]!.branch!.tripsAt).toBeGreaterThan(1);
  });

  it('lets a go wait for its lane, and for the one it comes after', () => {
    const waits: Go = { id: 'down', job: 'lower', when: { kind: 'after', go: 'up', wait: 0.5 } };
    const result = marched(heron, scriptOf({ lift: [at(1, 'raise', 'up'), waits, at(1.2, 'raise', 'early')] }));
    const of = (id: string) => result.goes.find(({ go }) => go === id)!;
    expect(of('early').began).toBeCloseTo(of('up').ended!, 6);
    expect(of('down').planned).toBeCloseTo(of('up').ended! + 0.5, 6);
    expect(of('down').began).toBeCloseTo(of('early').ended!, 6);
    expect(inTimeOf(of('up'))).toBeCloseTo(of('up').wanted! / (of('up').ended! - of('up').began!), 6);
  });

  it('waits for a slow go as long as it may take, and longer', () => {
    const lift = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const at1 = ['mechanisms', lift, 'jobs', 0];
    const slow = withChange(withChange(heron, [...at1, 'distance'], typed(120)), [...at1, 'time'], typed(150));
    const result = marched(slow, scriptOf({ lift: [at(1, 'raise')] }, 200));
    expect(result.goes[0]!.outcome).toBe('arrived');
    expect(took(result)).toBeGreaterThan(60);
  });

  it('holds a cruising drive at its speed for as long as it was told', () => {
    const cruise: Go = { id: 'c', cruise: { speed: 1, seconds: 4 }, when: { kind: 'at', time: 1 } };
    const result = marched(heron, scriptOf({ drive: [cruise] }));
    expect(took(result)).toBeCloseTo(4, 3);
    expect(result.lanes[0]!.energy).toBeGreaterThan(0);
  });

  it('adds what stands from when to when', () => {
    const script = { ...scriptOf({}), draws: [{ id: 'pump', name: 'pump', current: 10, from: 5, to: 15 }] };
    const result = marched(heron, script);
    expect(result.flowed).toBeCloseTo(100, 6);
    expect(result.peakCurrent.current).toBe(10);
  });
});

describe('A script', () => {
  it('is proposed from the jobs’ own once every, with everything in it and nothing after the end', () => {
    for (const plan of [heron, limpet])
      for (const play of ['calm', 'frantic'] as const) {
        const script = proposeScript(plan, play, 'm1');
        expect(script.lanes.map(({ mechanism }) => mechanism)).toEqual(plan.mechanisms.map(({ id }) => id));
        const dues = duesOf(script, lengthOf(script));
        expect(dues.length).toBeGreaterThan(10);
        expect(
          dues.every(({ planned }, i) => planned < lengthOf(script) && planned >= (dues[i - 1]?.planned ?? 0)),
        ).toBe(true);
      }
    const climb = proposeScript(heron, 'calm', 'm1').lanes.find(({ mechanism }) => mechanism === 'climb')!;
    expect(climb.goes[0]!.when.kind).toBe('at');
  });

  it('repeats to the end of its time and no further', () => {
    const every: Go = { id: 'e', job: 'raise', when: { kind: 'every', time: 5, from: 2, to: 17 } };
    expect(duesOf(scriptOf({ lift: [every] }), 20).map(({ planned }) => planned)).toEqual([2, 7, 12, 17]);
    expect(duesOf(scriptOf({ lift: [every] }), 12).map(({ planned }) => planned)).toEqual([2, 7]);
  });
});

describe('Scripts of a plan', () => {
  const scripts = [proposeScript(heron, 'calm', 'a'), proposeScript(heron, 'frantic', 'b')];
  const plan: Plan = { ...heron, scripts };
  const goesOf = (of: Plan, mechanism: string) =>
    of.scripts!.flatMap(({ lanes }) =>
      lanes.filter((lane) => lane.mechanism === mechanism).flatMap(({ goes }) => goes),
    );

  it('lose the goes of a mechanism or a job that is taken away, and nothing else', () => {
    const without = applyChanges(plan, removeMechanism(plan, 'lift'));
    expect(goesOf(without, 'lift')).toEqual([]);
    expect(goesOf(without, 'arm')).toEqual(goesOf(plan, 'arm'));
    const two = { ...plan, mechanisms: plan.mechanisms.map((m) => (m.id === 'arm' ? { ...m, jobs: [...m.jobs] } : m)) };
    const fewer = applyChanges(two, removeJob(two, 'arm', 'down'));
    expect(goesOf(fewer, 'arm').map(({ job }) => job)).toEqual(['reach', 'reach']);
    // A lane of a mechanism nobody has any more does not shift the others.
    const stale = { ...without, scripts };
    expect(
      marched(stale, scripts[0]!).goes.every(({ lane, go }) =>
        scripts[0]!.lanes[lane]!.goes.some(({ id }) => id === go),
      ),
    ).toBe(true);
  });

  it('are put in, changed in their place and taken out', () => {
    const renamed = applyChanges(plan, putScript(plan, { ...scripts[0]!, name: 'slow' }));
    expect(renamed.scripts!.map(({ name }) => name)).toEqual(['slow', 'frantic']);
    const one = applyChanges(renamed, removeScript(renamed, 'a'));
    expect(applyChanges(one, removeScript(one, 'b')).scripts).toBeUndefined();
  });

  it('shift a go within the match, and set what waited for one free when it goes', () => {
    const script = scriptOf({
      lift: [at(1, 'raise', 'up'), { id: 'down', job: 'lower', when: { kind: 'after', go: 'up', wait: 2 } }],
    });
    const [up] = script.lanes[0]!.goes;
    expect(shifted(up!, 0.5, 20).when).toEqual({ kind: 'at', time: 1.5 });
    expect(shifted(up!, -9, 20).when).toEqual({ kind: 'at', time: 0 });
    expect(shifted(up!, 99, 20).when).toEqual({ kind: 'at', time: 20 });
    expect(withoutGo(script, 'up').lanes[0]!.goes.map(({ when }) => when)).toEqual([{ kind: 'at', time: 2 }]);
    expect(withGo(script, 'arm', at(3, 'reach')).lanes.map(({ mechanism }) => mechanism)).toEqual(['lift', 'arm']);
  });
});

describe('A day of matches', () => {
  const script = scriptOf(
    { drive: [{ id: 'd', job: 'sprint', when: { kind: 'every', time: 6, from: 1, to: 110 } }] },
    120,
  );
  const day = (asked: Partial<DayAsked> = {}): JudgedDay => {
    const march = judgeDay(heron, script, { matches: 6, between: 300, packs: 1, charger: 3, aged: 1, ...asked });
    for (;;) {
      const next = march.next();
      if (next.done) return next.value!;
    }
  };

  it('begins each match with the charge that the charger had time for', () => {
    const one = day();
    const taken = one.matches[0]!.start - one.matches[0]!.end;
    const capacity = robotOnPack(heron, script)!.pack.capacity!;
    // 300 s on 3 A, nine tenths of it kept.
    expect(one.matches[1]!.start).toBeCloseTo(1 - taken + (0.9 * 3 * 300) / capacity, 6);
    expect(one.matches.every(({ start }, i, all) => i === 0 || start < all[i - 1]!.start)).toBe(true);
    const two = day({ packs: 2 });
    expect(two.matches.map(({ pack }) => pack)).toEqual([0, 1, 0, 1, 0, 1]);
    expect(two.matches[2]!.start).toBeCloseTo(1 - taken + (0.9 * 3 * (2 * 420 - 120)) / capacity, 3);
  });

  it('says how many packs are full again when their turn comes', () => {
    const { packsWanted } = day();
    const enough = day({ packs: packsWanted! });
    expect(enough.matches.every(({ start }) => start > 0.999)).toBe(true);
    const short = day({ packs: packsWanted! - 1, matches: 3 * packsWanted! });
    expect(short.matches.at(-1)!.start).toBeLessThan(0.999);
  });

  it('stays as warm as it is without a rest, and cools with a long one', () => {
    const hot = (between: number) => day({ between }).matches.map(({ hottest }) => hottest!.winding);
    const [without, long] = [hot(0), hot(7200)];
    expect(without[3]).toBeGreaterThan(without[0]! + 5);
    expect(long[3]).toBeCloseTo(long[0]!, 0);
  });
});

describe('A pack that is not as on its sheet', () => {
  const robot = robotOnPack(heron, heron.scripts![1]!)!;
  it('resists more when old and cold, and holds less when weak and cold', () => {
    const { pack } = withPackAs(robot, { aged: 1.5, capacity: 0.8, celsius: 0 });
    // Lead: 1.5 % more resistance and 0.8 % less charge for each of 20 kelvin.
    expect(pack.resistance).toBeCloseTo(robot.pack.resistance * 1.5 * 1.3, 9);
    expect(pack.capacity).toBeCloseTo(robot.pack.capacity! * 0.8 * 0.84, 6);
    expect(withPackAs(robot, {}).pack).toEqual(robot.pack);
    expect(withPackAs(robot, { celsius: 35 }).pack).toEqual(robot.pack);
    expect(withPackAs(robot, { celsius: -200 }).pack.capacity).toBeCloseTo(robot.pack.capacity! * 0.3, 6);
  });

  it('has less left after the same match, and dips further', () => {
    const script = scriptOf({ drive: [at(1, 'sprint')] }, 6, 20);
    const [fresh, cold] = [{}, { celsius: -10 }].map((state) => marched(heron, script, state));
    expect(cold!.left!).toBeLessThan(fresh!.left!);
    expect(cold!.leastVolts.volts).toBeLessThan(fresh!.leastVolts.volts);
  });
});

describe('The robot judged by a match', () => {
  const script = proposeScript(heron, 'frantic', 'm1');
  const robot = robotOnPack(heron, script)!;
  const match = judged(robot, script, simulateMatch(robot, script));

  it('says in one sentence what gives first, when, and who was on', () => {
    const { lead, rest } = matchSentence(match);
    expect(lead).toMatch(/^(Enough|Tight|Gives way)\.$/);
    expect(said(rest)).toContain(`gives first, at ${showMultiple(match.rungs[0]!.multiple)}. `);
    expect(said(rest)).not.toMatch(/NaN|undefined|\[object/);
  });

  it('puts the worst in front, and names what stood still for want of a figure', () => {
    expect(match.verdict).toBe(match.rungs[0]!.verdict);
    expect(match.leftOut).toEqual(['Buoy hoist']);
    const ids = new Set(match.rungs.map(({ id }) => id));
    expect(ids).toEqual(
      new Set(['boards', 'cells', 'controller', 'main-breaker', 'branch', 'charge', 'heat', 'late', 'rail']),
    );
  });

  it('counts mass, money and motors as the choices in force are', () => {
    const ledger = ledgerOf(heron);
    const motors = heron.mechanisms.map(({ choices, current }) => choices.find(({ id }) => id === current)!.drive);
    expect(ledger.motors).toBe(motors.reduce((sum, drive) => sum + (drive.kind === 'servo' ? 0 : drive.motors), 0));
    expect(ledger.servos).toBe(
      motors.reduce((sum, drive) => sum + (drive.kind === 'servo' ? drive.servos * (drive.joints ?? 1) : 0), 0),
    );
    expect(ledger.mass.mass).toBeCloseTo(
      ledger.rows.reduce((sum, { mass }) => sum + mass.all.mass, ledger.frame.mass),
      9,
    );
  });
});
