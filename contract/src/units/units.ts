import type { Dimension } from '@rough-gear/core';
import { create, createUnitDependencies, unitDependencies } from 'mathjs';

const { createUnit, unit } = create({
  unitDependencies: unitDependencies!,
  createUnitDependencies: createUnitDependencies!,
});

// The trade's own units beside the library's.
createUnit({
  gf: '0.00980665 N',
  ozf: { definition: '0.27801385095378125 N', prefixes: 'short' },
  rpm: '0.10471975511965977 rad/s',
  mph: '0.44704 m/s',
  ksi: '6894757.293168361 Pa',
});

/**
 * A value in another unit.
 *
 * @throws where a unit is not known, or measures something else
 * @example convert(212, 'degF', 'degC') //=> 100
 */
export const convert = (value: number, from: string, to: string): number => unit(value, from).toNumber(to);

/** A unit a person may choose for a dimension: how it reads, and how the units library spells it. */
export interface DisplayUnit {
  readonly label: string;
  readonly spelled: string;
}

/** Which units figures are shown in. A preference of the person, no part of the plan. */
export type UnitSystem = 'metric' | 'inch';

/** What a long time is told in. */
export const HOURS: DisplayUnit = { label: 'h', spelled: 'hr' };

const one = (label: string, spelled: string): DisplayUnit => ({ label, spelled });

interface DimensionUnits {
  readonly metric: readonly DisplayUnit[];
  readonly inch?: readonly DisplayUnit[];
  /** What stands in a refusal as a notation that would be understood. */
  readonly example: string;
}

/**
 * Units by dimension. The first is what a bare number means and what is shown; a second one takes
 * over below half of the first (0.35 m reads 350 mm).
 */
export const UNITS: Readonly<Record<Dimension, DimensionUnits>> = {
  torque: { metric: [one('N·m', 'N m')], inch: [one('oz-in', 'ozf in')], example: '4.2 N·m or 600 oz-in' },
  'torque constant': {
    metric: [one('N·m/A', 'N m / A')],
    inch: [one('oz-in/A', 'ozf in / A')],
    example: '0.02 N·m/A or 2.8 oz-in/A',
  },
  'back-EMF constant': { metric: [one('V·s/rad', 'V s / rad')], example: '0.02 V·s/rad' },
  'angular impulse': {
    metric: [one('N·m·s', 'N m s')],
    inch: [one('oz-in·s', 'ozf in s')],
    example: '0.5 N·m·s',
  },
  speed: { metric: [one('rpm', 'rpm')], example: '5800 rpm or 0.14 s/60°' },
  kv: { metric: [one('Kv', 'rpm / V')], example: '1800 Kv or 5.3 mN·m/A or 21600 rpm at 12 V' },
  voltage: { metric: [one('V', 'V')], example: '12 V or 3S' },
  current: { metric: [one('A', 'A')], example: '40 A or 250 mA' },
  resistance: { metric: [one('mΩ', 'mohm')], example: '42 mΩ or 0.042 ohm' },
  mass: { metric: [one('kg', 'kg')], inch: [one('lb', 'lbm')], example: '20 kg or 44 lb' },
  force: { metric: [one('N', 'N')], inch: [one('lbf', 'lbf')], example: '150 N or 34 lb' },
  stress: { metric: [one('MPa', 'MPa')], inch: [one('ksi', 'ksi')], example: '250 MPa' },
  length: { metric: [one('m', 'm'), one('mm', 'mm')], inch: [one('in', 'in')], example: '1.35 m or 55 in' },
  time: { metric: [one('s', 's')], example: '1.6 s or 2 min or 100 h' },
  angle: { metric: [one('°', 'deg')], example: '20°' },
  velocity: { metric: [one('m/s', 'm / s')], inch: [one('ft/s', 'ft / s')], example: '0.8 m/s or 2.6 ft/s' },
  acceleration: { metric: [one('m/s²', 'm / s^2')], inch: [one('ft/s²', 'ft / s^2')], example: '1.2 m/s²' },
  'angular acceleration': { metric: [one('rad/s²', 'rad / s^2')], example: '8 rad/s²' },
  stiffness: { metric: [one('N·m/rad', 'N m / rad')], inch: [one('oz-in/rad', 'ozf in / rad')], example: '5 N·m/rad' },
  'air drag': { metric: [one('µN·m·s²', 'uN m s^2')], inch: [one('µoz-in·s²', 'uozf in s^2')], example: '0.1 µN·m·s²' },
  inertia: { metric: [one('kg·cm²', 'kg cm^2')], inch: [one('lb·in²', 'lbm in^2')], example: '0.6 kg·cm²' },
  temperature: { metric: [one('°C', 'degC')], inch: [one('°F', 'degF')], example: '120 °C' },
  charge: { metric: [one('Ah', 'A hr')], example: '18 Ah or 5000 mAh' },
  share: { metric: [one('%', 'percent')], example: '95 % or 0.95' },
  ratio: { metric: [one(':1', '')], example: '9.4:1 or 35:12' },
  number: { metric: [one('', '')], example: '1.1' },
  gauge: { metric: [one('AWG', '')], example: '12 AWG' },
  energy: { metric: [one('J', 'J')], example: '120 J' },
  power: { metric: [one('W', 'W')], example: '350 W or 0.5 hp' },
  inductance: { metric: [one('mH', 'mH')], example: '2.8 mH' },
  capacitance: { metric: [one('nF', 'nF')], example: '10 nF or 0.1 µF' },
  turning: { metric: [one('°/s', 'deg / s')], example: '0.14 s/60° or 430 °/s' },
  'pin current': { metric: [one('mA', 'mA')], example: '12 mA' },
  'input resistance': { metric: [one('Ω', 'ohm')], example: '270 Ω' },
  rate: { metric: [one('/s', 'Hz')], example: '20000 /s or 20 kHz' },
  pulse: { metric: [one('µs', 'us')], example: '1500 µs or 1.5 ms' },
  drag: { metric: [one('mA·s/rad', 'mA s / rad')], example: '1.5 mA·s/rad' },
};

/** Everything a figure may measure. */
export const DIMENSIONS = Object.keys(UNITS) as readonly Dimension[];

/** The units of a dimension in a system; metric where the trade uses nothing else. */
export function unitsOf(dimension: Dimension, system: UnitSystem): readonly DisplayUnit[] {
  const { metric, inch } = UNITS[dimension];
  return system === 'inch' && inch ? inch : metric;
}
