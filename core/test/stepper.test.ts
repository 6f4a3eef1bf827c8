import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  cornerSpeed,
  crawlingShare,
  electronicGearing,
  evaluateMechanism,
  followingErrorAngle,
  fullStep,
  highestLeadingSpeed,
  kickThroughSpring,
  kickTorque,
  lagAllowed,
  lagAngle,
  lastSpeed,
  outputResolution,
  peakTorqueAt,
  pullOut,
  pulseRate,
  pulsesPerCount,
  ratedTorqueAt,
  rateAtSpeed,
  resonanceRate,
  speedAfterJolt,
  speedAtPulses,
  speedAtRate,
  startRate,
  voltageLimitedTorque,
  type StepperFigures,
} from '../src/index.js';
import { demoPlan, nansIn, typed } from './demo.js';

const motor: StepperFigures = {
  phaseResistance: 1.2,
  phaseInductance: 0.0028,
  ratedCurrent: 2,
  holdingTorque: 1.2,
  detentTorque: 0.04,
  polePairs: 50,
  supplyVoltage: 24,
  setCurrent: 2,
};

describe('pull-out torque', () => {
  it('is flat up to the corner, and falls behind it', () => {
    const corner = cornerSpeed(motor);
    expect(pullOut(motor, 0)).toBeCloseTo(1.16, 12);
    expect(pullOut(motor, 0.99 * corner)).toBeCloseTo(1.16, 12);
    expect(pullOut(motor, 1.2 * corner)).toBeLessThan(1.16);
    expect(voltageLimitedTorque(motor, corner)).toBeCloseTo(1.2, 6);
  });

  it('ends where the volts give no more than the detent', () => {
    const last = lastSpeed(motor);
    expect(pullOut(motor, 0.999 * last)).toBeGreaterThan(0);
    expect(pullOut(motor, 1.001 * last)).toBe(0);
  });

  it('gains speed from more volts, and nothing at rest', () => {
    const more = { ...motor, supplyVoltage: 36 };
    expect(pullOut(more, 0)).toBe(pullOut(motor, 0));
    expect(cornerSpeed(more)).toBeGreaterThan(1.3 * cornerSpeed(motor));
  });

  it('has no corner where the volts cannot even drive the current at rest, and nothing at all without volts', () => {
    const weak = { ...motor, supplyVoltage: 1 };
    expect(cornerSpeed(weak)).toBe(0);
    expect(pullOut(weak, 0)).toBeLessThan(pullOut(motor, 0));
    expect(lastSpeed({ ...motor, supplyVoltage: 0.01 })).toBe(0);
  });

  it('goes with the set current', () => {
    expect(pullOut({ ...motor, setCurrent: 1 }, 0)).toBeCloseTo(0.56, 12);
  });

  it('carries less of it in full steps, and lags behind a load', () => {
    expect([1, 2, 4, 16].map(crawlingShare)).toEqual([Math.SQRT1_2, 0.92, 1, 1]);
    expect(lagAngle(0.6, 1.2, 50)).toBeCloseTo(Math.PI / 6 / 50, 12);
    expect(lagAngle(5, 1.2, 50)).toBeCloseTo(Math.PI / 2 / 50, 12);
    expect(lagAngle(-1, 1.2, 50)).toBe(0);
  });
});

describe('step rates', () => {
  it('knows 200 steps to a turn', () => {
    expect(fullStep(50)).toBeCloseTo((1.8 * Math.PI) / 180, 12);
    expect(rateAtSpeed(2 * Math.PI, 50)).toBeCloseTo(200, 9);
    expect(speedAtRate(200, 50)).toBeCloseTo(2 * Math.PI, 9);
  });

  it('resonates slower with more inertia, and starts faster with more to spare', () => {
    expect(resonanceRate(1.2, 4e-5, 50) / resonanceRate(1.2, 1.6e-4, 50)).toBeCloseTo(2, 9);
    expect(startRate(1, 1e-4, 50) / startRate(0.25, 1e-4, 50)).toBeCloseTo(2, 9);
    expect(startRate(-0.1, 1e-4, 50)).toBe(0);
  });

  it('swings and starts at 0, and is no NaN, where a screw is so steep that nothing drives it', () => {
    expect(resonanceRate(1.2, -4e-5, 50)).toBe(0);
    expect(startRate(0.5, -4e-5, 50)).toBe(0);
    const plan = demoPlan('limpet');
    const sled = plan.mechanisms.findIndex(({ id }) => id === 'sled');
    for (const [c, choice] of plan.mechanisms[sled]!.choices.entries()) {
      const screw = choice.stages.findIndex(({ kind }) => kind === 'screw');
      const at = ['mechanisms', sled, 'choices', c, 'stages', screw, 'pitchDiameter'];
      const steep = applyChanges(plan, [
        { at, to: typed(0.008 / (Math.PI * Math.tan(1.5))) },
        { at: ['mechanisms', sled, 'current'], to: choice.id },
      ]);
      expect(nansIn(evaluateMechanism(steep, steep.mechanisms[sled]!))).toEqual([]);
    }
  });

  it('starts at a rate that the motion itself can be stepped up to within one step', () => {
    // From rest, the first step must not leave the rotor more than a step behind: v² = 2·α·step at most.
    const rate = startRate(0.8, 1e-4, 50);
    const speed = speedAtRate(rate, 50);
    const angleToSpeed = speed ** 2 / ((2 * 0.8) / 1e-4);
    expect(angleToSpeed).toBeLessThan(fullStep(50));
  });
});

describe('pulses', () => {
  const train = { stepsPerTurn: 200, microsteps: 8, reduction: 3 };

  it('goes both ways', () => {
    expect(pulseRate(train, 2 * Math.PI)).toBeCloseTo(4800, 9);
    expect(speedAtPulses(train, 4800)).toBeCloseTo(2 * Math.PI, 12);
    expect(outputResolution(train) * 4800).toBeCloseTo(2 * Math.PI, 12);
  });

  it('locks a shaft to another: pitch wanted against the screw’s own', () => {
    // A screw of 4 mm lead moves 1 mm a turn of the leading shaft: it turns a quarter as far.
    const perCount = pulsesPerCount({ ...train, reduction: 1 }, 0.25, 400);
    expect(perCount).toBeCloseTo((0.25 * 1600) / 1600, 12);
    expect(highestLeadingSpeed({ ...train, reduction: 1 }, 0.25, 20000)).toBeCloseTo(
      (20000 / 1600 / 0.25) * 2 * Math.PI,
      9,
    );
  });

  it('gears electronically, and turns a following error into an angle at the output', () => {
    expect(electronicGearing(1000, 800)).toBe(5);
    expect(followingErrorAngle(40, 1000, 4)).toBeCloseTo((2 * Math.PI * 0.01) / 4, 12);
  });
});

describe('a step-driven servo', () => {
  const servo = { ratedTorque: 0.6, ratedSpeed: 300, peakTorque: 1.8, topSpeed: 450, voltageShare: 1 };

  it('keeps its torque to rated speed, and has none at its top', () => {
    expect(peakTorqueAt(servo, 300)).toBe(1.8);
    expect(ratedTorqueAt(servo, 375)).toBeCloseTo(0.3, 12);
    expect(peakTorqueAt(servo, 450)).toBe(0);
  });

  it('loses speed with the volts, and gains none above the sheet’s', () => {
    expect(ratedTorqueAt({ ...servo, voltageShare: 0.5 }, 150)).toBe(0.6);
    expect(ratedTorqueAt({ ...servo, voltageShare: 0.5 }, 226)).toBe(0);
    expect(peakTorqueAt({ ...servo, voltageShare: 2 }, 375)).toBe(peakTorqueAt(servo, 375));
  });
});

describe('a load engaged suddenly', () => {
  it('kicks with the square of the speed, and through a spring evenly with it', () => {
    expect(kickTorque(1e-4, 20, 0.03) / kickTorque(1e-4, 10, 0.03)).toBeCloseTo(4, 12);
    expect(kickThroughSpring(1e-4, 20, 400) / kickThroughSpring(1e-4, 10, 400)).toBeCloseTo(2, 12);
  });

  it('asks for the work of speeding up within a quarter of the field’s turn', () => {
    const [inertia, speed] = [2e-4, 12];
    const angle = lagAllowed(50);
    expect(angle).toBeCloseTo(Math.PI / 100, 12);
    expect(kickTorque(inertia, speed, angle) * angle).toBeCloseTo(0.5 * inertia * speed ** 2, 12);
  });

  it('leaves what momentum leaves', () => {
    expect(speedAfterJolt(10, 1e-4, 3e-4)).toBeCloseTo(2.5, 12);
  });
});
