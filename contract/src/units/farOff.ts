import type { Dimension } from '@rough-gear/core';
import type { Doubt } from './doubtful.js';
import { displayText } from './display.js';
import { convert, type DisplayUnit, type UnitSystem } from './units.js';

/** How far a bare number may be from the value that stands in its field before its unit is asked about. */
const FAR = 20;

const unit = (label: string, spelled: string): DisplayUnit => ({ label, spelled });
const both = (units: readonly DisplayUnit[]): Readonly<Record<UnitSystem, readonly DisplayUnit[]>> => ({
  metric: units,
  inch: units,
});

/** The units that people have in mind beside the one that stands in a field. */
const IN_MIND: Partial<Record<Dimension, Readonly<Record<UnitSystem, readonly DisplayUnit[]>>>> = {
  mass: { metric: [unit('kg', 'kg'), unit('g', 'g')], inch: [unit('lb', 'lbm'), unit('oz', 'oz')] },
  length: { metric: [unit('m', 'm'), unit('mm', 'mm')], inch: [unit('in', 'in'), unit('mm', 'mm')] },
  torque: {
    metric: [unit('N·m', 'N m'), unit('N·cm', 'N cm'), unit('mN·m', 'mN m')],
    inch: [unit('oz-in', 'ozf in'), unit('lb-in', 'lbf in'), unit('lb-ft', 'lbf ft')],
  },
  time: both([unit('s', 's'), unit('ms', 'ms'), unit('min', 'minute')]),
  current: both([unit('A', 'A'), unit('mA', 'mA')]),
  resistance: both([unit('mΩ', 'mohm'), unit('ohm', 'ohm')]),
  charge: both([unit('Ah', 'A hr'), unit('mAh', 'mA hr')]),
};

/**
 * A bare number that is twenty times what stands in the field, or a twentieth of it, where another
 * everyday unit brings it nearer: "50" where 0.4 kg stands may be grams. It is asked, not guessed.
 *
 * @param si what the number is in the unit that stands in the field
 * @param near what stands in the field, in the same SI unit
 * @example farOff('50', 50, 0.4, 'mass', 'metric', 'kg')?.choices //=> ['50 g', '50 kg']
 */
export function farOff(
  number: string,
  si: number,
  near: number,
  dimension: Dimension,
  system: UnitSystem,
  standing: string,
): Doubt | undefined {
  const units = IN_MIND[dimension]?.[system];
  const own = units?.find(({ label }) => label === standing);
  if (!units || !own || !(distance(si, near) >= FAR)) return undefined;
  const away = (other: DisplayUnit) => distance(si * convert(1, other.spelled, own.spelled), near);
  const meant = units.reduce((best, other) => (away(other) < away(best) ? other : best));
  if (meant === own) return undefined;
  return {
    reason: `${number} ${own.label} is far from the ${displayText(near, dimension, system)} that stand here: which is it?`,
    choices: [`${number} ${meant.label}`, `${number} ${own.label}`],
  };
}

/** How many times one value is the other, 1 or more; without a distance where either is nought or their signs differ. */
const distance = (one: number, other: number): number =>
  one * other > 0 ? Math.max(one / other, other / one) : Number.NaN;
