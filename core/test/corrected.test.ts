import { describe, expect, it } from 'vitest';
import {
  concludeTrial,
  constantsOf,
  correctMechanism,
  correctPart,
  currentChoice,
  expectedOf,
  expectedOfPart,
  givenOf,
  judgedTwice,
  kindOf,
  measuredSpread,
  resolvePath,
  takeKind,
  takeTrial,
  turnedBy,
  applyChanges,
  usesPart,
  type Conclusion,
  type FoundKey,
  type MotorPart,
  type Part,
  type Trial,
  type TrialKind,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed } from './demo.js';

/** What a trial puts right in a part and in a mechanism, checked against what was measured. */
const heron = demoPlan('heron');
const motor = heron.parts['motor-1']!.part as MotorPart;

const trial = (kind: TrialKind, more: Partial<Trial> = {}): Trial => ({
  kind,
  subject: { name: 'it', specimen: 'tape 3' },
  startedAt: '2026-11-27T10:00:00Z',
  who: '',
  used: '',
  note: '',
  given: {},
  said: {},
  readings: {},
  struck: [],
  ...more,
});
const source = (kind: TrialKind, more: Partial<Trial> = {}) => ({ id: 'trial-1', trial: trial(kind, more) });
const found = (figures: Partial<Record<FoundKey, readonly [value: number, error: number]>>): Conclusion => ({
  figures: Object.entries(figures).map(([key, [value, error]]) => ({
    key: key as FoundKey,
    measured: { value, error },
  })),
  plots: [],
  off: new Map(),
  odd: [],
  says: [],
});

describe('a trial taken into a motor', () => {
  it('moves a sheet’s four numbers so that they give the constants that were found', () => {
    const free = correctPart(
      motor,
      found({ backEmfConstant: [0.0199, 2e-5], freeCurrent: [2.4, 0.03], freeCurrentPerSpeed: [4e-4, 2e-5] }),
      source('free-run'),
    )!;
    const stall = correctPart(
      free.part,
      found({ resistance: [0.11, 0.001], torqueConstant: [0.0178, 1e-4] }),
      source('stall'),
    )!;
    const now = constantsOf(stall.part)!;
    expect(now.backEmfConstant).toBeCloseTo(0.0199, 4);
    expect(now.resistance).toBeCloseTo(0.11, 6);
    expect(now.torqueConstant).toBeCloseTo(0.0178, 5);
    expect(now.freeCurrent).toBeCloseTo(2.4, 9);
    expect(now.freeCurrentPerSpeed).toBeCloseTo(4e-4, 9);
  });

  it('marks what was measured, with error, trial and specimen; what was not stays as it was', () => {
    const { part, figures } = correctPart(motor, found({ resistance: [0.11, 0.0011] }), source('stall'))!;
    const { data } = part as MotorPart;
    if (data.form !== 'sheet') throw new Error('it was a sheet');
    expect(data.stallCurrent).toMatchObject({ source: 'measured', trial: 'trial-1' });
    expect(data.stallCurrent!.error! / data.stallCurrent!.si).toBeCloseTo(0.01, 6);
    expect(data.stallCurrent!.from).toContain('tape 3');
    expect(data.freeSpeed).toEqual((motor.data as typeof data).freeSpeed);
    expect(figures.map(({ label }) => label)).toContain('resistance');
  });

  it('of a Kv and of a winding by turns', () => {
    const outrunner = heron.parts['motor-2']!.part;
    const kv = correctPart(
      outrunner,
      found({ backEmfConstant: [0.026, 1e-4], freeCurrent: [1.2, 0.02] }),
      source('free-run'),
    )!;
    // Its resistance is missing still: what was found is told all the same.
    expect(kv.figures.find(({ label }) => label === 'Kv')!.after).toBeCloseTo(1 / 0.026, 6);
    const wound: Part = {
      kind: 'motor',
      name: '35 turns',
      type: 'brushed',
      data: {
        form: 'turns',
        turns: typed(27),
        referenceTurns: typed(35),
        referenceKv: typed(94),
        referenceResistance: typed(0.16),
        referenceFreeCurrent: typed(2),
      },
    };
    const own = correctPart(wound, found({ resistance: [0.1, 0.001] }), source('stall'))!;
    const [before, after] = [constantsOf(wound)!, constantsOf(own.part)!];
    expect(after.resistance).toBeCloseTo(0.1, 9);
    expect(after.backEmfConstant).toBeCloseTo(before.backEmfConstant, 6);
  });

  it('turns friction that a coast-down found into amperes, of the motor alone', () => {
    const kt = constantsOf(motor)!.torqueConstant;
    const coast = found({ frictionTorque: [0.05, 0.001], viscousDrag: [0.004, 1e-4] });
    const alone = correctPart(motor, coast, source('coast-down', { said: { turns: 'the motor alone' } }))!;
    expect(constantsOf(alone.part)!.freeCurrent).toBeCloseTo(0.05 / kt, 6);
    expect(constantsOf(alone.part)!.freeCurrentPerSpeed).toBeCloseTo(0.004 / 100 / kt, 9);
    expect(correctPart(motor, coast, source('coast-down', { said: { turns: 'the whole mechanism' } }))).toBeUndefined();
  });
});

describe('a trial taken into other parts', () => {
  it('a pack: its leads stay, the cells take the rest', () => {
    const pack = heron.parts['pack-1']!.part;
    const { part } = correctPart(pack, found({ packResistance: [0.03, 0.001] }), source('pack'))!;
    expect(expectedOfPart(part).packResistance).toBeCloseTo(0.03, 9);
    const { part: less } = correctPart(pack, found({ packResistance: [0.002, 0.0001] }), source('pack'))!;
    expect(expectedOfPart(less).packResistance).toBeCloseTo(0.002, 9);
    // What nobody said of its leads is typical, in what is expected and in what the plan then comes to.
    const bare = { ...pack, leadResistance: undefined } as Part;
    for (const [asked, value] of [
      [bare, 0.03],
      [bare, 0.001],
    ] as const) {
      const { part: now } = correctPart(asked, found({ packResistance: [value, 0.0001] }), source('pack'))!;
      const plan = applyChanges(heron, [{ at: ['parts', 'pack-1', 'part'], to: now }]);
      expect(resolvePath(plan, mechanismOf(plan, 'lift'), 'raise').pack.resistance).toBeCloseTo(value, 9);
      expect(expectedOfPart(now).packResistance).toBeCloseTo(value, 9);
    }
  });

  it('a servo: currents, travel and play', () => {
    const servo = heron.parts['servo-1']!.part;
    const { part } = correctPart(
      servo,
      found({ idleCurrent: [0.01, 0.001], stallCurrent: [4.2, 0.1], travel: [3.2, 0.01], play: [0.01, 0.001] }),
      source('servo-line'),
    )!;
    expect(expectedOfPart(part)).toMatchObject({ idleCurrent: 0.01, stallCurrent: 4.2, travel: 3.2, play: 0.01 });
  });

  it('has nothing to correct where the part has no such figure', () => {
    expect(correctPart(motor, found({ caseToAir: [20, 1] }), source('warmth'))).toBeUndefined();
    expect(
      correctPart(heron.parts['stepper-1']!.part, found({ rateKept: [900, 10] }), source('step-ladder')),
    ).toBeUndefined();
  });
});

describe('what a correction comes to, by hand', () => {
  const volts = motor.data.form === 'sheet' ? motor.data.ratedVoltage!.si : NaN;
  const sheetOf = (part: Part | undefined) => {
    const data = part?.kind === 'motor' ? part.data : undefined;
    if (data?.form !== 'sheet') throw new Error('no sheet');
    return data;
  };

  it('what the brushes keep is no part of the sheet’s stall: (V − drop)/R flows', () => {
    const { part } = correctPart(motor, found({ resistance: [0.1, 0.001], brushDrop: [0.6, 0.05] }), source('stall'))!;
    expect(sheetOf(part).stallCurrent!.si).toBeCloseTo((volts - 0.6) / 0.1, 6);
  });

  it('errors of a product add as squares of their shares', () => {
    const { part } = correctPart(
      motor,
      found({ resistance: [0.1, 0.003], torqueConstant: [0.02, 0.0008] }),
      source('stall'),
    )!;
    const torque = sheetOf(part).stallTorque!;
    expect(torque.error! / torque.si).toBeCloseTo(Math.hypot(0.03, 0.04), 9);
    const current = sheetOf(part).stallCurrent!;
    expect(current.error! / current.si).toBeCloseTo(0.03, 9);
  });

  it('a motor without brushes gets no drop of brushes', () => {
    const data = { form: 'kv', kv: typed(50), resistance: typed(0.1), freeCurrent: typed(1) } as const;
    const brushed: MotorPart = { ...motor, type: 'brushed', data };
    const brushless: MotorPart = { ...motor, type: 'brushless', brushDrop: undefined, data };
    const drop = found({ resistance: [0.12, 0.001], brushDrop: [0.6, 0.05] });
    const taken = (part: MotorPart) => correctPart(part, drop, source('stall'))!.part as MotorPart;
    expect(taken(brushless).brushDrop).toBeUndefined();
    expect(taken(brushed).brushDrop!.si).toBeCloseTo(0.6, 9);
  });

  it('a pull is shared alike by stages that were thought to lose nothing', () => {
    const at = heron.mechanisms.indexOf(mechanismOf(heron, 'drive'));
    const { stages } = currentChoice(mechanismOf(heron, 'drive'));
    const plan = applyChanges(heron, [
      ...stages.map((_, i) => ({ at: ['mechanisms', at, 'choices', 0, 'stages', i, 'efficiency'], to: typed(1) })),
      { at: ['mechanisms', at, 'choices', 0, 'output', 'efficiency'], to: typed(1) },
    ]);
    const from = source('pull', { subject: { name: 'Drive base', mechanismId: 'drive', jobId: 'push' } });
    const path = resolvePath(plan, mechanismOf(plan, 'drive'), 'push');
    const lossless = expectedOf(plan, from.trial.subject).pullPerAmpere! / path.train.efficiency;
    const { figures } = correctMechanism(plan, 'drive', found({ pullPerAmpere: [0.81 * lossless, 0.01] }), from)!;
    expect(path.train.efficiency).toBe(1);
    expect(figures).toHaveLength(stages.length);
    for (const { after } of figures) expect(after).toBeCloseTo(0.81 ** (1 / stages.length), 9);
  });

  it('a pull that was found is the product of what its stages leave, and no more than all of it', () => {
    const at = source('pull', { subject: { name: 'Drive base', mechanismId: 'drive', jobId: 'push' } });
    const path = resolvePath(heron, mechanismOf(heron, 'drive'), 'push');
    const expected = expectedOf(heron, at.trial.subject).pullPerAmpere!;
    const lossless = expected / path.train.efficiency;
    const product = (figures: readonly { readonly after: number }[]) =>
      figures.reduce((whole, { after }) => whole * after, 1);
    const output = product(correctMechanism(heron, 'drive', found({ pullPerAmpere: [expected, 0.02] }), at)!.figures);
    const more = correctMechanism(heron, 'drive', found({ pullPerAmpere: [3 * lossless, 0.03 * lossless] }), at)!;
    for (const { after } of more.figures) expect(after).toBeLessThanOrEqual(1);
    expect(product(more.figures)).toBeGreaterThan(output);
    const less = correctMechanism(heron, 'drive', found({ pullPerAmpere: [0.9 * expected, 0.018 * expected] }), at)!;
    const stages = less.figures.length;
    const changed = applyChanges(heron, less.changes);
    const errors = currentChoice(mechanismOf(changed, 'drive')).stages.flatMap(({ efficiency }) =>
      efficiency?.error === undefined ? [] : [efficiency.error / efficiency.si],
    );
    expect(errors).toHaveLength(stages);
    for (const error of errors) expect(error).toBeCloseTo(0.02 / stages, 9);
  });
});

describe('a trial taken into a mechanism', () => {
  it('pull: the stages share what was found, in proportion to what each loses', () => {
    const at = source('pull', { subject: { name: 'Drive base', mechanismId: 'drive', jobId: 'push' } });
    const expected = expectedOf(heron, at.trial.subject).pullPerAmpere!;
    const corrected = correctMechanism(heron, 'drive', found({ pullPerAmpere: [expected * 0.9, 0.02] }), at)!;
    const after = applyChanges(heron, corrected.changes);
    expect(expectedOf(after, at.trial.subject).pullPerAmpere).toBeCloseTo(expected * 0.9, 3);
    const same = correctMechanism(heron, 'drive', found({ pullPerAmpere: [expected, 0.02] }), at)!;
    for (const { before, after: now } of same.figures) expect(now).toBeCloseTo(before!, 6);
  });

  it('least speed into the controller, an offset into the drive, friction into what turns', () => {
    const least = correctMechanism(heron, 'hoist', found({ leastErpm: [220, Infinity] }), source('least-speed'))!;
    expect(least.changes[0]!.at).toContain('leastErpm');
    const offset = correctMechanism(heron, 'drive', found({ dragOffset: [1.4, 0.1] }), source('drag-offset'))!;
    expect(offset.changes[0]!.at.slice(-2)).toEqual(['drive', 'dragOffset']);
    const whole = source('coast-down', { said: { turns: 'the whole mechanism' } });
    const friction = correctMechanism(
      heron,
      'thrower',
      found({ frictionTorque: [0.03, 0.001], viscousDrag: [0, 0] }),
      whole,
    )!;
    expect(friction.figures[0]).toMatchObject({ label: 'friction of what turns', after: 0.03 });
    expect(correctMechanism(heron, 'grip', found({ goTime: [1, 0.1] }), source('go'))).toBeUndefined();
  });
});

describe('a trial taken into its robot', () => {
  const stall = found({ resistance: [0.12, 0.001] });
  const on = (more: Partial<Trial['subject']>) =>
    source('stall', { subject: { name: 'can', partKey: 'motor-1', specimen: 'tape 3', ...more } });

  it('corrects the part for all that it turns, or is a part of its own for one alone', () => {
    expect(turnedBy(heron, 'motor-1').map(({ id }) => id)).toEqual(['drive', 'lift', 'climb']);
    const all = takeTrial(heron, on({}), stall)!;
    expect(all).toMatchObject({ partKey: 'motor-1', into: motor.name });
    const alone = takeTrial(heron, on({}), stall, 'lift')!;
    expect(alone.partKey).toBeUndefined();
    expect(alone.into).toBe(`${motor.name}, tape 3`);
    const [own, kept] = ['lift', 'drive'].map((id) => {
      const { drive } = mechanismOf(alone.after, id).choices[0]!;
      return drive.kind === 'dc' ? constantsOf(alone.after.parts[drive.motor]!.part)! : undefined;
    });
    expect(own!.resistance).toBeCloseTo(0.12, 9);
    expect(kept!.resistance).toBeCloseTo(constantsOf(motor)!.resistance, 9);
    // A mechanism it does not turn cannot have it alone.
    expect(takeTrial(heron, on({}), stall, 'grip')!.partKey).toBe('motor-1');
  });

  it('is nothing where part or mechanism are gone', () => {
    expect(takeTrial(heron, on({ partKey: 'gone' }), stall)).toBeUndefined();
    expect(takeTrial(heron, on({ partKey: undefined, mechanismId: 'gone' }), stall)).toBeUndefined();
  });

  it('of several specimens is their mean, and as sure as they are alike', () => {
    const kinds = new Map([['resistance', { value: 0.11, error: 0.004, specimens: 3 }]] as const);
    const taken = takeKind(heron, on({}), stall, kinds)!;
    expect(taken.into).toContain('mean of 3');
    const { data } = taken.after.parts['motor-1']!.part as MotorPart;
    if (data.form !== 'sheet') throw new Error('it was a sheet');
    expect(data.stallCurrent!.error! / data.stallCurrent!.si).toBeCloseTo(0.004 / 0.11, 6);
    expect(takeKind(heron, on({}), stall, new Map())).toBeUndefined();
  });
});

describe('what is known before a trial', () => {
  it('is off the sheet, or an estimate marked so', () => {
    const stall = givenOf('stall', { name: 'can', partKey: 'motor-1' }, heron);
    expect(stall['freeCurrent']).toMatchObject({ si: 2.2, source: 'sheet' });
    const coast = givenOf('coast-down', { name: 'can', partKey: 'motor-1' }, heron);
    expect(coast['inertia']!.si).toBeGreaterThan(0);
    expect(coast['inertia']!.source).toBe(motor.rotorInertia ? 'sheet' : 'estimated');
    const least = givenOf('least-speed', { name: 'Buoy hoist', mechanismId: 'hoist' }, heron);
    expect(least['polePairs']!.si).toBe((heron.parts['motor-2']!.part as MotorPart).polePairs);
    // Nothing is guessed where no sheet says it.
    expect(givenOf('least-speed', { name: 'Mast lift', mechanismId: 'lift' }, heron)).toEqual({});
    expect(givenOf('stall', { name: 'can' }, undefined, motor)['freeCurrent']!.si).toBe(2.2);
  });
});

describe('what a correction changes', () => {
  const weaker = correctPart(motor, found({ resistance: [0.16, 0.001] }), source('stall'))!.part;
  const after = applyChanges(heron, [{ at: ['parts', 'motor-1', 'part'], to: weaker }]);

  it('judges again those mechanisms that use the part, the changed ones in front', () => {
    const judged = judgedTwice(heron, after, (one) => usesPart(heron, one, 'motor-1'));
    expect(judged.map(({ id }) => id).sort()).toEqual(['climb', 'drive', 'lift']);
    const lift = judged.find(({ id }) => id === 'lift')!;
    expect(lift.after.multiple).not.toBe(lift.before.multiple);
    const firstSame = judged.findIndex(({ changed }) => !changed);
    expect(judged.slice(firstSame).every(({ changed }) => !changed)).toBe(true);
    expect(usesPart(heron, mechanismOf(heron, 'grip'), 'pack-1')).toBe(true);
  });

  it('lets builds vary by the error that was measured instead of the typical one', () => {
    const path = resolvePath(after, mechanismOf(after, 'lift'), 'raise');
    const torque = measuredSpread(path.figures).get('motor.stallTorque')!;
    expect(torque / path.figures['motor.stallTorque']!.value!).toBeCloseTo(Math.sqrt(3) * (0.001 / 0.16), 6);
    const before = measuredSpread(resolvePath(heron, mechanismOf(heron, 'lift'), 'raise').figures);
    expect(before.get('motor.stallTorque')).toBeUndefined();
  });

  it('a kind by its specimens scatters as they do, each counted once', () => {
    const of = (specimen: string, value: number) => ({ specimen, value });
    expect(kindOf([of('a', 1)])).toBeUndefined();
    expect(kindOf([of('a', 1), of('a', 1.2)])).toBeUndefined();
    const three = kindOf([of('a', 1), of('a', 1.2), of('b', 1.3), of('c', 0.9)])!;
    expect(three.specimens).toBe(3);
    expect(three.value).toBeCloseTo(1.1, 9);
    expect(three.error).toBeCloseTo(0.2, 9);
  });
});

describe('what is expected of a mechanism', () => {
  it('its run, its pull, what drags, and the slope it starts on', () => {
    const lift = expectedOf(heron, { name: '', mechanismId: 'lift', jobId: 'raise' });
    expect(lift.goTime).toBeCloseTo(1.509, 3);
    expect(lift.run!.at(-1)!.time).toBeCloseTo(lift.goTime!, 6);
    expect(lift.dragOffset).toBeCloseTo(2.2, 6);
    expect(lift.steepest).toBeUndefined();
    const drive = expectedOf(heron, { name: '', mechanismId: 'drive', jobId: 'sprint' });
    expect(drive.steepest).toBeGreaterThan(0.2);
    expect(drive.steepest).toBeLessThanOrEqual(Math.PI / 2);
    const outrunner = expectedOf(heron, { name: '', mechanismId: 'hoist', jobId: 'raise' });
    expect(outrunner.leastErpm).toBeGreaterThan(0);
    expect(expectedOf(heron, { name: '', mechanismId: 'gone' })).toEqual({});
  });
});

describe('a trial that does not say anything yet', () => {
  it.each([
    ['too few readings', trial('pack', { readings: { current: [1], voltage: [12] } }), '2 whole readings'],
    [
      'a figure beside them is missing',
      trial('free-run', { readings: { voltage: [3, 6, 9], speed: [10, 20, 30], current: [1, 1, 1] } }),
      'resistance of motor and leads',
    ],
    ['readings all alike', trial('pack', { readings: { current: [5, 5, 5], voltage: [12, 12, 12.1] } }), 'alike'],
    [
      'all struck out',
      trial('pack', {
        readings: { current: [0, 10], voltage: [12, 11] },
        struck: [
          { row: 0, why: '' },
          { row: 1, why: '' },
        ],
      }),
      '0 so far',
    ],
  ])('says what is wanted: %s', (_, asked, wanted) => {
    const concluded = concludeTrial(asked, {});
    if (concluded.ok) throw new Error('it concluded');
    expect(concluded.wants).toContain(wanted);
  });
});
