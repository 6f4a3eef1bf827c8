import { describe, expect, it } from 'vitest';
import { evaluateMechanism, resolvePath, type Plan, type ServoPath, type StepPath } from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';
import { allMachinesPlan } from './kinds.js';

/**
 * The ladders of steppers and servos against a search that knows nothing of them: the load is ramped up, and the motor's
 * own equations, written here from its phases or its sheet, say when it can no more. Nothing of limits/ is used.
 */

/** Torque of a stepper from its phases alone, written down a second time. */
function stepperGives({ step, restVoltage }: StepPath, omega: number): number {
  if (step.motor.loop !== 'open') throw new Error('not a stepper');
  const { phaseResistance: r, phaseInductance: l, holdingTorque, ratedCurrent, detentTorque } = step.motor.figures;
  const k = holdingTorque / (Math.SQRT2 * ratedCurrent);
  const x = step.polePairs * omega * l;
  const z = Math.sqrt(r * r + x * x);
  const byVolts = (k * restVoltage) / z - (k * k * omega * r) / (z * z);
  const byCurrent = (holdingTorque * step.setCurrent) / ratedCurrent;
  return Math.max(0, Math.min(byVolts, byCurrent) - detentTorque);
}

/** A step servo's, by its sheet alone. */
function servoMotorGives({ step }: StepPath, omega: number): number {
  if (step.motor.loop !== 'closed') throw new Error('not closed');
  const { peakTorque, ratedSpeed, topSpeed, voltageShare } = step.motor.figures;
  const scale = Math.min(1, voltageShare);
  if (omega <= ratedSpeed * scale) return peakTorque;
  return peakTorque * Math.max(0, (topSpeed * scale - omega) / ((topSpeed - ratedSpeed) * scale));
}

/** The greatest multiple of the job's own force that is still borne, by halving. */
function ramped(holds: (times: number) => boolean): number {
  let [low, high] = [0, 1];
  while (holds(high) && high < 1e6) [low, high] = [high, high * 2];
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Whether a stepping motor bears so many times the force of its job, at rest with its acceleration or along the way; `turning`
 * is the speed at which its torque is asked, where that is not the job's.
 */
function stepHolds(path: StepPath, situation: 'starting' | 'working', turning?: number): (times: number) => boolean {
  const { load, asked, train, radius, motors, step, commanded } = path;
  const lever = train.total / radius;
  const [v, a] = situation === 'starting' ? [0, commanded.acceleration] : [commanded.speed, 0];
  const places = Array.from({ length: 401 }, (_, i) => ((asked.travel ?? 0) * i) / 400);
  const own = Math.max(...places.map((q) => load.force(q, v) + load.inertia(q) * a));
  const shock = situation === 'starting' ? asked.shock : 1;
  const recovery = situation === 'working' ? (asked.recovery ?? 0) : 0;
  const coarse = situation === 'starting' ? (step.microsteps < 2 ? Math.SQRT1_2 : step.microsteps < 4 ? 0.92 : 1) : 1;
  const omega = (turning ?? v) * lever;
  const gives = step.motor.loop === 'open' ? stepperGives(path, omega) * coarse : servoMotorGives(path, omega);
  return (times) => {
    const force = times * (shock * own + recovery);
    const torque = force / (motors * lever * train.efficiency) + step.rotorInertia * lever * a;
    return torque <= gives;
  };
}

/** Whether servos do, by walking the way in small steps with the line of their sheet at each place. */
function servoHolds(path: ServoPath, situation: 'starting' | 'working' | 'holding'): (times: number) => boolean {
  const { load, asked, servo, linked, motors, train } = path;
  const places = Array.from({ length: 17 }, (_, i) => ((asked.travel ?? 0) * i) / 16);
  const v = situation === 'working' ? asked.speed : 0;
  const a = situation === 'starting' ? asked.acceleration : 0;
  const { stallTorque, freeSpeed } = servo.rating;
  return (times) =>
    places.every((q) => {
      const ratio = linked!.ratioAt(q);
      const force = situation === 'holding' ? load.holdForce(q) : load.force(q, v) + load.inertia(q) * a;
      const through = situation === 'holding' ? force * train.backEfficiency : force / train.efficiency;
      const shock = situation === 'starting' ? asked.shock : 1;
      const onHorn = (times * shock * through * ratio) / motors;
      // The motor's own rotor is sped up as well, shock or not.
      const own = situation === 'starting' ? (servo.rotorAtHorn * a) / ratio : 0;
      const there = situation === 'working' ? stallTorque * Math.max(0, 1 - v / ratio / freeSpeed) : stallTorque;
      return onHorn + own <= there;
    });
}

const heron = demoPlan('heron');
const limpet = demoPlan('limpet');
const table = (plan: Plan) => plan.mechanisms.findIndex(({ id }) => id === 'turntable');

const STEP_PLANS: readonly (readonly [string, Plan])[] = [
  ['Heron', heron],
  ['Heron with its step servo', withChange(heron, ['mechanisms', table(heron), 'current'], 'b')],
  ['Heron, hurried', withChange(heron, ['mechanisms', table(heron), 'jobs', 0, 'time'], typed(0.6))],
  ['Heron, in full steps', withChange(heron, ['mechanisms', table(heron), 'choices', 0, 'drive', 'steps'], 1)],
  ['Heron, on a tired pack', withChange(heron, ['supply', 0, 'others'], typed(60))],
  ['Limpet', limpet],
  ['a plan of all machines', allMachinesPlan()],
];

describe('a stepping motor', () => {
  it.each(STEP_PLANS)('of %s gives way where a ramped load says', (_name, plan) => {
    let compared = 0;
    for (const mechanism of plan.mechanisms) {
      for (const job of evaluateMechanism(plan, mechanism).jobs) {
        const path = resolvePath(plan, mechanismOf(plan, mechanism.id), job.jobId);
        if (path.machine !== 'step') continue;
        for (const situation of ['starting', 'working'] as const) {
          const rung = job.ladders[situation].rungs.find(({ id }) => id === 'pull-out' || id === 'peak-torque');
          if (!rung || rung.multiple === undefined || job.ladders[situation].idle) continue;
          // What starts too slowly is borne whole at the acceleration that it reaches; what stalls not even at none.
          const { shortfall, multiple } = rung;
          const slowly = shortfall?.kind === 'starts slowly';
          const stalls = shortfall?.kind === 'stalls';
          const acceleration = slowly ? shortfall.acceleration : stalls ? 0 : path.commanded.acceleration;
          // Past the speed at which its torque ends the load is borne whole up to that speed; what stalls bears it at none.
          const tooSlow = shortfall?.kind === 'too slow';
          const turning = tooSlow ? shortfall.speed : stalls && situation === 'working' ? 0 : undefined;
          const commanded = { ...path.commanded, acceleration };
          const found = ramped(stepHolds({ ...path, commanded }, situation, turning));
          const expected = slowly || tooSlow ? 1 : multiple;
          expect(Math.abs(found - expected), `${mechanism.id} ${situation}`).toBeLessThan(2e-3 * Math.max(1, expected));
          compared++;
        }
      }
    }
    expect(compared).toBeGreaterThan(0);
  });

  it('keeps step along its motion exactly as long as every moment of it is borne', () => {
    for (const seconds of [0.5, 0.6, 0.7, 0.8, 1, 1.4]) {
      const plan = withChange(heron, ['mechanisms', table(heron), 'jobs', 0, 'time'], typed(seconds));
      const mechanism = mechanismOf(plan, 'turntable');
      const path = resolvePath(plan, mechanism, 'turn') as StepPath;
      const check = evaluateMechanism(plan, mechanism).jobs[0]!.checks.find(({ id }) => id === 'keeps-step')!;
      // The motion in a thousand plain steps: a third each for speeding up, going and slowing down.
      const top = (1.5 * Math.PI) / seconds;
      const slope = (3 * top) / seconds;
      const lever = path.train.total;
      let least = Infinity;
      for (let i = 0; i <= 3000; i++) {
        const t = (seconds * i) / 3000;
        const [speed, a] =
          t <= seconds / 3 ? [slope * t, slope] : t <= (2 * seconds) / 3 ? [top, 0] : [slope * (seconds - t), -slope];
        const force = 0.35 + 0.09 * a;
        const torque =
          (force >= 0 ? force / path.train.efficiency : force * path.train.backEfficiency) / lever + 3e-5 * lever * a;
        least = Math.min(least, stepperGives(path, Math.max(0, speed) * lever) / Math.abs(torque));
      }
      expect(Math.abs(check.multiple! - least) / least).toBeLessThan(0.02);
      expect(check.verdict === 'gives way').toBe(check.multiple! < 1);
    }
  });
});

describe('a servo', () => {
  it.each([
    ['Heron', heron],
    ['Limpet', limpet],
    ['a plan of all machines', allMachinesPlan()],
    [
      'Heron with a shorter lever',
      withChange(heron, ['mechanisms', table(heron) + 1, 'choices', 0, 'drive', 'linkage', 'lever'], typed(0.023)),
    ],
  ] as const)('of %s gives way where a ramped load says', (_name, plan) => {
    let compared = 0;
    for (const mechanism of plan.mechanisms) {
      for (const job of evaluateMechanism(plan, mechanism).jobs) {
        const path = resolvePath(plan, mechanismOf(plan, mechanism.id), job.jobId);
        if (path.machine !== 'servo') continue;
        for (const situation of ['starting', 'working', 'holding'] as const) {
          const rung = job.ladders[situation].rungs.find(({ id }) => id === 'servo' || id === 'servo-hold');
          if (!rung || rung.multiple === undefined || job.ladders[situation].idle) continue;
          const { shortfall } = rung;
          const speed = shortfall?.kind === 'too slow' ? shortfall.speed : shortfall ? 0 : path.asked.speed;
          const found = ramped(servoHolds({ ...path, asked: { ...path.asked, speed } }, situation));
          if (shortfall?.kind === 'too slow') {
            expect(Math.abs(found - 1), `${mechanism.id} at the speed that it reaches`).toBeLessThan(0.01);
            continue;
          }
          expect(
            Math.abs(found - rung.multiple),
            `${mechanism.id} ${situation}: ${found} ${rung.multiple}`,
          ).toBeLessThan(0.01 * Math.max(1, rung.multiple));
          compared++;
        }
      }
    }
    expect(compared).toBeGreaterThan(3);
  });
});
