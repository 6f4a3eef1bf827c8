import { SUSPICIOUS_BELOW } from './audit.js';

/** What of a motor's sheet may tell whether it speaks of a gearbox's output. SI; what is not known is absent. */
export interface GearSigns {
  readonly name: string;
  /** Without load, rad/s. */
  readonly freeSpeed: number;
  /** N·m */
  readonly stallTorque: number;
  /** m */
  readonly canDiameter?: number | undefined;
  /** Kt over Ke. */
  readonly torqueToBackEmfRatio: number;
}

/** rad/s; 1500 rpm. Plain motors of a robot's size turn faster. */
const SLOW = 157;
/** N·m for each cubic metre of can. Plain motors reach a third of it. */
const STRONG = 20_000;
/** A can whose length is not known is so many times as long as wide. */
const USUAL_LENGTH = 1.5;

/**
 * Why a motor's figures may be those at the output of its gearbox, in words that follow "because"; nothing where they look like
 * a plain motor's. It is a reason to ask, and no proof.
 *
 * @example gearedSign({ name: 'gearmotor 37 mm', freeSpeed: 20, stallTorque: 1, torqueToBackEmfRatio: 0.9 }) //=> 'its name says gear'
 */
export function gearedSign(signs: GearSigns): string | undefined {
  if (/gear/i.test(signs.name)) return 'its name says gear';
  if (signs.torqueToBackEmfRatio < SUSPICIOUS_BELOW)
    return 'it pulls less for an ampere than its speed for a volt would give, as gears take a share';
  if (signs.canDiameter === undefined || !(signs.freeSpeed < SLOW)) return undefined;
  const volume = (Math.PI / 4) * signs.canDiameter ** 3 * USUAL_LENGTH;
  return signs.stallTorque / volume > STRONG ? 'it is slow and strong for its can' : undefined;
}
