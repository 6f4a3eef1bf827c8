import { describe, expect, it } from 'vitest';
import {
  angleOf,
  applyChanges,
  boardsOf,
  currentChoice,
  currentRowFor,
  resolvePath,
  senseOf,
  setupCards,
  type CardLine,
  type SetupCard,
} from '../src/index.js';
import { demoPlan, mechanismOf, nansIn, said, typed } from './demo.js';

/** Every number on a card is the one that the path is judged with. */
const heron = demoPlan('heron');
const cards = setupCards(heron);
const cardOf = (mechanism: string, of = cards): SetupCard => of.find(({ mechanismId }) => mechanismId === mechanism)!;
const line = (card: SetupCard, key: string): CardLine | undefined => card.lines.find((one) => one.key === key);
const numberOf = (card: SetupCard, key: string): number | undefined => {
  const value = line(card, key)?.value;
  return typeof value === 'object' ? value.value : undefined;
};

describe('setup cards', () => {
  it('are one for each mechanism, and one for each rail of servos', () => {
    expect(cards.flatMap(({ mechanismId }) => mechanismId ?? [])).toEqual(heron.mechanisms.map(({ id }) => id));
    expect(cards.filter(({ kind }) => kind === 'rail')).toHaveLength(1);
    for (const card of cards) expect(card.cautions.length).toBeGreaterThan(0);
  });

  it('hold no NaN, each line with where it comes from, each key once', () => {
    expect(nansIn(cards)).toEqual([]);
    for (const card of cards) {
      expect(new Set(card.lines.map(({ key }) => key)).size).toBe(card.lines.length);
      for (const { from } of card.lines) expect(from.length).toBeGreaterThan(0);
    }
  });

  it('of a controller: its limits as the path has them', () => {
    const path = resolvePath(heron, mechanismOf(heron, 'lift'), 'raise');
    const card = cardOf('lift');
    for (const [key, figure] of [
      ['motorSideLimit', 'controller.statorLimit'],
      ['packSideLimit', 'controller.supplyLimit'],
      ['rampTime', 'drive.rampTime'],
    ] as const)
      expect(numberOf(card, key)).toBe(path.figures[figure]!.value);
    expect(numberOf(card, 'cutOff')).toBe(path.pack.floor);
    expect(Math.abs(numberOf(card, 'reduction')!)).toBeCloseTo(path.train.total, 9);
    expect(numberOf(card, 'softStop')).toBeCloseTo(path.asked.travel! * path.asked.perCoordinate, 9);
    expect(line(cardOf('drive'), 'softStop')).toBeUndefined();
    // So many turns of the motor for the whole way.
    expect(numberOf(card, 'softStop')! / numberOf(card, 'perMotorTurn')!).toBeCloseTo(
      (path.asked.travel! * path.train.total) / (2 * Math.PI * path.radius),
      6,
    );
  });

  it('follow the plan: another limit is another number', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const drive = ['mechanisms', at, 'choices', 0, 'drive'];
    const changed = applyChanges(heron, [
      { at: [...drive, 'supplyLimit'], to: typed(33) },
      { at: [...drive, 'direction'], to: 'reverse' },
      { at: [...drive, 'control'], to: 'lock' },
    ]);
    const card = cardOf('lift', setupCards(changed));
    expect(numberOf(card, 'packSideLimit')).toBe(33);
    expect(line(card, 'packSideLimit')!.from).toBe('typed');
    expect(line(card, 'direction')!.value).toBe('reversed');
    expect(line(card, 'rollBack')).toBeDefined();
  });

  it('of a brushless motor: pole pairs, sensors and how it finds its feet', () => {
    const card = cardOf('thrower');
    expect(line(card, 'sensors')!.value).toBe('yes');
    expect(line(card, 'startStyle')).toBeDefined();
    expect(line(cardOf('lift'), 'sensors')).toBeUndefined();
    expect(line(cardOf('lift'), 'leastDuty')).toBeDefined();
  });

  it('of a driver: its switches, and what a pulse moves', () => {
    const card = cardOf('turntable');
    expect(card.kind).toBe('driver');
    expect(line(card, 'steps')!.from).toMatch(/^switches \d on|^switches \d off/);
    const path = resolvePath(heron, mechanismOf(heron, 'turntable'), 'turn');
    if (path.machine !== 'step') throw new Error('it takes pulses');
    expect(numberOf(card, 'steps')).toBe(path.step.microsteps);
    // As the switches are drawn, so they are told.
    expect(said(line(card, 'steps')!.from)).toContain(
      card.switches!.map(({ number, on }) => `${number} ${on ? 'on' : 'off'}`).slice(-1)[0]!,
    );
    expect(numberOf(card, 'perPulse')! * numberOf(card, 'pulsesPerTurn')!).toBeCloseTo(2 * Math.PI, 3);
    // The very row that the driver's panel sets.
    const { drive } = currentChoice(mechanismOf(heron, 'turntable'));
    const driver = drive.kind === 'step' ? heron.parts[drive.driver]!.part : undefined;
    if (driver?.kind !== 'driver') throw new Error('it has a driver');
    expect(numberOf(card, 'setCurrent')).toBe(currentRowFor(driver, path.step.setCurrent)!.value);
  });

  it('of a servo: its ends, its centre half way, and its rail’s volts', () => {
    const card = cardOf('grip');
    const [first, middle, last] = ['pulseAt1', 'pulseAt3', 'pulseAt5'].map((key) => numberOf(card, key)!);
    expect(middle).toBeCloseTo((first! + last!) / 2, 9);
    const path = resolvePath(heron, mechanismOf(heron, 'grip'), 'hold');
    if (path.machine !== 'servo') throw new Error('it is a servo');
    expect(numberOf(card, 'rail')).toBe(path.rail.voltage);
    expect(cards.find(({ kind }) => kind === 'rail')!.of).toContain(mechanismOf(heron, 'grip').name);
  });

  it('of a servo: pulses by the place of what it moves, along its linkage', () => {
    const card = cardOf('grip');
    const path = resolvePath(heron, mechanismOf(heron, 'grip'), 'hold');
    if (path.machine !== 'servo' || !path.linked) throw new Error('it is a servo with a linkage');
    const places = card.lines.filter(({ key }) => key.startsWith('pulseOfPlace'));
    expect(places.length).toBeGreaterThan(2);
    const { shortestPulse, longestPulse } = path.servo;
    const [begin, end] = [numberOf(card, 'pulseOfPlace1')!, numberOf(card, 'pulseOfPlace5')!];
    // The middle of its way is the centre pulse, and all of it is between the ends.
    expect((begin + end) / 2).toBeCloseTo((shortestPulse + longestPulse) / 2, 9);
    for (const pulse of [begin, end]) {
      expect(pulse).toBeGreaterThanOrEqual(shortestPulse);
      expect(pulse).toBeLessThanOrEqual(longestPulse);
    }
    // As far as the horn turns along the linkage, by the line that was measured.
    const turned = path.linked.hornAt(path.asked.travel!);
    expect(Math.abs(end - begin)).toBeCloseTo(Math.abs(path.calibration!.perRadian) * turned, 9);
    // A longer pulse turns the horn on: where the way goes to a greater angle of it, the pulses grow.
    expect(Math.sign(end - begin)).toBe(Math.sign(path.linked.to - path.linked.from));
  });

  it('of a servo whose linkage turns the other way: the pulses shrink', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'grip');
    const linkage = ['mechanisms', at, 'choices', 0, 'drive', 'linkage'];
    const grows = (turns: 'with' | 'against'): number => {
      const plan = applyChanges(heron, [
        { at: [...linkage, 'turns'], to: turns },
        { at: [...linkage, 'start'], to: typed(Math.PI / 2) },
        { at: ['mechanisms', at, 'jobs', 0, 'angle'], to: typed(0.5) },
      ]);
      const card = cardOf('grip', setupCards(plan));
      const pulses = card.lines
        .filter(({ key }) => key.startsWith('pulseOfPlace'))
        .map(({ key }) => numberOf(card, key)!);
      return Math.sign(pulses.at(-1)! - pulses[0]!);
    };
    expect([grows('with'), grows('against')]).toEqual([1, -1]);
  });

  it('of a servo: the angle of each pulse by its own line where one was measured, else by its sheet', () => {
    const card = cardOf('grip');
    const path = resolvePath(heron, mechanismOf(heron, 'grip'), 'hold');
    if (path.machine !== 'servo') throw new Error('it is a servo');
    const ends = [numberOf(card, 'pulseAt1'), numberOf(card, 'pulseAt5')];
    expect(ends).toEqual([path.servo.shortestPulse, path.servo.longestPulse]);
    const angle = angleOf(path.calibration!, path.servo.shortestPulse);
    expect(said(line(card, 'pulseAt1')!.from)).toBe(
      `measured: ${said([{ value: angle, dimension: 'angle', significant: 4 }])} by its own line`,
    );
    expect(said(line(cardOf('camera'), 'pulseAt1')!.from)).toBe('0° from its shortest, by its sheet');
  });

  it('of an encoder: counts with the sign of the reduction, on the motor or on the output', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const drive = ['mechanisms', at, 'choices', 0, 'drive'];
    expect(line(cardOf('arm'), 'perCount')).toBeUndefined();
    const onMotor = applyChanges(heron, [{ at: [...drive, 'encoderCounts'], to: typed(2048) }]);
    const card = cardOf('lift', setupCards(onMotor));
    const { train, radius, asked } = resolvePath(onMotor, mechanismOf(onMotor, 'lift'), 'raise');
    const sign = senseOf(currentChoice(mechanismOf(heron, 'lift')).stages);
    expect(numberOf(card, 'countsPerOutputTurn')).toBeCloseTo(sign * 2048 * train.total, 6);
    // So many counts for the whole way, each as long as the card says.
    expect(numberOf(card, 'softStopCounts')! * numberOf(card, 'perCount')!).toBeCloseTo(
      asked.travel! * asked.perCoordinate,
      3,
    );
    expect(Math.abs(numberOf(card, 'perCount')!)).toBeCloseTo(
      (2 * Math.PI * radius * asked.perCoordinate) / (2048 * train.total),
      9,
    );
    const onOutput = applyChanges(onMotor, [{ at: [...drive, 'encoderOn'], to: 'output' }]);
    expect(numberOf(cardOf('lift', setupCards(onOutput)), 'countsPerOutputTurn')).toBe(2048);
  });

  it('of an encoder: a stop in the nearest whole count', () => {
    const at = heron.mechanisms.findIndex(({ id }) => id === 'lift');
    const coarse = applyChanges(heron, [
      { at: ['mechanisms', at, 'choices', 0, 'drive', 'encoderCounts'], to: typed(3) },
    ]);
    const card = cardOf('lift', setupCards(coarse));
    const { asked } = resolvePath(coarse, mechanismOf(coarse, 'lift'), 'raise');
    const off = (asked.travel! * asked.perCoordinate) / numberOf(card, 'perCount')! - numberOf(card, 'softStopCounts')!;
    expect(Number.isInteger(numberOf(card, 'softStopCounts'))).toBe(true);
    expect(Math.abs(off)).toBeLessThanOrEqual(0.5);
  });

  it('of what may fall say so, and of what may not do not', () => {
    const falls = ({ cautions }: SetupCard) => cautions.some((one) => /may fall/.test(said(one)));
    for (const mechanism of heron.mechanisms) {
      const card = cardOf(mechanism.id);
      if (card.kind !== 'controller') continue;
      const path = mechanism.jobs.map(({ id }) => resolvePath(heron, mechanism, id));
      expect(falls(card), mechanism.id).toBe(path.some((one) => one.falls));
    }
    expect(falls(cardOf('lift'))).toBe(true);
    expect(falls(cardOf('thrower'))).toBe(false);
  });

  it('of a driver: whether its current is the peak or r.m.s., as its row counts it', () => {
    const { drive } = currentChoice(mechanismOf(heron, 'turntable'));
    if (drive.kind !== 'step') throw new Error('it takes pulses');
    const as = (counts: 'peak' | 'rms') =>
      line(
        cardOf(
          'turntable',
          setupCards(applyChanges(heron, [{ at: ['parts', drive.driver, 'part', 'counts'], to: counts }])),
        ),
        'setCurrent',
      )!.label;
    expect([as('rms'), as('peak')]).toEqual(['set current, r.m.s.', 'set current, peak']);
  });

  it('of a driver with a trimmer: its volts for the current that is set', () => {
    const { drive } = currentChoice(mechanismOf(heron, 'turntable'));
    if (drive.kind !== 'step') throw new Error('it takes pulses');
    const part = ['parts', drive.driver, 'part'];
    const trimmed = applyChanges(heron, [
      { at: [...part, 'currentSwitches'], to: undefined },
      { at: [...part, 'trimmerVolts'], to: typed(2) },
    ]);
    const card = cardOf('turntable', setupCards(trimmed));
    const path = resolvePath(trimmed, mechanismOf(trimmed, 'turntable'), 'turn');
    if (path.machine !== 'step') throw new Error('it takes pulses');
    expect(numberOf(card, 'trimmer')).toBeCloseTo((2 * path.step.setCurrent) / path.driver.mostCurrent, 9);
    expect(line(cardOf('turntable'), 'trimmer')).toBeUndefined();
  });

  it('of a board: whom it commands, and what its pins stand', () => {
    const boards = cards.filter(({ kind }) => kind === 'board');
    expect(boards).toHaveLength(boardsOf(heron).length);
    expect(boards[0]!.of).toContain('Turntable');
    // The servos hang on a rail that no board feeds.
    expect(boards[0]!.of).not.toContain('Crate grip');
    expect(numberOf(boards[0]!, 'pinVoltage')).toBeGreaterThan(1);
  });

  it('turn against the motor by outer wheels, and with it by what lies between', () => {
    const gear = { id: 'a', kind: 'teeth', driver: 10, driven: 20 } as const;
    expect(senseOf([gear])).toBe(-1);
    expect(senseOf([gear, gear])).toBe(1);
    expect(senseOf([{ ...gear, idler: 15 }])).toBe(1);
    expect(senseOf([{ id: 'b', kind: 'chain', driver: 10, driven: 20 }])).toBe(1);
    expect(currentChoice(mechanismOf(heron, 'lift')).stages.length).toBeGreaterThan(0);
  });
});
