/** Hz of a usual chopper, just over what is heard. */
const CHOPS = 20_000;
/** Time constants L/R in a quarter of the current's wave: fewer, and it has not gone when the next quarter begins. */
const FALLS_IN = 2;

/**
 * Full steps a second up to which slow decay follows the wave of micro-steps. Shorted, a current falls no faster than by
 * L/R; a quarter of the wave is one full step, and takes two of those: R/(2·L).
 *
 * @example slowDecayRate(1.6, 0.003) //=> 266.7
 */
export const slowDecayRate = (phaseResistance: number, phaseInductance: number): number =>
  phaseResistance / (FALLS_IN * phaseInductance);

/**
 * Ripple of the current with fast decay, A from top to bottom at a usual chopper: half of each period against the
 * supply, V/(2·L·f).
 *
 * @example fastDecayRipple(24, 0.003) //=> 0.2
 */
export const fastDecayRipple = (supply: number, phaseInductance: number): number =>
  supply / (2 * phaseInductance * CHOPS);
