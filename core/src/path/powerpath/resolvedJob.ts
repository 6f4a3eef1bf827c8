import type { Asked, Load } from '../../models/load/load.js';
import type { ThrowFigures } from '../../models/load/throw.js';

/** What lifts, and falls when the power goes. */
export interface Falls {
  /** Energy up to which a fall is only noted, J. */
  readonly harmless: number;
  /** Why it may come down, in the person's words. */
  readonly may: string | undefined;
}

/** The load side of a path: how the output turns into q, what resists, and what is asked. */
export interface ResolvedJob {
  /** Units of q per radian of the output shaft: metres for a wheel or drum, 1 for what turns. */
  readonly radius: number;
  /** What the output itself leaves of the force, 0…1; nothing is lost where absent. */
  readonly outputEfficiency?: number;
  readonly load: Load;
  readonly asked: Asked;
  readonly rope?: { readonly strength: number; readonly knotted: boolean };
  readonly thrown?: ThrowFigures;
  readonly buckling?: {
    readonly diameter: number;
    readonly length: number;
    readonly endFactor: number;
    readonly whirlFactor: number;
  };
  readonly settling?: { readonly window: number; readonly counts: number | undefined; readonly backlash: number };
  /** Of a robot that turns on the spot: how far its wheels stand from the middle, in the mean, m. */
  readonly turning?: { readonly reach: number };
  /** Inertia of what turns with the output when a drive base is lifted: its wheels, kg·m². */
  readonly spins?: number;
  /** Something falls when the power goes. */
  readonly falls?: Falls;
  /** How long it may stall at full effort, s. */
  readonly jam?: number;
}
