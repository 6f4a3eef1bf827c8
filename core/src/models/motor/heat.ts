import { bisect } from '../numbers/bisect.js';
/** Two thermal lumps: winding and case. */
export interface MotorThermal {
  /** J/K */
  readonly windingCapacity: number;
  readonly caseCapacity: number;
  /** K/W */
  readonly windingToCase: number;
  readonly caseToAir: number;
  /** °C */
  readonly windingLimit: number;
  readonly ambient: number;
}

/** Copper's resistance rise per kelvin from 20 °C. */
export const COPPER_ALPHA = 0.00393;

const COPPER_SHARE = 0.15;
const COPPER_HEAT = 385;
const IRON_HEAT = 460;
const WINDING_SECONDS = 60;
const CASE_SECONDS = 900;

/**
 * Heat capacities and resistances from the motor's mass (kg) alone, an *estimate*: good for
 * 0.3–0.8 kg on a metal plate, up to 2.5 times too cool for 1.5 kg in free air.
 *
 * @example thermalFromMass(1.1, 120, 25) //=> { windingCapacity: 63.53, caseCapacity: 430.1, windingToCase: 0.9445, caseToAir: 2.093, windingLimit: 120, ambient: 25 }
 */
export function thermalFromMass(mass: number, windingLimit: number, ambient: number): MotorThermal {
  const windingCapacity = COPPER_SHARE * mass * COPPER_HEAT;
  const caseCapacity = (1 - COPPER_SHARE) * mass * IRON_HEAT;
  return {
    windingCapacity,
    caseCapacity,
    windingToCase: WINDING_SECONDS / windingCapacity,
    caseToAir: CASE_SECONDS / caseCapacity,
    windingLimit,
    ambient,
  };
}

/**
 * R at winding temperature (°C) from R at 20 °C.
 *
 * @example resistanceAt(0.1, 120) //=> 0.1393
 */
export function resistanceAt(resistance20: number, temperature: number): number {
  return resistance20 * (1 + COPPER_ALPHA * (temperature - 20));
}

/**
 * Icont = √((Tlim − Ta)/(R(Tlim)·(Rwc + Rca))), A.
 *
 * @example continuousCurrent(0.1, thermalFromMass(1.1, 120, 25)) //=> 14.99
 */
export function continuousCurrent(resistance20: number, thermal: MotorThermal): number {
  const rise = thermal.windingLimit - thermal.ambient;
  return Math.sqrt(
    rise / (resistanceAt(resistance20, thermal.windingLimit) * (thermal.windingToCase + thermal.caseToAir)),
  );
}

/** Temperatures of the two lumps, °C. */
export interface Lumps {
  readonly winding: number;
  readonly shell: number;
}

/** What heats a motor steadily: the mean square of its current, A², and friction and iron in its case, W. */
export interface Heating {
  readonly squared: number;
  readonly friction: number;
}

/** Beyond this a winding has long burnt; more degrees say nothing. °C */
export const BURNT = 1000;

/**
 * Winding and case (°C) after `time` seconds of steady heating from where they stood. The exact solution of
 * the two coupled lumps, copper's resistance rise included: it makes them a linear pair.
 *
 * @example lumpsFrom({ winding: 25, shell: 25 }, 0.1, thermalFromMass(1.1, 120, 25), { squared: 900, friction: 10 }, 60) //=> { winding: 90.29, shell: 31.16 }
 */
export const lumpsFrom = (
  start: Lumps,
  resistance20: number,
  thermal: MotorThermal,
  heating: Heating,
  time: number,
): Lumps => lumpsOver(resistance20, thermal, heating, time)(start, { winding: 0, shell: 0 });

/** The same for many starts, written into `end`: what the heating and the time make of them is worked out once. */
export function lumpsOver(
  resistance20: number,
  thermal: MotorThermal,
  { squared, friction }: Heating,
  time: number,
): (start: Lumps, end: { winding: number; shell: number }) => Lumps {
  const { windingCapacity: cw, caseCapacity: cc, windingToCase: rwc, caseToAir: rca, ambient } = thermal;
  const copper = squared * resistance20;
  const a11 = (copper * COPPER_ALPHA - 1 / rwc) / cw;
  const a12 = 1 / (rwc * cw);
  const a21 = 1 / (rwc * cc);
  const a22 = -(1 / rwc + 1 / rca) / cc;
  const b1 = (copper * (1 + COPPER_ALPHA * (ambient - 20))) / cw;
  const b2 = friction / cc;
  const middle = (a11 + a22) / 2;
  const apart = Math.sqrt(((a11 - a22) / 2) ** 2 + a12 * a21);
  const l1 = middle + apart;
  const l2 = middle - apart;
  const e1 = Math.exp(power(l1 * time));
  const e2 = Math.exp(l2 * time);
  const g1 = grown(l1, time);
  const g2 = grown(l2, time);
  const inW = (a11 - l2) * b1 + a12 * b2;
  const inS = a21 * b1 + (a22 - l2) * b2;
  const outW = (a11 - l1) * b1 + a12 * b2;
  const outS = a21 * b1 + (a22 - l1) * b2;
  const span = l1 - l2;
  return (start, end) => {
    const w = start.winding - ambient;
    const s = start.shell - ambient;
    const fromW = (a11 - l2) * w + a12 * s;
    const fromS = a21 * w + (a22 - l2) * s;
    const toW = (a11 - l1) * w + a12 * s;
    const toS = a21 * w + (a22 - l1) * s;
    end.winding = ambient + (e1 * fromW - e2 * toW + g1 * inW - g2 * outW) / span;
    end.shell = ambient + (e1 * fromS - e2 * toS + g1 * inS - g2 * outS) / span;
    return end;
  };
}

/** ∫e^(l·s)ds from 0 to `time`. */
const grown = (l: number, time: number): number => (Math.abs(l * time) < 1e-9 ? time : Math.expm1(power(l * time)) / l);

/** Keeps a runaway within what a number holds. */
const power = (exponent: number): number => Math.min(exponent, 500);

/**
 * Winding and case (°C) after `time` seconds at rest with `current`, both lumps at ambient at first.
 *
 * @example lumpsAfter(0.1, thermalFromMass(1.1, 120, 25), 30, 60) //=> { winding: 89.76, shell: 29.87 }
 */
export function lumpsAfter(resistance20: number, thermal: MotorThermal, current: number, time: number): Lumps {
  const cold = { winding: thermal.ambient, shell: thermal.ambient };
  return lumpsFrom(cold, resistance20, thermal, { squared: current * current, friction: 0 }, time);
}

/**
 * Winding temperature alone.
 *
 * @example windingTemperature(0.1, thermalFromMass(1.1, 120, 25), 30, 60) //=> 89.76
 */
export const windingTemperature = (
  resistance20: number,
  thermal: MotorThermal,
  current: number,
  time: number,
): number => lumpsAfter(resistance20, thermal, current, time).winding;

const LONGEST = 3600;

/**
 * Seconds at rest with a current until the winding reaches its limit; `null` where it does not within an hour.
 *
 * @example timeToLimit(0.1, thermalFromMass(1.1, 120, 25), 60) //=> 15.7
 */
export function timeToLimit(resistance20: number, thermal: MotorThermal, current: number): number | null {
  const beyond = (time: number) => windingTemperature(resistance20, thermal, current, time) >= thermal.windingLimit;
  if (!beyond(LONGEST)) return null;
  return bisect(0, LONGEST, (time) => !beyond(time))[1];
}

/**
 * The current (A) at which the winding just reaches its limit after `time` seconds at rest.
 *
 * @example currentToLimit(0.1, thermalFromMass(1.1, 120, 25), 30) //=> 45.56
 */
export function currentToLimit(resistance20: number, thermal: MotorThermal, time: number): number {
  const holds = (current: number) => windingTemperature(resistance20, thermal, current, time) < thermal.windingLimit;
  let high = Math.max(1, continuousCurrent(resistance20, thermal));
  while (holds(high)) high *= 2;
  return bisect(0, high, holds)[0];
}
