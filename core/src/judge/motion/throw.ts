import { exitSpeed, throwImpulse, type ThrowFigures } from '../../models/load/throw.js';
import { fullEffort } from './fullEffort.js';
import { movingOf, type MotionSystem } from './system.js';

/** What one throw does to the wheels. */
export interface Throw {
  readonly exitSpeed: number;
  /** In the piece, J. */
  readonly energy: number;
  readonly speedAfter: number;
  /** Share of the speed lost. */
  readonly drop: number;
  /** Seconds until the wheels are back; ∞ where they never get there. */
  readonly recovery: number;
}

/**
 * (J + n·Jr·G²)·(ω1 − ω2) = κ·r·m·v, and the way back at full effort. The piece leaves with the speed the
 * wheels have before it slows them.
 */
export function throwAt(system: MotionSystem, figures: ThrowFigures, target: number): Throw {
  const { drive, load, total } = system;
  const speed = exitSpeed(figures, target);
  const turning = load.inertia(0) + drive.motors * drive.rotorInertia * total ** 2;
  const after = Math.max(0, target - throwImpulse(figures, speed) / turning);
  const back = fullEffort(movingOf({ ...system, until: { speed: target } }), { fromSpeed: after, longest: 30 });
  return {
    exitSpeed: speed,
    energy: (figures.pieceMass * speed ** 2) / 2,
    speedAfter: after,
    drop: 1 - after / target,
    recovery: back.outcome === 'arrived' ? back.time : Infinity,
  };
}
