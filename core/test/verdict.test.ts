import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  atOnce,
  compareVerdicts,
  evaluate,
  inMetric,
  judgeRobot,
  judgeTogether,
  judgeWholeRobot,
  robotSentence,
  robotText,
  rollUp,
  worded,
  type EventLimit,
  type Plan,
  type RobotFinding,
  type RobotVerdict,
  type Verdict,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

const heron = demoPlan('heron');
const limpet = demoPlan('limpet');

const judged = (plan: Plan): RobotVerdict => atOnce(judgeWholeRobot(plan));
function told(verdict: RobotVerdict): string {
  const { lead, rest } = robotSentence(verdict);
  return `${lead} ${worded(rest, inMetric)}`;
}
const without = (plan: Plan, ...ids: readonly string[]): Plan => ({
  ...plan,
  mechanisms: plan.mechanisms.filter(({ id }) => !ids.includes(id)),
});
/** Heron in its calm match alone, without what falls, what is not known, and its event. */
const calm: Plan = {
  ...without(heron, 'climb', 'hoist'),
  event: undefined,
  day: undefined,
  scripts: heron.scripts!.filter(({ name }) => name === 'calm'),
};

it('What never gets there in a match is said so, and not 0×', () => {
  const lift = calm.mechanisms.findIndex(({ id }) => id === 'lift');
  const heavy = withChange(calm, ['mechanisms', lift, 'jobs', 0, 'mass'], typed(120));
  const verdict = judged(heavy);
  const match = verdict.findings.find(({ of }) => of === 'match')!;
  expect(match).toMatchObject({ verdict: 'gives way', what: 'Mast lift: never there', multiple: undefined });
  expect(worded(match.sentence, inMetric)).toMatch(
    /^Mast lift: never there gives first\. The go planned for .* does not get there: stalled\.$/,
  );
  for (const { what, sentence } of verdict.findings)
    expect(`${what} ${worded(sentence, inMetric)}`).not.toMatch(/(?<![\d.])0×/);
  expect(told(verdict)).not.toMatch(/(?<![\d.])0×/);
});
const first = ({ findings }: RobotVerdict): readonly (string | undefined)[] => [
  findings[0]!.of,
  findings[0]!.name,
  findings[0]!.verdict,
];

describe('the one verdict on a robot', () => {
  it('is that of an arm that falls, whatever the match is, and tells the match beside it', () => {
    expect(told(judged(heron))).toBe(
      'Gives way. Capstan climb: Nothing keeps it up when the power goes: it falls on whoever stands under it. In the match: gives way, 0.917×.',
    );
    expect(robotText(judged(heron))).toBe('Capstan climb: falls when the power is off');
    const falls = { ...calm, mechanisms: [...calm.mechanisms, mechanismOf(heron, 'climb')] };
    expect(told(judged(falls))).toMatch(/^Gives way\. Capstan climb: .* In the match: enough, 1\.15×\.$/);
  });

  it('is the match’s where that is the worst, with the worst mechanism beside it', () => {
    const plan = { ...without(heron, 'climb', 'hoist'), event: undefined };
    expect(told(judged(plan))).toMatch(
      /^Gives way\. Frantic: Mast lift: in time gives first, at 0\.917×\. .* Alone: tight, 1\.50× \(Crate grip\)\.$/,
    );
  });

  it('is the event sheet’s and the wires’ where all else is enough', () => {
    const plan = {
      ...calm,
      event: { ...heron.event!, limits: [{ ...heron.event!.limits[0]!, most: typed(20) } as EventLimit] },
    };
    expect(first(judged(plan))).toEqual(['event', 'event sheet', 'gives way']);
    expect(told(judged(plan))).toMatch(/^Gives way\. Event sheet: .* In the match: enough/);
    const bare = {
      ...without(limpet, 'sled'),
      supply: limpet.supply.map((node) => (node.kind === 'branch' ? { ...node, breaker: undefined } : node)),
    };
    expect(told(judged(bare))).toMatch(/^Gives way\. Wires: main\. Nothing cuts the pack off/);
  });

  it('is a day’s that no pack lasts, and no day is gone through where a match gives way already', () => {
    const day = { matches: 6, between: 60, packs: 1, charger: 1 };
    const worn = judged({ ...calm, day });
    expect(first(worn).slice(0, 3)).toEqual(['day', expect.stringMatching(/^match \d of 6 in a day$/), 'gives way']);
    expect(told(worn)).toMatch(
      /^Gives way\. Match \d of 6 in a day: .+ gives first, at 0\.\d+×\. .* In the match: enough/,
    );
    expect(judged({ ...calm, day: { ...day, packs: 6, charger: 40, between: 900 } }).verdict).toBe('tight');
    expect(judged({ ...heron, day }).findings.some(({ of }) => of === 'day')).toBe(false);
  });

  it('goes through a day in the match that gives first by itself, whatever the event allows', () => {
    const light = { ...calm.scripts![0]!, id: 'light', name: 'light', lanes: calm.scripts![0]!.lanes.slice(-1) };
    const plan = {
      ...calm,
      scripts: [light, ...calm.scripts!],
      day: { matches: 4, between: 60, packs: 1, charger: 1 },
    };
    const event = { ...heron.event!, limits: [{ ...heron.event!.limits[0]!, most: typed(20) } as EventLimit] };
    const dayOf = (of: Plan) => judged(of).findings.find((one) => one.of === 'day');
    expect(dayOf({ ...plan, event })).toEqual(dayOf(plan));
    expect(dayOf(plan)).not.toEqual(dayOf({ ...plan, scripts: [light] }));
  });

  it('says what is not known: a mechanism by name, a pack, and how much beside an enough', () => {
    const hoist = { ...calm, mechanisms: [mechanismOf(calm, 'drive'), mechanismOf(heron, 'hoist')] };
    expect(told(judged(hoist))).toMatch(/^Not known\. Buoy hoist: Resistance is missing\..* In the match: /);
    const pack = calm.supply.find(({ kind }) => kind === 'pack')!;
    const part = pack.kind === 'pack' ? pack.part : '';
    // A bench supply that nobody has said the volts of.
    const drive = { ...calm, mechanisms: [mechanismOf(calm, 'drive')] };
    const noPack = ['chemistry', 'voltage'].reduce(
      (plan, field) => withChange(plan, ['parts', part!, 'part', field], field === 'chemistry' ? 'bench' : undefined),
      drive as Plan,
    );
    expect(judged(noPack).findings.find(({ of }) => of === 'match')).toMatchObject({
      verdict: 'not known',
      what: 'a figure of the pack is missing',
    });
    const one: RobotFinding = { of: 'mechanism', verdict: 'enough', name: 'Arm', what: 'volts 2.00×', sentence: 'Fine.', multiple: 2, wants: 1.5, notKnown: 2 }; // prettier-ignore
    expect(told(rollUp([one]))).toBe('Enough, 2 not known. Arm: Fine. No match is judged.');
    expect(robotText(rollUp([one]))).toBe('Arm: volts 2.00×, 2 not known');
    expect(told(rollUp([{ ...one, verdict: 'tight' }]))).toMatch(/^Tight\./);
  });

  it('is none of a robot without a mechanism', () => {
    expect(told(judged({ ...heron, mechanisms: [] }))).toBe('Nothing to judge. There is no mechanism yet.');
    expect(robotText(judged({ ...heron, mechanisms: [] }))).toBe('no mechanism yet');
  });

  it('lets a match that no script is marked for out of it', () => {
    const unmarked = { ...calm, scripts: calm.scripts!.map((script) => ({ ...script, counts: false })) };
    expect(atOnce(judgeTogether(unmarked)).matches).toEqual([]);
    expect(told(judged(unmarked))).toMatch(/^Tight\. .* No match is judged\.$/);
  });
});

const VERDICTS: readonly Verdict[] = ['enough', 'tight', 'gives way', 'not known'];
const finding: fc.Arbitrary<RobotFinding> = fc.record({
  of: fc.constantFrom('mechanism', 'match', 'day', 'event', 'wires'),
  verdict: fc.constantFrom(...VERDICTS),
  name: fc.constantFrom('Arm', 'Lift', 'calm'),
  what: fc.constant('it'),
  sentence: fc.constant('It does.'),
  multiple: fc.option(fc.double({ min: 0, max: 9, noNaN: true }), { nil: undefined }),
  notKnown: fc.nat(3),
});

describe('whatever is found of a robot', () => {
  it('it is no better than its worst, and says that one first', () => {
    fc.assert(
      fc.property(fc.array(finding, { minLength: 1, maxLength: 12 }), (findings) => {
        const whole = rollUp(findings);
        for (const { verdict } of findings) expect(compareVerdicts(whole.verdict, verdict)).toBeGreaterThanOrEqual(0);
        expect(whole.findings[0]!.verdict).toBe(whole.verdict);
        const { lead } = robotSentence(whole);
        const word = lead.replace(/[.,].*$/, '').toLowerCase();
        expect(word).toBe(whole.verdict);
      }),
    );
  });

  it('no robot is better than its worst mechanism or its worst match', () => {
    const robots = fc
      .constantFrom(heron, limpet)
      .chain((plan) =>
        fc.tuple(
          fc.constant(plan),
          fc.subarray([...plan.mechanisms], { minLength: 1, maxLength: 3 }),
          fc.double({ min: 0.2, max: 4, noNaN: true }),
        ),
      );
    fc.assert(
      fc.property(robots, ([robot, mechanisms, aged]) => {
        const kept = { ...robot, mechanisms, event: undefined, day: undefined };
        const pack = kept.supply.find((node) => node.kind === 'pack')!;
        const part = pack.kind === 'pack' ? pack.part : undefined;
        const copy = part === undefined ? undefined : kept.parts[part]?.part;
        const resistance = copy?.kind === 'pack' ? copy.cellResistance : undefined;
        const plan = resistance
          ? withChange(kept, ['parts', part!, 'part', 'cellResistance'], typed(resistance.si * aged))
          : kept;
        const whole = judged(plan);
        for (const { headline } of evaluate(plan).mechanisms)
          expect(compareVerdicts(whole.verdict, headline.verdict)).toBeGreaterThanOrEqual(0);
        expect(compareVerdicts(whole.verdict, atOnce(judgeRobot(plan)).verdict)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 12 },
    );
  });
});
