import { describe, expect, it } from 'vitest';
import {
  addServoStage,
  applyChanges,
  currentChoice,
  evaluateMechanism,
  hoursToTwicePlay,
  playAfter,
  removeServoStage,
  resolvePath,
  secondsAtWatts,
  servoPulseAt,
  servoThermal,
  servoWarmthOf,
  servoWearOf,
  usualFor,
  USUAL_SERVOS,
  warmestOf,
  type Plan,
  type Quantity,
  type ServoPart,
  type ServoPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, typed, withChange } from './demo.js';

/** What a servo does while it holds and through the day; what is programmed into it; the board it is plugged into. */

const heron = demoPlan('heron');
const SERVO = heron.mechanisms.find((one) => {
  const { drive } = currentChoice(one);
  return drive.kind === 'servo' && heron.parts[drive.servo]?.part.kind === 'servo';
})!;
const at = heron.mechanisms.indexOf(SERVO);
const { drive } = currentChoice(SERVO);
const choiceAt = ['mechanisms', at, 'choices', SERVO.choices.indexOf(currentChoice(SERVO))];
const servoId = drive.kind === 'servo' ? drive.servo : '';
const railAt = ['supply', heron.supply.findIndex(({ id }) => id === drive.node)];
const pathOf = (plan: Plan) =>
  resolvePath(plan, mechanismOf(plan, SERVO.id), mechanismOf(plan, SERVO.id).jobs[0]!.id) as ServoPath;
const job = (plan: Plan) => evaluateMechanism(plan, mechanismOf(plan, SERVO.id)).jobs[0]!;
const check = (plan: Plan, id: string) => job(plan).checks.find((one) => one.id === id);
const ofServo = (key: string, to: Quantity | string) => withChange(heron, ['parts', servoId, 'part', key], to);

describe('warmth of a servo', () => {
  it('settles where what comes in goes out, and takes as long as small steps say', () => {
    const thermal = servoThermal(0.05, 100, 25);
    const watts = 1;
    const most = warmestOf(thermal, { go: [{ seconds: 20_000, watts }], goes: 1, rest: 0, rounds: 1 });
    // Copper warms by more as it warms: a little over the plain sum.
    const plain = watts * (thermal.windingToCase + thermal.caseToAir);
    expect(most.winding - 25).toBeGreaterThan(plain);
    expect(most.winding - 25).toBeLessThan(1.6 * plain);
    let [winding, shell, time] = [25, 25, 0];
    const h = 1e-3;
    for (; winding < 100; time += h) {
      const across = (winding - shell) / thermal.windingToCase;
      winding += (h * (12 * (1 + 0.00393 * (winding - 20)) - across)) / thermal.windingCapacity;
      shell += (h * (across - (shell - 25) / thermal.caseToAir)) / thermal.caseCapacity;
    }
    expect(secondsAtWatts(thermal, 12)).toBeCloseTo(time, 1);
    expect(secondsAtWatts(thermal, 0.3)).toBe(Infinity);
    // A rail of a million volts burns it at once, and no sum overflows.
    const burnt = warmestOf(thermal, { go: [{ seconds: 5, watts: 1e12 }], goes: 3, rest: 600, rounds: 2 });
    expect(burnt).toEqual({ winding: 1000, shell: 1000 });
    expect(secondsAtWatts(thermal, 1e12)).toBeLessThan(1e-3);
  });

  it('is the whole of what it takes while it holds, and more with a heavier hold', () => {
    const path = pathOf(heron);
    const warmth = servoWarmthOf(path);
    const { rating, voltage, idleCurrent } = path.servo;
    const drawn = path.servo.part.signal === 'digital' ? warmth.share ** 2 : warmth.share;
    expect(warmth.holdWatts).toBeCloseTo(voltage * (idleCurrent + (rating.stallCurrent - idleCurrent) * drawn), 9);
    expect(warmth.charge).toBeGreaterThan(0);
    const twice = applyChanges(heron, [{ at: [...choiceAt, 'drive', 'servos'], to: 2 }]);
    // Two share the load: each draws less than one, both together no less than what idles and runs twice.
    expect(servoWarmthOf(pathOf(twice)).holdCurrent).toBeLessThan(warmth.holdCurrent);
    const small = applyChanges(heron, [{ at: ['parts', servoId, 'part', 'mass'], to: typed(0.01) }]);
    expect(servoWarmthOf(pathOf(small)).winding).toBeGreaterThan(warmth.winding);
    expect(check(heron, 'servo-heat')).toBeDefined();
  });

  it('an analogue one is pushed off further than a digital one before it answers', () => {
    const [digital, analogue] = [ofServo('signal', 'digital'), ofServo('signal', 'analogue')].map(pathOf);
    expect(analogue!.servo.yields).toBeGreaterThan(2 * digital!.servo.yields);
    // Quick pulses are smoothed by the coil: for the same hold the digital one draws less.
    const [quick, gulps] = [servoWarmthOf(digital!), servoWarmthOf(analogue!)];
    if (quick.share > 0) expect(gulps.holdCurrent).toBeGreaterThan(quick.holdCurrent);
    expect(gulps.pushedOff).toBeGreaterThanOrEqual(quick.pushedOff);
    expect(pathOf(ofServo('yields', typed(0.1))).servo.yields).toBe(0.1);
  });
});

describe('wear', () => {
  it('doubles play sooner under more load, in plastic soonest', () => {
    expect(hoursToTwicePlay('steel', 0.2)).toBeGreaterThan(hoursToTwicePlay('plastic', 0.2));
    expect(hoursToTwicePlay('brass', 0.6)).toBeCloseTo(hoursToTwicePlay('brass', 0.3) / 2, 9);
    expect(playAfter(0.01, 60, 60)).toBeCloseTo(0.02, 12);
    const path = pathOf(heron);
    const { doublesIn, afterSeason } = servoWearOf(path, servoWarmthOf(path));
    expect(doublesIn).toBeGreaterThan(0);
    expect(afterSeason).toBeGreaterThan(path.servo.slop);
  });
});

describe('what is programmed into it', () => {
  it('a capped speed makes the go longer by what it cuts off, and never faster', () => {
    const free = job(heron).run!;
    const path = pathOf(heron);
    const half = withChange(heron, [...choiceAt, 'drive', 'speedCap'], typed(0.3));
    const capped = job(half).run!;
    const lever = path.linked!.ratioAt(0);
    expect(capped.time).toBeGreaterThan(free.time);
    if (path.linkage.kind === 'direct')
      expect(capped.topSpeed).toBeLessThanOrEqual(0.3 * path.servo.rating.freeSpeed * lever * 1.001);
    const hardly = withChange(heron, [...choiceAt, 'drive', 'speedCap'], typed(1));
    expect(job(hardly).run!.time).toBeCloseTo(free.time, 6);
  });

  it('a start point has a pulse on its line', () => {
    const path = pathOf(heron);
    const { shortestPulse, longestPulse, travel } = path.servo;
    if (path.calibration) return;
    expect(servoPulseAt(path, 0)).toBeCloseTo(shortestPulse, 9);
    expect(servoPulseAt(path, travel)).toBeCloseTo(longestPulse, 9);
  });
});

describe('the board for servos', () => {
  const board = (of: object) =>
    applyChanges(heron, [
      { at: ['parts', 'plugged'], to: { part: { kind: 'board', name: 'board for servos', ...of } } },
      { at: [...railAt, 'board'], to: 'plugged' },
    ]);

  it('asks for an output each, for the amperes and the volts', () => {
    expect(check(heron, 'servo-board')).toBeUndefined();
    const few = check(board({ channels: 1 }), 'servo-board')!;
    expect(few.verdict).toBe('gives way');
    expect(said(few.sentence)).toContain('1 output for');
    expect(check(board({ channels: 64, servoCurrent: typed(0.01) }), 'servo-board')!.verdict).toBe('gives way');
    expect(check(board({ channels: 64, servoVoltage: typed(3) }), 'servo-board')!.verdict).toBe('gives way');
    expect(
      check(board({ channels: 64, servoCurrent: typed(80), servoVoltage: typed(12) }), 'servo-board')!.verdict,
    ).toBe('enough');
    expect(check(board({ channels: 64, pulseStep: typed(50e-6) }), 'servo-board')!.note).toBe(true);
  });
});

describe('a sanity line', () => {
  it('knows a purpose for each kind of mechanism', () => {
    expect(USUAL_SERVOS.map(({ id }) => id)).toContain(usualFor('leg').id);
    expect(usualFor('arm').most).toBeGreaterThan(usualFor('grip').most);
    for (const { least, most } of USUAL_SERVOS) expect(most).toBeGreaterThan(least);
  });
});

describe('stages inside, put in and taken out', () => {
  const part = (plan: Plan) => plan.parts[servoId]!.part as ServoPart;
  const known = applyChanges(heron, [
    {
      at: ['parts', servoId, 'part', 'inside'],
      to: [
        { driver: 10, driven: 60 },
        { driver: 12, driven: 60 },
      ],
    },
  ]);

  it('turn the horn slower by their teeth, and pull harder less what they lose', () => {
    const more = applyChanges(known, addServoStage(known, servoId, { driver: 12, driven: 24 }));
    const [before, after] = [part(known).points[0]!, part(more).points[0]!];
    expect(after.speed!.si).toBeCloseTo(before.speed!.si / 2, 9);
    expect(after.stallTorque!.si).toBeCloseTo(before.stallTorque!.si * 2 * 0.9, 9);
    expect(part(more).inside).toHaveLength(3);
    const back = applyChanges(more, removeServoStage(more, servoId, 2));
    expect(part(back).points[0]!.stallTorque!.si).toBeCloseTo(before.stallTorque!.si, 9);
    expect(part(back).points[0]!.speed!.si).toBeCloseTo(before.speed!.si, 9);
  });

  it('are refused where nothing is known, or nothing would be left', () => {
    const one = applyChanges(known, removeServoStage(known, servoId, 0));
    expect(() => removeServoStage(one, servoId, 0)).toThrow(/keeps a pair of gears/);
    const silent = applyChanges(heron, [{ at: ['parts', servoId, 'part', 'inside'] }]);
    expect(() => addServoStage(silent, servoId, { driver: 12, driven: 24 })).toThrow(/whose gears are known/);
  });
});
