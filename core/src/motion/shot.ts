import { exitSpeed, shotImpulse, type ShotFigures } from '../load/shot.js';
import { fullEffort } from './fullEffort.js';
import type { MotionSystem } from './system.js';

/** What one shot does to the wheels. */
export interface Shot {
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
export function shotAt(system: MotionSystem, figures: ShotFigures, target: number): Shot {
  const { drive, load, total } = system;
  const speed = exitSpeed(figures, target);
  const turning = load.inertia(0) + drive.motors * drive.rotorInertia * total ** 2;
  const after = Math.max(0, target - shotImpulse(figures, speed) / turning);
  const back = fullEffort({ ...system, until: { speed: target } }, { fromSpeed: after, longest: 30 });
  return {
    exitSpeed: speed,
    energy: (figures.shotMass * speed ** 2) / 2,
    speedAfter: after,
    drop: 1 - after / target,
    recovery: back.outcome === 'arrived' ? back.time : Infinity,
  };
}
