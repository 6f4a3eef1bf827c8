import { describe, expect, it } from 'vitest';
import {
  advanced,
  alike,
  applyChanges,
  brakePoint,
  brushWear,
  candidatesFor,
  controllerHeat,
  currentAtPeakEfficiency,
  currentForHeat,
  dragHeat,
  drivePoint,
  evaluateMechanism,
  freeSpeedAt,
  kvFromRpmPerVolt,
  motorFromKv,
  motorRowOf,
  peakEfficiency,
  resolvePath,
  scoreCard,
  spreadAmountsFor,
  windingVariants,
  type DcPath,
  type Drive,
  type MotorPart,
  type Plan,
} from '../src/index.js';
import { demoPlan, mechanismOf, said, through, typed, withChange } from './demo.js';

const RPM = Math.PI / 30;
/** 1000 rpm/V, 50 mΩ, 2 A free, carbon brushes. */
const wound = { ...motorFromKv({ kv: kvFromRpmPerVolt(1000), resistance: 0.05, freeCurrent: 2 }), brushDrop: 1 };
const drive: Drive = {
  motor: wound,
  motors: 1,
  rotorInertia: 1e-5,
  controllerResistance: 0,
  restVoltage: 7.2,
  supplyResistance: 0,
  greatestDuty: 1,
};
const heron = demoPlan('heron');
const changed = (plan: Plan, of: Record<string, unknown>): Plan =>
  withChange(plan, ['parts', 'motor-1', 'part'], { ...plan.parts['motor-1']!.part, ...of });
const byTurns = (of: Partial<MotorPart> = {}): Plan =>
  changed(heron, {
    data: { form: 'kv', kv: typed(480 * RPM), resistance: typed(0.1), freeCurrent: typed(2) },
    ...of,
  });
const pathOf = (plan: Plan, id = 'lift'): DcPath =>
  resolvePath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id) as DcPath;

describe('what brushes drop', () => {
  it('is off the volts at every speed: stall, free speed and what is best', () => {
    // By hand: (7.2 − 1)/0.05 = 124 A; (7.2 − 1 − 0.1)·1000 = 6100 rpm.
    expect(drivePoint(drive, 0).motorCurrent).toBeCloseTo(124, 9);
    expect(freeSpeedAt(wound, 7.2) / RPM).toBeCloseTo(6100, 6);
    expect(currentAtPeakEfficiency(wound, 7.2)).toBeCloseTo(Math.sqrt((2 * 6.2) / 0.05), 9);
    const tried = Array.from({ length: 2000 }, (_, i) => 2.5 + i * 0.06).map((current) => {
      const omega = (7.2 - 1 - current * 0.05) / wound.backEmfConstant;
      return (wound.torqueConstant * (current - 2) * omega) / (7.2 * current);
    });
    expect(peakEfficiency(wound, 7.2)).toBeCloseTo(Math.max(...tried), 6);
  });

  it('is heat: what the pack gives is work, copper and the case', () => {
    for (const speed of [0, 120, 300, 500]) {
      const { motorCurrent, supplyCurrent, shaftTorque } = drivePoint({ ...drive, supplyLimit: 40 }, speed);
      const friction = speed === 0 ? 0 : wound.torqueConstant * 2 * speed;
      const losses = motorCurrent ** 2 * 0.05 + motorCurrent * 1 + friction;
      expect(supplyCurrent * 7.2).toBeCloseTo(shaftTorque * speed + losses, 6);
      expect(dragHeat(wound, motorCurrent, speed)).toBeCloseTo(motorCurrent + friction, 9);
    }
  });

  it('is off what there is to brake with, and a slow motor that is shorted brakes by its friction alone', () => {
    const fast = brakePoint(drive, 400);
    expect(fast.motorCurrent).toBeCloseTo((400 / kvFromRpmPerVolt(1000) - 1) / 0.05, 9);
    const slow = brakePoint(drive, 50);
    expect(slow.motorCurrent).toBe(0);
    expect(slow.shaftTorque).toBeCloseTo(wound.torqueConstant * 2, 12);
  });

  it('belongs to brushed motors by Kv or turns, and a sheet’s four numbers contain it', () => {
    expect(pathOf(heron).drive.motor.brushDrop).toBeUndefined();
    expect(pathOf(byTurns()).drive.motor.brushDrop).toBe(1);
    expect(pathOf(byTurns({ brushes: 'metal' })).drive.motor.brushDrop).toBe(0.3);
    expect(pathOf(byTurns({ brushDrop: typed(0.6) })).drive.motor.brushDrop).toBe(0.6);
    expect(pathOf(byTurns({ type: 'brushless' })).drive.motor.brushDrop).toBeUndefined();
    const row = motorRowOf(byTurns().parts['motor-1']!.part as MotorPart, 12);
    expect(row.stallCurrent).toBeCloseTo(110, 9);
  });
});

describe('how long brushes last', () => {
  it('goes with current and speed, says how unsure it is, and is a note where they may not outlast a season', () => {
    expect(brushWear(45, 300, { steady: 15, free: 600 })).toBeCloseTo(1.5, 12);
    const lift = evaluateMechanism(heron, mechanismOf(heron, 'lift')).jobs[0]!;
    const note = lift.checks.find(({ id }) => id === 'brush-wear')!;
    // They outlast a season: nothing to know first. Brushes that are gone in an hour are.
    expect(note).toMatchObject({ verdict: 'enough', note: undefined });
    const gone = evaluateMechanism(changed(heron, { brushLife: typed(3600) }), mechanismOf(heron, 'lift')).jobs[0]!;
    expect(gone.checks.find(({ id }) => id === 'brush-wear')).toMatchObject({ verdict: 'enough', note: true });
    const [, hours, least, most] = /about ([\d.]+) h .*typical, ([\d.]+) to ([\d.]+) h/.exec(said(note.sentence))!;
    expect(Number(least) * 3).toBeCloseTo(Number(hours), -1);
    expect(Number(most) / 3).toBeCloseTo(Number(hours), -1);
    // Twice the life told by the sheet lasts twice as long, and is no more a guess.
    const told = evaluateMechanism(changed(heron, { brushLife: typed(200 * 3600) }), mechanismOf(heron, 'lift'));
    const known = said(told.jobs[0]!.checks.find(({ id }) => id === 'brush-wear')!.sentence);
    expect(Number(/about ([\d.]+) h/.exec(known)![1])).toBeCloseTo(2 * Number(hours), -1);
    expect(known).not.toContain('typical');
  });

  it('is no number of a motor that never turns', () => {
    const lift = heron.mechanisms.indexOf(mechanismOf(heron, 'lift'));
    const stuck = withChange(heron, ['mechanisms', lift, 'jobs', 0, 'mass'], typed(4000));
    const { checks, run } = evaluateMechanism(stuck, mechanismOf(stuck, 'lift')).jobs[0]!;
    expect(run!.outcome).not.toBe('arrived');
    const note = checks.find(({ id }) => id === 'brush-wear')!;
    expect(said(note.sentence)).toContain('does not turn');
    expect(note.there).toBe('does not turn');
  });

  it('is not asked of a motor without brushes', () => {
    const { checks } = evaluateMechanism(byTurns({ type: 'brushless', polePairs: 4 }), mechanismOf(heron, 'lift'))
      .jobs[0]!;
    expect(checks.some(({ id }) => id === 'brush-wear')).toBe(false);
  });
});

describe('a motor timed ahead', () => {
  it('turns faster a volt and pulls less an ampere, with the same friction', () => {
    const ahead = advanced(wound, Math.PI / 6);
    const share = Math.sqrt(3) / 2;
    expect(ahead.torqueConstant).toBeCloseTo(wound.torqueConstant * share, 12);
    expect(freeSpeedAt(ahead, 7.2)).toBeGreaterThan(freeSpeedAt(wound, 7.2) * 1.1);
    expect(ahead.torqueConstant * ahead.freeCurrent).toBeCloseTo(wound.torqueConstant * 2, 12);
    const at = mechanismOf(heron, 'lift');
    const index = heron.mechanisms.indexOf(at);
    const timed = withChange(heron, ['mechanisms', index, 'choices', 0, 'drive', 'timing'], typed(Math.PI / 6));
    expect(pathOf(timed).drive.motor.torqueConstant).toBeCloseTo(pathOf(heron).drive.motor.torqueConstant * share, 12);
  });
});

describe('what a rotor may turn at', () => {
  it('is more where it was balanced, and less where it was wound by hand and was not', () => {
    const most = (of: Partial<MotorPart>) => pathOf(changed(heron, of)).motor.highestSpeed!;
    expect(most({ balanced: true }) / most({})).toBeCloseTo(1.8 / 1.5, 9);
    expect(most({ winding: 'hand' }) / most({})).toBeCloseTo(1.3 / 1.5, 9);
    expect(most({ winding: 'hand', balanced: true })).toBe(most({ balanced: true }));
  });
});

describe('a controller’s heat', () => {
  it('is of its resistance and its switching, and back again', () => {
    const one = { resistance: 0.004, switching: 0.003 };
    expect(controllerHeat(one, 12, 40)).toBeCloseTo(0.004 * 1600 + 0.003 * 480, 12);
    expect(currentForHeat(one, 12, controllerHeat(one, 12, 40))).toBeCloseTo(40, 9);
    expect(currentForHeat({ resistance: 0, switching: 0.003 }, 12, 1.44)).toBeCloseTo(40, 9);
  });

  it('is a rung where its sheet says what it carries for ever, the fewer amperes the nearer', () => {
    const id = mechanismOf(heron, 'lift').choices[0]!.drive;
    if (id.kind !== 'dc') throw new Error('the lift has motors');
    const rungOf = (amperes?: number) => {
      const plan = withChange(
        heron,
        ['parts', id.controller, 'part', 'continuousCurrent'],
        amperes === undefined ? undefined : typed(amperes),
      );
      const { working } = evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.ladders;
      return working.rungs.find((rung) => rung.id === 'controller-heat');
    };
    expect(rungOf()).toBeUndefined();
    expect(rungOf(60)!.multiple!).toBeGreaterThan(rungOf(30)!.multiple!);
  });
});

describe('where it works', () => {
  const lift = heron.mechanisms.indexOf(mechanismOf(heron, 'lift'));
  const wet = (of: Record<string, unknown>, sealing?: string, controller?: string): Plan => {
    let plan = Object.entries(of).reduce(
      (before, [key, to]) => withChange(before, ['mechanisms', lift, 'jobs', 0, key], to),
      heron,
    );
    const { drive: used } = mechanismOf(heron, 'lift').choices[0]!;
    if (used.kind !== 'dc') throw new Error('the lift has motors');
    plan = withChange(plan, ['parts', used.motor, 'part', 'sealing'], sealing);
    return withChange(plan, ['parts', used.controller, 'part', 'sealing'], controller);
  };
  const checkOf = (plan: Plan) =>
    evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.checks.find(({ id }) => id === 'surroundings');

  it('is asked only where it is wet or dirty, and what is silent is not held against a part', () => {
    expect(checkOf(heron)).toBeUndefined();
    const silent = checkOf(wet({ wet: 'dust and splashes' }))!;
    expect(silent.note).toBe(true);
    expect(said(silent.sentence)).toContain('the sheet says');
  });

  it('gives way where a part stands less, is well where all stand it, and is a note where it is only scored', () => {
    const open = { wet: 'dust and splashes' };
    expect(checkOf(wet(open, 'open', 'under water'))!.verdict).toBe('gives way');
    expect(checkOf(wet(open, 'under water', 'dust and splashes'))!.verdict).toBe('enough');
    expect(checkOf(wet({ ...open, surroundings: 'score' }, 'open', 'open'))!.note).toBe(true);
  });

  it('is what dirt and water score by', () => {
    const score = (plan: Plan) =>
      through(
        scoreCard(plan, 'lift', mechanismOf(plan, 'lift').jobs[0]!.id, candidatesFor(plan, 'lift', 'raise', [])),
      )[0]!;
    const dry = score(heron);
    expect(dry.scores.dirt).toBe(0.3);
    expect(score(wet({ wet: 'under water' }, 'under water', 'under water')).scores.dirt).toBe(1);
    expect(score(wet({ wet: 'under water' }, 'open', 'under water')).scores.dirt).toBe(0.5);
    expect(dry.numbers.brushHours).toBeGreaterThan(1);
    expect(dry.numbers.runTime).toBeGreaterThan(60);
  });
});

describe('phases joined the other way', () => {
  it('turn √3 times as fast a volt in delta, with a third of the resistance, and are offered where it is known', () => {
    const kv = { form: 'kv', kv: typed(480 * RPM), resistance: typed(0.09), freeCurrent: typed(1) };
    const brushless = (joined?: string) =>
      changed(heron, { type: 'brushless', polePairs: 7, sensors: true, data: kv, ...(joined ? { joined } : {}) });
    const ids = (plan: Plan) => windingVariants(plan, 'lift', [], false).map(({ id }) => id);
    expect(ids(brushless())).not.toContain('joined-delta');
    const star = brushless('star');
    const delta = windingVariants(star, 'lift', [], false).find(({ id }) => id === 'joined-delta')!;
    const [before, after] = [pathOf(star), pathOf(applyChanges(star, delta.changes))];
    expect(before.drive.motor.backEmfConstant / after.drive.motor.backEmfConstant).toBeCloseTo(Math.sqrt(3), 6);
    expect(before.drive.motor.resistance / after.drive.motor.resistance).toBeCloseTo(3, 6);
    expect(ids(brushless('delta'))).toContain('joined-star');
  });
});

describe('a second-hand motor', () => {
  it('has half its brushes left and is spread twice as far; one wound by hand half as far again', () => {
    const lift = mechanismOf(heron, 'lift');
    const amounts = (of: Partial<MotorPart>) => spreadAmountsFor(changed(heron, of), lift);
    expect(pathOf(changed(heron, { secondHand: true })).motor.brushLife! / pathOf(heron).motor.brushLife!).toBe(0.5);
    const usual = amounts({});
    expect(amounts({ secondHand: true }).constants / usual.constants).toBeCloseTo(2, 9);
    expect(amounts({ secondHand: true }).friction / usual.friction).toBeCloseTo(2, 9);
    expect(amounts({ winding: 'hand' }).constants / usual.constants).toBeCloseTo(1.5, 9);
    expect(amounts({ winding: 'hand' }).friction).toBe(usual.friction);
    expect(amounts({ secondHand: true, winding: 'hand' }).mass).toBe(usual.mass);
  });
});

describe('motors of the same mass', () => {
  it('are those within a seventh, where both say what they weigh', () => {
    const own = heron.parts['motor-1']!.part as MotorPart;
    const grams = own.mass!.si;
    const other = (share: number): MotorPart => ({ ...own, mass: typed(grams * share) });
    expect(alike('mass', own, other(1.1))).toBe(true);
    expect(alike('mass', own, other(1.3))).toBe(false);
    expect(alike('mass', own, { ...own, mass: undefined })).toBe(false);
    expect(alike('job', own, other(3))).toBe(true);
  });
});
