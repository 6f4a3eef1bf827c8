import type { Load } from './load.js';

const SAMPLES = 64;

/**
 * What comes free when the power goes at the worst place of the way: m·g·h, or ½·J·ω² at the bottom, less what springs
 * and counterforce take. Friction is left out, which is on the safe side. J; 0 of a load that cannot fall.
 *
 * @example fallEnergy(lift({ mass: 20, slope: 1.5708, friction: 10, counterforce: 0, loadPerRope: 1 }), 1.35) //=> 264.8
 */
export function fallEnergy({ potential, places = [] }: Load, travel: number): number {
  if (!potential) return 0;
  let least = Infinity;
  let most = -Infinity;
  const look = (place: number): void => {
    const stored = potential(place);
    least = Math.min(least, stored);
    most = Math.max(most, stored);
  };
  for (let i = 0; i <= SAMPLES; i++) look((travel * i) / SAMPLES);
  for (const place of places) if (place > 0 && place < travel) look(place);
  return most - least;
}
