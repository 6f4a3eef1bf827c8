import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  calibrate,
  commandedMotion,
  fourBarAt,
  leversToTip,
  loadedCurrent,
  loadedSpeed,
  pullOut,
  pulseFor,
  pulseRate,
  pushRodAt,
  railBudget,
  ratingAt,
  resistorAtLeast,
  signalFit,
  speedAtPulses,
  tipBlob,
  tipErrorLikely,
  tipErrorWorst,
  transistorStage,
  type Asked,
  type StepperFigures,
} from '../src/index.js';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true, noDefaultInfinity: true });

const stepper: fc.Arbitrary<StepperFigures> = fc.record({
  phaseResistance: between(0.3, 8),
  phaseInductance: between(0.0005, 0.02),
  ratedCurrent: between(0.4, 6),
  holdingTorque: between(0.05, 8),
  detentTorque: between(0, 0.02),
  polePairs: fc.constantFrom(50, 100),
  supplyVoltage: between(5, 60),
  setCurrent: between(0.2, 6),
});

describe('steppers, whatever their figures', () => {
  it('never gain torque from speed, nor lose any from volts', () => {
    fc.assert(
      fc.property(stepper, between(0, 300), between(0, 50), between(0, 20), (motor, speed, faster, more) => {
        const here = pullOut(motor, speed);
        expect(here).toBeGreaterThanOrEqual(0);
        expect(pullOut(motor, speed + faster)).toBeLessThanOrEqual(here + 1e-9);
        expect(pullOut({ ...motor, supplyVoltage: motor.supplyVoltage + more }, speed)).toBeGreaterThanOrEqual(
          here - 1e-9,
        );
      }),
    );
  });

  it('turn pulses into speed and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(200, 400),
        fc.constantFrom(1, 2, 8, 32),
        between(0.2, 80),
        between(0.01, 500),
        (stepsPerTurn, microsteps, reduction, speed) => {
          const train = { stepsPerTurn, microsteps, reduction };
          expect(speedAtPulses(train, pulseRate(train, speed)) / speed).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('come to the end of their way by what is commanded', () => {
    const common = {
      every: 10,
      held: 1,
      shock: 1,
      profile: 'moving',
      workingSeconds: 1,
      dutyShare: 0.1,
      perCoordinate: 1,
    };
    fc.assert(
      fc.property(
        between(0.01, 10),
        between(0.1, 10),
        fc.option(between(0.01, 20), { nil: undefined }),
        fc.option(between(0.01, 50), { nil: undefined }),
        fc.boolean(),
        (travel, time, typedSpeed, typedAcceleration, ramp) => {
          const asked = {
            ...common,
            travel,
            time,
            speed: travel / time,
            acceleration: 0,
            ...(typedSpeed === undefined ? {} : { typedSpeed }),
            ...(typedAcceleration === undefined ? {} : { typedAcceleration }),
          } as Asked;
          const { stretches, seconds } = commandedMotion(asked, ramp);
          const gone = stretches.reduce((sum, one) => sum + ((one.from + one.to) / 2) * one.seconds, 0);
          expect(gone / travel).toBeCloseTo(1, 9);
          // Nothing typed, it takes the time that is asked.
          if (typedSpeed === undefined && typedAcceleration === undefined) expect(seconds / time).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});

describe('signals, whatever the pin', () => {
  it('get resistors that can be bought, never too small and never a step too large', () => {
    fc.assert(
      fc.property(between(10, 1e6), (value) => {
        expect(resistorAtLeast(value)).toBeGreaterThanOrEqual(value * (1 - 1e-6));
        expect(resistorAtLeast(value)).toBeLessThan(value * 1.26);
      }),
    );
  });

  it('spare the pin at its gate, and bring a higher level back', () => {
    fc.assert(
      fc.property(
        between(2.5, 24),
        between(0.002, 0.03),
        between(100, 1000),
        (signalVoltage, pinCurrent, inputResistance) => {
          const input = { ledForward: 1.2, inputResistance, needCurrent: 0.008, ratedSignal: 5 };
          expect(
            signalVoltage / transistorStage(input, { signalVoltage, pinCurrent }, 5).gateResistor,
          ).toBeLessThanOrEqual(pinCurrent * (1 + 1e-6));
          const { seriesResistor } = signalFit(input, { signalVoltage, pinCurrent });
          if (signalVoltage > 5)
            expect((signalVoltage - 1.2) / (inputResistance + seriesResistor)).toBeCloseTo(3.8 / inputResistance, 9);
          else expect(seriesResistor).toBe(0);
        },
      ),
    );
  });
});

describe('servos, whatever their figures', () => {
  const points = fc
    .array(fc.record({ voltage: between(3, 12), stallTorque: between(0.05, 6), freeSpeed: between(1, 20) }), {
      minLength: 1,
      maxLength: 4,
    })
    .map((list) => {
      const sort = (key: 'voltage' | 'stallTorque' | 'freeSpeed') => list.map((one) => one[key]).sort((a, b) => a - b);
      const [volts, torque, speed] = [sort('voltage'), sort('stallTorque'), sort('freeSpeed')];
      return volts.map((voltage, i) => ({ voltage, stallTorque: torque[i]!, freeSpeed: speed[i]! }));
    });

  it('give no less at more volts, and nothing beyond their highest rating', () => {
    fc.assert(
      fc.property(points, between(0, 15), between(0, 5), (list, volts, more) => {
        const [here, there] = [ratingAt(list, volts), ratingAt(list, volts + more)];
        expect(there.stallTorque).toBeGreaterThanOrEqual(here.stallTorque - 1e-9);
        expect(there.freeSpeed).toBeGreaterThanOrEqual(here.freeSpeed - 1e-9);
        expect(there.stallTorque).toBeLessThanOrEqual(list.at(-1)!.stallTorque + 1e-9);
      }),
    );
  });

  it('slow down and draw more with every load', () => {
    fc.assert(
      fc.property(points, between(3, 12), between(0, 1), between(0, 1), (list, volts, a, b) => {
        const rating = ratingAt(list, volts);
        const [less, more] = [Math.min(a, b), Math.max(a, b)].map((share) => share * rating.stallTorque) as [
          number,
          number,
        ];
        const running = 0.1 * rating.stallCurrent;
        expect(loadedSpeed(rating, more)).toBeLessThanOrEqual(loadedSpeed(rating, less) + 1e-9);
        expect(loadedCurrent(rating, running, more)).toBeGreaterThanOrEqual(
          loadedCurrent(rating, running, less) - 1e-9,
        );
      }),
    );
  });

  it('close their linkage wherever it reaches, with the lever its own derivative gives', () => {
    fc.assert(
      fc.property(
        between(0.02, 0.12),
        between(0.01, 0.04),
        between(0.02, 0.12),
        between(0.01, 0.06),
        between(-Math.PI, Math.PI),
        fc.boolean(),
        (ground, horn, rod, lever, angle, crossed) => {
          const bar = { ground, horn, rod, lever, crossed };
          const at = fourBarAt(bar, angle);
          if (!at) return;
          expect(Math.hypot(at.lever.x - at.horn.x, at.lever.y - at.horn.y)).toBeCloseTo(rod, 9);
          expect(Math.hypot(at.lever.x - ground, at.lever.y)).toBeCloseTo(lever, 9);
          // Away from where rod and lever are in line: there the lever may go either way.
          if (Math.sin(at.transmission) < 0.2) return;
          const step = 1e-6;
          const [before, after] = [fourBarAt(bar, angle - step), fourBarAt(bar, angle + step)];
          if (!before || !after) return;
          const turned = Math.atan2(
            Math.sin(after.leverAngle - before.leverAngle),
            Math.cos(after.leverAngle - before.leverAngle),
          );
          expect(Math.abs(at.ratio - turned / (2 * step))).toBeLessThan(1e-3 * Math.max(1, Math.abs(at.ratio)));
        },
      ),
    );
  });

  it('push along a line by the lever its own derivative gives', () => {
    fc.assert(
      fc.property(
        between(0.01, 0.04),
        between(0.06, 0.2),
        between(-0.01, 0.01),
        between(-Math.PI, Math.PI),
        (horn, rod, offset, angle) => {
          const push = { horn, rod, offset };
          const step = 1e-6;
          const [before, at, after] = [-step, 0, step].map((by) => pushRodAt(push, angle + by)!) as [
            ReturnType<typeof pushRodAt> & object,
            ReturnType<typeof pushRodAt> & object,
            ReturnType<typeof pushRodAt> & object,
          ];
          expect(Math.abs(at.lever - (after.place - before.place) / (2 * step))).toBeLessThan(1e-7);
        },
      ),
    );
  });

  it('have a likely error between the worst over the root of their number and the worst', () => {
    const joints = fc.array(
      fc.record({ length: between(0.01, 0.3), angle: between(-2, 2), error: between(0.0005, 0.05) }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(joints, (chain) => {
        const errors = leversToTip(chain).map((lever, i) => ({ lever, error: chain[i]!.error }));
        const [worst, likely] = [tipErrorWorst(errors), tipErrorLikely(errors)];
        expect(likely).toBeLessThanOrEqual(worst + 1e-12);
        expect(likely).toBeGreaterThanOrEqual(worst / Math.sqrt(chain.length) - 1e-12);
        const { long, short } = tipBlob(chain);
        expect(Math.hypot(long, short)).toBeCloseTo(likely, 9);
        expect(long).toBeGreaterThanOrEqual(short);
      }),
    );
  });

  it('may stall together only within the burst, and one more would be too much', () => {
    const servo = fc.record({
      name: fc.constantFrom('a', 'b', 'c'),
      idle: between(0, 0.05),
      moving: between(0.05, 1),
      stalled: between(1, 5),
      highestVoltage: between(5, 9),
    });
    fc.assert(
      fc.property(fc.array(servo, { minLength: 1, maxLength: 8 }), between(0.5, 30), (servos, burst) => {
        const { mayStall, stallsAllowed, moving } = railBudget(servos, { voltage: 6, resistance: 0.05, burst });
        expect(mayStall).toHaveLength(stallsAllowed);
        const extra = servos.map((one) => one.stalled - one.moving).sort((a, b) => b - a);
        const drawn = (count: number) => moving + extra.slice(0, count).reduce((sum, one) => sum + one, 0);
        if (stallsAllowed > 0) expect(drawn(stallsAllowed)).toBeLessThanOrEqual(burst + 1e-9);
        if (stallsAllowed < servos.length) expect(drawn(stallsAllowed + 1)).toBeGreaterThan(burst - 1e-9);
      }),
    );
  });

  it('are calibrated through the middle of what was measured', () => {
    const pair = fc.record({ angle: between(-1.5, 1.5), pulse: between(5e-4, 2.5e-3) });
    fc.assert(
      fc.property(fc.array(pair, { minLength: 2, maxLength: 12 }), (pairs) => {
        const angles = pairs.map(({ angle }) => angle);
        fc.pre(Math.max(...angles) - Math.min(...angles) > 0.05);
        const line = calibrate(pairs);
        expect(line.residuals.reduce((sum, one) => sum + one, 0)).toBeCloseTo(0, 9);
        pairs.forEach(({ angle, pulse }, i) =>
          expect(pulseFor(line, angle) + line.residuals[i]!).toBeCloseTo(pulse, 9),
        );
      }),
    );
  });
});
