import type { MotionSystem } from '@rough-gear/core';

const STEP = 1e-3;
const MOST_STEPS = 60_000;

/**
 * The measure of the machine: the same motion by the plainest fixed-step loop there is, fourth order, 1 ms, place and
 * speed alone, one current limit, and nothing kept. What the core does is told as a multiple of it.
 */
export function bareLoop({ drive, load, efficiency, total, radius, until }: MotionSystem): () => number {
  const { motor, motors } = drive;
  const lever = total / radius;
  const resistance = motor.resistance + drive.controllerResistance + drive.supplyResistance;
  const limit = drive.statorLimit ?? Infinity;
  const travel = 'travel' in until ? until.travel : 1;
  const rotors = motors * drive.rotorInertia * lever * lever * efficiency;
  const accelerationAt = (q: number, v: number): number => {
    const current = Math.min((drive.restVoltage - motor.backEmfConstant * v * lever) / resistance, limit);
    const torque = motors * motor.torqueConstant * (current - motor.freeCurrent) * lever * efficiency;
    return (torque - load.force(q, v)) / (load.inertia(q) + rotors);
  };
  return () => {
    let [q, v, steps] = [0, 0, 0];
    for (; q < travel && steps < MOST_STEPS; steps++) {
      const a1 = accelerationAt(q, v);
      const v2 = v + (STEP / 2) * a1;
      const a2 = accelerationAt(q + (STEP / 2) * v, v2);
      const v3 = v + (STEP / 2) * a2;
      const a3 = accelerationAt(q + (STEP / 2) * v2, v3);
      const v4 = v + STEP * a3;
      const a4 = accelerationAt(q + STEP * v3, v4);
      q += (STEP / 6) * (v + 2 * v2 + 2 * v3 + v4);
      v += (STEP / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    }
    return steps;
  };
}
