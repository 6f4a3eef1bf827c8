import type { DcPath } from '../../src/index.js';

/**
 * Motors, packs and breakers by Kirchhoff's laws and plain steps, written here a second time: nothing of core's own
 * formulas is used, only the figures a path has read.
 */

export interface Moment {
  /** Of one motor, A. */
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  /** Where the controller takes it, V. */
  readonly volts: number;
}

const at = ({ drive }: DcPath, omega: number, duty: number): Moment => {
  const { motor, controllerResistance, supplyResistance, restVoltage } = drive;
  const current =
    (duty * restVoltage - motor.backEmfConstant * omega - (motor.brushDrop ?? 0)) /
    (motor.resistance + controllerResistance + duty * duty * supplyResistance);
  return {
    motorCurrent: current,
    supplyCurrent: duty * current,
    volts: restVoltage - supplyResistance * duty * current,
  };
};

/** The least duty at which something holds, by halving; `undefined` where even full duty does not do. */
function dutyFor(path: DcPath, omega: number, holds: (moment: Moment) => boolean): Moment | undefined {
  let [low, high] = [0, path.drive.greatestDuty];
  if (!holds(at(path, omega, high))) return undefined;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (holds(at(path, omega, middle))) high = middle;
    else low = middle;
  }
  return at(path, omega, high);
}

/** What flows while one motor carries a current; `undefined` beyond what the volts give. */
export const flowsAt = (path: DcPath, omega: number, current: number): Moment | undefined =>
  dutyFor(path, omega, (moment) => moment.motorCurrent >= current);

/** Full command: as much duty as every limit allows. */
export function fullCommand(path: DcPath, omega: number): Moment & { readonly torque: number } {
  const { statorLimit = Infinity, supplyLimit = Infinity, motor, greatestDuty } = path.drive;
  const over = ({ motorCurrent, supplyCurrent }: Moment) => motorCurrent > statorLimit || supplyCurrent > supplyLimit;
  const held = dutyFor(path, omega, over) ?? at(path, omega, greatestDuty);
  const current = Math.max(0, held.motorCurrent);
  const net = current - motor.freeCurrent - motor.freeCurrentPerSpeed * omega;
  return {
    motorCurrent: current,
    supplyCurrent: Math.max(0, held.supplyCurrent),
    volts: held.volts,
    torque: motor.torqueConstant * (omega === 0 ? Math.max(0, net) : net),
  };
}

/** Full braking at a speed: the greatest current that motor-side and return limit allow, by looking for it. */
export function fullBraking(
  { drive }: DcPath,
  omega: number,
): { readonly returned: number; readonly torque: number; readonly current: number } {
  const { motor, restVoltage, brakeLimit, returnLimit = Infinity, supplyLimit = Infinity } = drive;
  const loop = motor.resistance + drive.controllerResistance;
  const emf = motor.backEmfConstant * omega - (motor.brushDrop ?? 0);
  const sent = (current: number) => (current * (emf - current * loop)) / restVoltage;
  const reversed =
    brakeLimit === undefined ? Math.max(0, emf) / loop : Math.min(brakeLimit, (restVoltage + emf) / loop);
  // From nothing upwards: what is sent back rises first, and what the pack gives comes after.
  const may = (amperes: number) => sent(amperes) <= returnLimit && -sent(amperes) <= supplyLimit;
  const steps = 60;
  let i = 1;
  while (i <= steps && may((reversed * i) / steps)) i++;
  let [current, beyond] = [(reversed * (i - 1)) / steps, (reversed * Math.min(i, steps)) / steps];
  for (let half = 0; half < 30 && i <= steps; half++) {
    const middle = (current + beyond) / 2;
    if (may(middle)) current = middle;
    else beyond = middle;
  }
  const drag = motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  return { current, returned: sent(current), torque: motor.backEmfConstant * current + motor.torqueConstant * drag };
}

/** Heat of a breaker after a current, in plain steps. */
export function heatAfter(current: number, holds: number, tau: number, seconds: number, start = 0): number {
  let heat = start;
  const steps = 4000;
  for (let i = 0; i < steps; i++) heat += ((current / holds) ** 2 - heat) * (seconds / steps / tau);
  return heat;
}

/** Winding and case of a motor that stands, in plain steps: °C of the winding. */
export function windingAfter({ drive, motor }: DcPath, current: number, seconds: number): number {
  const { windingCapacity, caseCapacity, windingToCase, caseToAir, ambient } = motor.thermal;
  let [winding, shell] = [ambient, ambient];
  const steps = 4000;
  const h = seconds / steps;
  for (let i = 0; i < steps; i++) {
    const across = (winding - shell) / windingToCase;
    const copper = current ** 2 * drive.motor.resistance * (1 + 0.00393 * (winding - 20));
    winding += (h * (copper - across)) / windingCapacity;
    shell += (h * (across - (shell - ambient) / caseToAir)) / caseCapacity;
  }
  return winding;
}

/** The greatest value for which something still holds, by doubling and halving. */
export function greatest(holds: (value: number) => boolean, start = 1): number {
  if (!holds(start * 1e-9)) return 0;
  let [low, high] = [0, start];
  while (holds(high) && high < 1e12) [low, high] = [high, high * 2];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}
