/** A timer chip that runs by itself: one resistor above, one below that a knob turns, and a capacitor. SI. */
export interface TimerChip {
  /** Between the supply and the discharge pin. */
  readonly upper: number;
  /** Between the discharge pin and the capacitor: at the fast end of the knob, and at the slow one. */
  readonly lower: number;
  readonly lowerMost: number;
  readonly capacitor: number;
}

/** What it gives at one place of the knob. */
export interface TimerPulses {
  /** Pulses a second. */
  readonly rate: number;
  /** s of each pulse. */
  readonly high: number;
  readonly low: number;
  /** Share of the time that it is high: always over a half. */
  readonly duty: number;
}

/**
 * The capacitor charges through both resistors and discharges through the lower one, between a third and two thirds of the
 * supply: high for ln2·(Ra + Rb)·C, low for ln2·Rb·C.
 *
 * @example timerPulses(1000, 10000, 1e-8) //=> { rate: 6870, high: 0.00007625, low: 0.00006931, duty: 0.5238 }
 */
export function timerPulses(upper: number, lower: number, capacitor: number): TimerPulses {
  const high = Math.LN2 * (upper + lower) * capacitor;
  const low = Math.LN2 * lower * capacitor;
  return { rate: 1 / (high + low), high, low, duty: high / (high + low) };
}

/**
 * The two ends of the knob.
 *
 * @example timerRange({ upper: 1000, lower: 10000, lowerMost: 100000, capacitor: 1e-8 }).slow.rate //=> 717.8
 */
export const timerRange = ({
  upper,
  lower,
  lowerMost,
  capacitor,
}: TimerChip): { readonly fast: TimerPulses; readonly slow: TimerPulses } => ({
  fast: timerPulses(upper, lower, capacitor),
  slow: timerPulses(upper, lowerMost, capacitor),
});

/**
 * The lower resistor that gives a rate, Ω; under 0 where the upper one alone is too slow for it.
 *
 * @example lowerForRate(1000, 1e-8, 6870) //=> 10000
 */
export const lowerForRate = (upper: number, capacitor: number, rate: number): number =>
  (1 / (Math.LN2 * capacitor * rate) - upper) / 2;
