import { curveFit, linearFit, type Fit, type Model } from './fit.js';
import { measuredOf, type MeasuredFigure } from './measured.js';

/** One reading of a motor that runs free. SI. */
export interface FreeRunReading {
  readonly voltage: number;
  readonly speed: number;
  readonly current: number;
}

export interface FreeRun {
  readonly backEmfConstant: MeasuredFigure;
  readonly freeCurrent: MeasuredFigure;
  readonly freeCurrentPerSpeed: MeasuredFigure;
  /** Of the volts and of the amperes. */
  readonly fits: { readonly volts: Fit; readonly amperes: Fit };
}

/**
 * A free run at several volts: V − I·R = Ke·ω through the origin, I = I0 + I1·ω.
 *
 * @param resistance of motor and leads, as it is known
 * @throws RangeError where the readings do not tell the figures
 * @example fitFreeRun(0.1, [{ voltage: 2.1, speed: 100, current: 1 }, { voltage: 4.1, speed: 200, current: 1 }, { voltage: 6.1, speed: 300, current: 1 }]).backEmfConstant.value //=> 0.02
 */
export function fitFreeRun(resistance: number, readings: readonly FreeRunReading[]): FreeRun {
  const volts = linearFit(
    readings.map(({ speed }) => [speed]),
    readings.map(({ voltage, current }) => voltage - current * resistance),
  );
  const amperes = linearFit(
    readings.map(({ speed }) => [1, speed]),
    readings.map(({ current }) => current),
  );
  return {
    backEmfConstant: measuredOf(volts, 0),
    freeCurrent: measuredOf(amperes, 0),
    freeCurrentPerSpeed: measuredOf(amperes, 1),
    fits: { volts, amperes },
  };
}

/** One reading of a stalled motor, at most a second long. Torque is arm times force; absent where only R is wanted. */
export interface StallReading {
  readonly voltage: number;
  readonly current: number;
  readonly torque?: number;
}

export interface Stall {
  readonly resistance: MeasuredFigure;
  /** What the brushes keep, where the readings do not begin at nothing; absent with two readings. */
  readonly brushDrop?: MeasuredFigure;
  readonly torqueConstant?: MeasuredFigure;
  readonly fits: { readonly volts: Fit; readonly torque?: Fit };
}

const LINE = 3;

/**
 * Short stalls at several volts: R is the slope of volts against amperes, Kt that of torque against what flows beyond I0.
 *
 * @throws RangeError where the readings do not tell the figures
 * @example fitStall(1, [{ voltage: 1, current: 10, torque: 0.18 }, { voltage: 2, current: 20, torque: 0.38 }]).resistance.value //=> 0.1
 */
export function fitStall(freeCurrent: number, readings: readonly StallReading[]): Stall {
  // Two readings tell a slope from the origin; with more the brushes' volts can stand beside it.
  const line = readings.length >= LINE;
  const volts = linearFit(
    readings.map(({ current }) => (line ? [current, 1] : [current])),
    readings.map(({ voltage }) => voltage),
  );
  const pulled = readings.filter(({ torque }) => torque !== undefined);
  const torque =
    pulled.length === 0
      ? undefined
      : linearFit(
          pulled.map(({ current }) => [current - freeCurrent]),
          pulled.map((reading) => reading.torque!),
        );
  return {
    resistance: measuredOf(volts, 0),
    brushDrop: line ? measuredOf(volts, 1) : undefined,
    torqueConstant: torque && measuredOf(torque, 0),
    fits: { volts, torque },
  };
}

/** What the meter across two open leads of a turning motor shows. */
export const SPUN_METERS = ['direct', 'peak', 'r.m.s.', 'behind a bridge'] as const;
export type SpunMeter = (typeof SPUN_METERS)[number];

/** Two diodes of a bridge, V. */
const BRIDGE = 1.4;

/**
 * Peak volts of a reading: a brushed motor's are direct; r.m.s. times √2; behind a bridge two diodes more.
 *
 * @example peakVolts(7.07, 'r.m.s.') //=> 9.999
 */
export const peakVolts = (shown: number, meter: SpunMeter): number =>
  meter === 'r.m.s.' ? shown * Math.SQRT2 : meter === 'behind a bridge' ? shown + BRIDGE : shown;

/**
 * A motor spun by a drill with its leads open: Ke = V/ω through the origin.
 *
 * @throws RangeError without a reading
 * @example fitSpun('peak', [{ speed: 100, voltage: 2 }, { speed: 200, voltage: 4 }]).backEmfConstant.value //=> 0.02
 */
export function fitSpun(
  meter: SpunMeter,
  readings: readonly { readonly speed: number; readonly voltage: number }[],
): { readonly backEmfConstant: MeasuredFigure; readonly fit: Fit } {
  const fit = linearFit(
    readings.map(({ speed }) => [speed]),
    readings.map(({ voltage }) => peakVolts(voltage, meter)),
  );
  return { backEmfConstant: measuredOf(fit, 0), fit };
}

export interface CoastDown {
  /** N·m, N·m·s/rad and rad/s. */
  readonly frictionTorque: MeasuredFigure;
  readonly viscousDrag: MeasuredFigure;
  readonly startSpeed: MeasuredFigure;
  readonly fit: Fit;
}

/** (1 − e^(−k·t))/k, which is t where k is 0; and its slope by k. */
function fading(k: number, time: number): { readonly value: number; readonly slope: number } {
  const kt = k * time;
  if (Math.abs(kt) < 1e-6) return { value: time * (1 - kt / 2), slope: -(time ** 2) / 2 };
  const value = -Math.expm1(-kt) / k;
  return { value, slope: (time * Math.exp(-kt) - value) / k };
}

/** ω = ω0·e^(−k·t) − a·(1 − e^(−k·t))/k with a = Tf/J and k = c/J. */
const COASTING: Model = {
  at: ([a, k, start], time) => start! * Math.exp(-k! * time) - a! * fading(k!, time).value,
  slopes: ([a, k, start], time) => {
    const { value, slope } = fading(k!, time);
    const left = Math.exp(-k! * time);
    return [-value, -start! * time * left - a! * slope, left];
  },
};

/**
 * Speed while it coasts down: J·dω/dt = −(Tf + c·ω), fitted in ω. Friction and drag are in the inertia's proportion: a J
 * that is wrong makes both wrong alike.
 *
 * @param inertia of all that turns, kg·m²
 * @throws RangeError with fewer than three readings
 * @example fitCoastDown(0.01, [{ time: 0, speed: 100 }, { time: 10, speed: 90 }, { time: 20, speed: 80 }, { time: 30, speed: 70 }]).frictionTorque.value //=> 0.01
 */
export function fitCoastDown(
  inertia: number,
  readings: readonly { readonly time: number; readonly speed: number }[],
): CoastDown {
  const [times, speeds] = [readings.map(({ time }) => time), readings.map(({ speed }) => speed)];
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last || last.time === first.time) throw new RangeError('a coast-down needs readings over some time');
  // A straight line says how fast it slows down; half of that is given to each of the two at first.
  const slowing = Math.max((first.speed - last.speed) / (last.time - first.time), 1e-9);
  const mean = Math.max((first.speed + last.speed) / 2, 1e-9);
  const fit = curveFit(times, speeds, COASTING, [slowing / 2, slowing / (2 * mean), Math.max(first.speed, 1e-9)]);
  const of = (i: number, by: number): MeasuredFigure => ({
    value: fit.coefficients[i]! * by,
    error: fit.errors[i]! * by,
  });
  return { frictionTorque: of(0, inertia), viscousDrag: of(1, inertia), startSpeed: of(2, 1), fit };
}
