import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  findDayMends,
  findRobotMends,
  holdsOf,
  judgeDay,
  judgeMatch,
  judgeRobot,
  lengthOf,
  lowestDips,
  momentAt,
  momentRungs,
  robotOnPack,
  simulateMatch,
  type JudgedMatch,
  type MatchScript,
  type Plan,
  type RobotMendsFound,
  type RobotRung,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, typed, withChange } from './demo.js';

const heron = demoPlan('heron');

function end<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
/** A short match, so that many are gone through: drive and lift together, and what else they meet. */
const short: MatchScript = {
  id: 'short',
  name: 'short',
  counts: true,
  parts: [{ name: 'all', seconds: 20 }],
  lanes: [
    { mechanism: 'drive', goes: [{ id: 'sprint', job: 'sprint', when: { kind: 'every', time: 10, from: 1, to: 18 } }] },
    { mechanism: 'lift', goes: [{ id: 'raise', job: 'raise', when: { kind: 'every', time: 10, from: 1, to: 18 } }] },
    { mechanism: 'thrower', goes: [{ id: 'shot', job: 'shot', when: { kind: 'every', time: 1.5, from: 1, to: 18 } }] },
    { mechanism: 'arm', goes: [{ id: 'reach', job: 'reach', when: { kind: 'at', time: 1 } }] },
  ],
  draws: [{ id: 'boards', name: 'boards', current: 1.5, from: 0 }],
};
const playing = (script: MatchScript): Plan => ({ ...heron, scripts: [script], event: undefined });
const matchOf = (plan: Plan): JudgedMatch => end(judgeMatch(plan, plan.scripts![0]!))!;
const rungOf = ({ rungs }: JudgedMatch, id: RobotRung['id'], mechanism?: string) =>
  rungs.find((rung) => rung.id === id && (mechanism === undefined || rung.mechanism === mechanism))!;
const mended = (plan: Plan, id: RobotRung['id'], mechanism?: string): RobotMendsFound => {
  const match = matchOf(plan);
  return end(findRobotMends(plan, match, rungOf(match, id, mechanism)));
};

describe('A lift that comes late because the drive sprints', () => {
  const plan = playing(short);
  const found = mended(plan, 'late', 'lift');

  it('is late today, and mended by beginning it later, by settings and by parts', () => {
    const late = rungOf(matchOf(plan), 'late', 'lift');
    expect(late.verdict).toBe('gives way');
    expect(found.done).toBe(true);
    const labels = found.mends.map(({ label }) => said(label));
    expect(labels).toContainEqual(expect.stringMatching(/^Mast lift [\d.]+ s later$/));
    expect(labels).toContain('Mast lift: One more motor');
    expect(found.mends.map(({ before }) => before)).toEqual(found.mends.map(() => late.multiple));
  });

  it('each mend does what it says when its changes are made, and nothing else gives way', () => {
    const gave = new Set(end(judgeRobot(plan)).matches.flatMap(({ rungs }) => gives(rungs)));
    for (const { changes, after } of found.mends) {
      const match = matchOf(applyChanges(plan, changes));
      expect(rungOf(match, 'late', 'lift').multiple).toBeCloseTo(after, 9);
      expect(after).toBeGreaterThanOrEqual(1);
      expect(gives(match.rungs).filter((id) => !gave.has(id))).toEqual([]);
    }
  });

  it('the least shift does it: a little less does not', () => {
    const shift = found.mends.find(({ levers: [id] }) => id === 'shift')!;
    const by = Number(/([\d.]+) s later/.exec(said(shift.label))![1]);
    const SHIFTS = [0.3, 0.6, 1, 1.5, 2.5, 4];
    const less = SHIFTS[SHIFTS.indexOf(by) - 1];
    if (less === undefined) return;
    const sooner = {
      ...short,
      lanes: short.lanes.map((lane) =>
        lane.mechanism === 'lift'
          ? {
              ...lane,
              goes: [
                {
                  id: 'raise',
                  job: 'raise',
                  when: { kind: 'every' as const, time: 10, from: 1 + less, to: 18 + less },
                },
              ],
            }
          : lane,
      ),
    };
    expect(rungOf(matchOf(playing(sooner)), 'late', 'lift').multiple).toBeLessThan(1);
  });
});
const gives = (rungs: readonly RobotRung[]) =>
  rungs.filter(({ verdict }) => verdict === 'gives way').map(({ id, mechanism }) => `${id} ${mechanism}`);

it('A dip that is tight is mended by who was on: a ramp, a limit, a go begun later, thicker leads, one more pack', () => {
  const weak = playing(short);
  const match = end(judgeMatch(weak, short, { aged: 1.7 }))!;
  const dip = rungOf(match, 'boards');
  expect(dip.verdict).not.toBe('enough');
  const { mends } = end(findRobotMends(weak, match, dip, { aged: 1.7 }));
  const levers = mends.map(({ levers: [id] }) => id);
  expect(levers).toContain('shift');
  expect(levers).toContain('cap');
  expect(levers).toContain('packs');
  for (const { changes, after } of mends) {
    const changed = applyChanges(weak, changes);
    const again = end(judgeMatch(changed, changed.scripts![0]!, { aged: 1.7 }))!;
    const rung = again.rungs.find(({ id }) => id === 'boards');
    expect(rung?.multiple ?? Infinity).toBeCloseTo(after, 6);
    expect(after).toBeGreaterThan(dip.multiple);
  }
});

it('Where no single change of settings does it, two together are tried, and say so', () => {
  // All three at once from the start, the lift asked to be as quick as alone: only parts, or two changes, do it.
  const asked = withChange(playing(short), ['mechanisms', 1, 'jobs', 0, 'time'], typed(1.49));
  const found = mended(asked, 'late', 'lift');
  const settings = found.mends.filter(({ levers }) => levers.length === 1 && !['motors', 'packs'].includes(levers[0]!));
  expect(found.pairs).toBe(settings.length === 0);
  for (const { changes, after } of found.mends) {
    const match = matchOf(applyChanges(asked, changes));
    expect(rungOf(match, 'late', 'lift').multiple).toBeCloseTo(after, 9);
  }
});

it('A mend keeps to the event: no motor more where its motors are used up', () => {
  const plan: Plan = {
    ...playing(short),
    event: { name: 'test', limits: [{ id: 'm', kind: 'most', of: 'motors', most: typed(12) }] },
  };
  expect(mended(plan, 'late', 'lift').mends.flatMap(({ levers }) => levers)).not.toContain('motors');
});

describe('A day that fails', () => {
  const busy: MatchScript = {
    ...short,
    parts: [{ name: 'all', seconds: 60 }],
    lanes: [
      { mechanism: 'drive', goes: [{ id: 'push', job: 'push', when: { kind: 'every', time: 20, from: 1, to: 58 } }] },
    ],
    draws: [{ id: 'pump', name: 'pump', current: 40, from: 0 }],
  };
  const plan: Plan = { ...playing(busy), day: { matches: 6, between: 120, packs: 1, charger: 0.5 } };
  const day = (of: Plan) => end(judgeDay(of, of.scripts![0]!, of.day!))!;

  it('lasts longer with what is found, and each says how long', () => {
    const { failsAt } = day(plan);
    expect(failsAt, JSON.stringify(day(plan).matches.map(({ end, first }) => [end, first?.name]))).toBeGreaterThan(0);
    const mends = end(findDayMends(plan, busy, failsAt!, {}));
    expect(mends.length).toBeGreaterThan(0);
    for (const { changes, failsAt: then } of mends) {
      expect(day(applyChanges(plan, changes)).failsAt).toBe(then);
      expect(then ?? Infinity).toBeGreaterThan(failsAt!);
    }
    expect(mends.map(({ label }) => said(label))).toContain(`A full pack from elsewhere before match ${failsAt! + 1}`);
  });

  it('a full pack from elsewhere is full, and its own rests meanwhile', () => {
    const fresh = { ...plan, day: { ...plan.day!, fresh: [1] } };
    const { matches } = day(fresh);
    expect(matches[1]).toMatchObject({ pack: undefined, start: 1 });
    expect(matches[2]!.start).toBeGreaterThan(day(plan).matches[2]!.start);
  });
});

it('The lowest dips lie apart, the lowest first, each with who was on', () => {
  const match = matchOf(playing(short));
  const low = lowestDips(match, 3);
  expect(low.length).toBeGreaterThan(1);
  expect(low.map(({ multiple }) => multiple)).toEqual([...low.map(({ multiple }) => multiple)].sort((a, b) => a - b));
  low.forEach((one, i) =>
    low.slice(i + 1).forEach((other) => expect(Math.abs(one.time - other.time)).toBeGreaterThanOrEqual(5)),
  );
  expect(low[0]!.multiple).toBeGreaterThanOrEqual(rungOf(match, 'boards').multiple * 0.99);
  // The drive sprints and the lift goes up in both.
  for (const { who } of low.slice(0, 2)) expect(who.slice(0, 4)).toEqual(expect.arrayContaining([0, 1]));
});

it('A match is shown as it goes: at its end charge and breakers are what they came to, in between less', () => {
  const match = matchOf(playing(short));
  const last = match.result.samples.times.length - 1;
  const of = (moment: number, id: RobotRung['id']) => momentRungs(match, moment).find((rung) => rung.id === id);
  expect(of(last, 'charge')!.multiple).toBeCloseTo(rungOf(match, 'charge').multiple, 1);
  expect(of(Math.floor(last / 3), 'charge')!.multiple).toBeGreaterThan(of(last, 'charge')!.multiple);
  const least = match.result.samples.times.reduce(
    (worst, _, k) => Math.min(worst, of(k, 'boards')?.multiple ?? Infinity),
    Infinity,
  );
  expect(least).toBeGreaterThanOrEqual(rungOf(match, 'boards').multiple - 1e-9);
  expect(least).toBeLessThan(1.3 * rungOf(match, 'boards').multiple);
  expect(momentAt(match, 0)).toBe(0);
  expect(momentAt(match, 1e9)).toBe(last);
  const { times } = match.result.samples;
  expect(times[momentAt(match, 5)]!).toBeLessThanOrEqual(5);
  expect(nansIn(momentRungs(match, last))).toEqual([]);
});

it('A load that is let down behind brakes with a return limit is held in a dip as it is alone', () => {
  const lift = mechanismOf(heron, 'lift');
  const { drive } = lift.choices[0]!;
  expect(drive.kind === 'dc' && drive.returnLimit?.si).toBe(2.6);
  const goes = [{ id: 'lower', job: 'lower', when: { kind: 'at' as const, time: 1 } }];
  const script: MatchScript = {
    ...short,
    lanes: [{ mechanism: 'lift', goes }],
    draws: [{ id: 'pump', name: 'pump', current: 180, from: 1.5, to: 20 }],
  };
  for (const share of [0.6, 0.8, 1, 1.2]) {
    const plan = withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'returnLimit'], typed(2.6 * share));
    const [go] = simulateMatch(robotOnPack(plan, script)!, script).goes;
    expect(go!.outcome, `${share}`).toBe('arrived');
    expect(go!.ended! - go!.began!).toBeLessThan(1.3 * go!.alone!);
  }
  expect(lengthOf(script)).toBe(20);
});

it('A stepper’s driver gives up in a dip like any controller, and is mended by turning a little later', () => {
  const goes = [{ id: 'turn', job: 'turn', when: { kind: 'at' as const, time: 1 } }];
  const plan = playing({ ...short, lanes: [...short.lanes, { mechanism: 'turntable', goes }] });
  const match = matchOf(plan);
  const dip = rungOf(match, 'controller', 'turntable');
  expect(said(dip.sentence)).toContain('its controller gives up under 9 V');
  const { mends } = end(findRobotMends(plan, match, dip));
  expect(mends.map(({ label }) => said(label))).toContainEqual(expect.stringMatching(/^Turntable [\d.]+ s later$/));
});

it('Servos that share a regulator are judged by what all draw at once', () => {
  const goes = (id: string, job: string) => [{ id, job, when: { kind: 'at' as const, time: 1 } }];
  const script: MatchScript = {
    ...short,
    lanes: [
      { mechanism: 'grip', goes: goes('hold', 'hold') },
      { mechanism: 'camera', goes: goes('look', 'look') },
    ],
  };
  const burst = heron.supply.findIndex(({ id }) => id === 'rail-servos');
  const judgedAt = (amperes: number) => {
    const plan = { ...withChange(heron, ['supply', burst, 'burst'], typed(amperes)), scripts: [script] };
    return [plan, matchOf(plan)] as const;
  };
  const [, wide] = judgedAt(8);
  const drawn = 8 / rungOf(wide, 'rail').multiple;
  const [plan, narrow] = judgedAt(0.9 * drawn);
  expect(rungOf(narrow, 'rail').multiple).toBeCloseTo(0.9, 2);
  expect(said(rungOf(narrow, 'rail').sentence)).toContain('Crate grip + Camera pan-tilt draw');
  const { mends } = end(findRobotMends({ ...plan, event: undefined }, narrow, rungOf(narrow, 'rail')));
  expect(mends.map(({ label }) => said(label))).toContainEqual(
    expect.stringMatching(/^(Crate grip|Camera pan-tilt) [\d.]+ s later$/),
  );
});

it('What a motor holds between two goes is told, from the end of one to the beginning of the next', () => {
  const plan = {
    ...withChange(heron, ['mechanisms', 1, 'choices', 0, 'output', 'holder'], undefined),
    scripts: [{ ...short, lanes: short.lanes.filter(({ mechanism }) => mechanism === 'lift') }],
  };
  const { result } = matchOf(plan);
  const ends = result.goes.map(({ began, ended }) => [began!, ended!]);
  const held = holdsOf(result, 0);
  expect(held).toHaveLength(2);
  held.forEach(({ from, to, current }, i) => {
    expect(from).toBeCloseTo(ends[i]![1]!, 0);
    expect(to).toBeCloseTo(ends[i + 1]?.[0] ?? result.length, 0);
    expect(current).toBeGreaterThan(0);
  });
  expect(holdsOf(result, 7)).toEqual([]);
});
