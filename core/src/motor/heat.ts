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

/** R at winding temperature (°C) from R at 20 °C. */
export function resistanceAt(resistance20: number, temperature: number): number {
  return resistance20 * (1 + COPPER_ALPHA * (temperature - 20));
}

/** Icont = √((Tlim − Ta)/(R(Tlim)·(Rwc + Rca))), A. */
export function continuousCurrent(resistance20: number, thermal: MotorThermal): number {
  const rise = thermal.windingLimit - thermal.ambient;
  return Math.sqrt(
    rise / (resistanceAt(resistance20, thermal.windingLimit) * (thermal.windingToCase + thermal.caseToAir)),
  );
}

/**
 * Winding temperature (°C) after `time` seconds at rest with `current`, both lumps at ambient at first.
 * The exact solution of the two coupled lumps, copper's resistance rise included.
 */
export function windingTemperature(resistance20: number, thermal: MotorThermal, current: number, time: number): number {
  const { windingCapacity: cw, caseCapacity: cc, windingToCase: rwc, caseToAir: rca, ambient } = thermal;
  const copper = current * current * resistance20;
  const a11 = (copper * COPPER_ALPHA - 1 / rwc) / cw;
  const a12 = 1 / (rwc * cw);
  const a21 = 1 / (rwc * cc);
  const a22 = -(1 / rwc + 1 / rca) / cc;
  const input = (copper * (1 + COPPER_ALPHA * (ambient - 20))) / cw;
  const middle = (a11 + a22) / 2;
  const apart = Math.sqrt(((a11 - a22) / 2) ** 2 + a12 * a21);
  const [l1, l2] = [middle + apart, middle - apart];
  const grown = (l: number): number => (Math.abs(l * time) < 1e-9 ? time : Math.expm1(l * time) / l);
  return ambient + (input / (l1 - l2)) * ((l1 - a22) * grown(l1) - (l2 - a22) * grown(l2));
}

/** The current (A) at which the winding just reaches its limit after `time` seconds at rest. */
export function currentToLimit(resistance20: number, thermal: MotorThermal, time: number): number {
  let low = 0;
  let high = Math.max(1, continuousCurrent(resistance20, thermal));
  while (windingTemperature(resistance20, thermal, high, time) < thermal.windingLimit) high *= 2;
  for (let i = 0; i < 60 && high - low > 1e-12 * high; i++) {
    const middle = (low + high) / 2;
    if (windingTemperature(resistance20, thermal, middle, time) < thermal.windingLimit) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
