/** A thermal breaker or fuse: dθ/dt = ((I/(h·Ir))² − θ)/τ, trips at θ = 1. */
export interface Breaker {
  readonly rated: number;
  readonly holdMultiple: number;
  readonly timeConstant: number;
}

/** Rating lost per kelvin above 25 °C. */
export const DERATING_PER_KELVIN = 0.006;

/**
 * The current it carries for ever, h·Ir, lowered by heat around it.
 *
 * @example holdingCurrent(breaker) //=> 52
 */
export function holdingCurrent(breaker: Breaker, ambient = 25): number {
  return breaker.rated * breaker.holdMultiple * (1 - DERATING_PER_KELVIN * Math.max(0, ambient - 25));
}

/**
 * Seconds until it trips from cold: −τ·ln(1 − (h·Ir/I)²); `null` where it never does.
 *
 * @example tripTime(breaker, 80) //=> 6.589
 */
export function tripTime(breaker: Breaker, current: number): number | null {
  const hold = holdingCurrent(breaker);
  if (current <= hold) return null;
  return -breaker.timeConstant * Math.log(1 - (hold / current) ** 2);
}

/**
 * The current that just trips it after `time` seconds when it starts at heat θ0 (0 cold, 1 trips):
 * h·Ir·√((1 − θ0·e^(−t/τ))/(1 − e^(−t/τ))); 0 where what it carried before has tripped it already.
 *
 * @example tripCurrent(breaker, 10) //=> 69.16
 */
export function tripCurrent(breaker: Breaker, time: number, startHeat = 0, ambient = 25): number {
  if (startHeat >= 1) return 0;
  const left = Math.exp(-time / breaker.timeConstant);
  return holdingCurrent(breaker, ambient) * Math.sqrt((1 - startHeat * left) / (1 - left));
}
