import type { BrushKind } from '../../plan/document/materials.js';

/** Volts that a pair of brushes drops beside its resistance, typical. */
export const BRUSH_DROP: Readonly<Record<BrushKind, number>> = { carbon: 1, metal: 0.3 };

/** Seconds that brushes last at the steady current and the free speed, typical; real ones differ by `BRUSH_SPREAD`. */
export const BRUSH_LIFE: Readonly<Record<BrushKind, number>> = { carbon: 100 * 3600, metal: 50 * 3600 };

/** What a second-hand motor's brushes have left, typical: nobody knows. */
export const WORN_ALREADY = 0.5;

/** Brushes last so many times less, or more, than is typical. */
export const BRUSH_SPREAD = 3;

/**
 * How fast brushes wear against what their life is told for: (I/Icont)·(ω/ω0). A pure number; 1 wears them out in their life.
 *
 * @param steady what the motor carries for ever, A
 * @param free its free speed, rad/s
 * @example brushWear(45, 300, { steady: 15, free: 607 }) //=> 1.483
 */
export const brushWear = (
  current: number,
  speed: number,
  { steady, free }: { readonly steady: number; readonly free: number },
): number => (Math.abs(current) / steady) * (Math.abs(speed) / free);
