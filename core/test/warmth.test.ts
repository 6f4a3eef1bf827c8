import { describe, expect, it } from 'vitest';
import { thermalFromMass, tripTime, windingTemperature, type MotionSystem } from '../src/index.js';
import { Warmth } from '../src/judge/motion/warmth.js';
import { sampleDrive } from './demo.js';

// At rest nothing rubs: what warms is copper alone, and the exact solution of the two lumps is known.
const still: MotionSystem = {
  drive: sampleDrive,
  packResistance: 0.013,
  total: 9,
  efficiency: 0.9,
  backEfficiency: 0.9,
  radius: 0.02,
  load: { unit: 'm', force: () => 0, holdForce: () => 0, inertia: () => 1 },
  until: { time: 30 },
  thermal: thermalFromMass(0.5, 120, 25),
  breaker: { holds: 52, timeConstant: 12, share: 1 },
};

const point = (current: number) => ({
  motorCurrent: current,
  supplyCurrent: current,
  supplyVoltage: 11,
  shaftTorque: 0,
  heldBy: 'voltage' as const,
});

function after(system: MotionSystem, seconds: number, current: number, steps: number, speed = 0) {
  const warmth = new Warmth(system);
  for (let i = 0; i < steps; i++) warmth.pass(seconds / steps, point(current), point(current), speed);
  return warmth.result();
}

describe('what gathers along a run', () => {
  it('agrees with the exact winding temperature', () => {
    const exact = windingTemperature(0.1, still.thermal!, 40, 30);
    expect(after(still, 30, 40, 300).windingTemperature).toBeCloseTo(exact, 0);
  });

  it('trips the breaker when its own formula says so, whatever the steps', () => {
    const trip = tripTime({ rated: 40, holdMultiple: 1.3, timeConstant: 12 }, 104)!;
    for (const steps of [1, 7, 200]) expect(after(still, trip, 104, steps).breakerHeat).toBeCloseTo(1, 9);
  });

  it('counts what several motors share, and one branch for each', () => {
    const two: MotionSystem = {
      ...still,
      drive: { ...sampleDrive, motors: 2 },
      breaker: { ...still.breaker!, share: 2 },
    };
    const warmth = new Warmth(two);
    // A sample holds the current of both, a point that of one.
    warmth.pass(5, { motorCurrent: 50, supplyCurrent: 100 }, point(50), 0);
    expect(warmth.result().breakerHeat).toBeCloseTo((100 / 52) ** 2 * (1 - Math.exp(-5 / 12)), 9);
  });

  it('warms the case by friction while it turns, and cools without current', () => {
    const turning = after(still, 60, 2, 600, 1).windingTemperature!;
    const resting = after(still, 60, 2, 600, 0).windingTemperature!;
    expect(turning).toBeGreaterThan(resting);
    const warmth = new Warmth(still);
    for (let i = 0; i < 100; i++) warmth.pass(0.3, point(40), point(40), 0);
    const hot = warmth.result().windingTemperature!;
    for (let i = 0; i < 100; i++) warmth.pass(0.3, point(0), point(0), 0);
    expect(warmth.result().windingTemperature!).toBeLessThan(hot);
  });

  it('stays a number however absurd the current', () => {
    expect(after(still, 1e6, 1e9, 50)).toEqual({ windingTemperature: 1000, breakerHeat: expect.any(Number) as number });
  });

  it('says nothing of what is not there', () => {
    const { thermal: _none, breaker: _neither, ...bare } = still;
    expect(after(bare, 10, 40, 10)).toEqual({});
  });
});
