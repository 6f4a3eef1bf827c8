import type { Dimension } from '@rough-gear/core';

/** A unit as a header names it, and how much of SI it is. */
export interface HeaderUnit {
  readonly name: string;
  readonly perUnit: number;
}

/** The unit that readings are written in, by what they measure; counts and choices have none. */
export const headerUnits: Readonly<Partial<Record<Dimension, HeaderUnit>>> = {
  time: { name: 's', perUnit: 1 },
  voltage: { name: 'V', perUnit: 1 },
  current: { name: 'A', perUnit: 1 },
  speed: { name: 'rpm', perUnit: Math.PI / 30 },
  force: { name: 'N', perUnit: 1 },
  torque: { name: 'Nm', perUnit: 1 },
  angle: { name: 'deg', perUnit: Math.PI / 180 },
  temperature: { name: 'degC', perUnit: 1 },
  pulse: { name: 'us', perUnit: 1e-6 },
  rate: { name: 'Hz', perUnit: 1 },
  length: { name: 'm', perUnit: 1 },
};
