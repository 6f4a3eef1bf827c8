import type { Dimension } from '@rough-gear/core';
import { siSpelling } from '../units/display.js';
import { convert } from '../units/units.js';

/** A unit as meters, loggers and people write it: what it measures, and how the units' package spells it. */
const UNIT_NAMES: readonly (readonly [RegExp, Dimension, string])[] = [
  [/^(?:s|sec|secs?onds?)$/i, 'time', 's'],
  [/^(?:ms|msec)$/, 'time', 'ms'],
  [/^(?:min|minutes?)$/i, 'time', 'min'],
  [/^(?:v|volts?)$/i, 'voltage', 'V'],
  [/^mv$/i, 'voltage', 'mV'],
  [/^(?:a|amps?|amperes?)$/i, 'current', 'A'],
  [/^ma$/i, 'current', 'mA'],
  [/^(?:rpm|1\/min|min-1|u\/min)$/i, 'speed', 'rpm'],
  [/^(?:rad\/s|rad\/sec)$/i, 'speed', 'rad / s'],
  [/^n$/i, 'force', 'N'],
  [/^(?:lbf?|pounds?)$/i, 'force', 'lbf'],
  [/^kgf?$/i, 'force', 'kgf'],
  [/^(?:n·?m|nm|n\*m)$/i, 'torque', 'N m'],
  [/^(?:°|deg|degrees?)$/i, 'angle', 'deg'],
  [/^rad$/i, 'angle', 'rad'],
  [/^(?:µs|us)$/i, 'pulse', 'us'],
  [/^(?:°c|degc|c)$/i, 'temperature', 'degC'],
  [/^(?:°f|degf|f)$/i, 'temperature', 'degF'],
  [/^w$/i, 'power', 'W'],
  [/^(?:hz|1\/s)$/i, 'rate', 'Hz'],
  [/^m$/, 'length', 'm'],
  [/^mm$/, 'length', 'mm'],
];

/** A unit by the name a person or a meter gave it. */
export interface NamedUnit {
  readonly dimension: Dimension;
  toSi(value: number): number;
}

/** Linear all of them, degrees of warmth from a zero of their own: asked twice, and then only reckoned. */
function scaleOf(dimension: Dimension, spelled: string): (value: number) => number {
  const at = (value: number): number => convert(value, spelled, siSpelling(dimension));
  if (dimension !== 'temperature') {
    const factor = at(1);
    return (value) => value * factor;
  }
  const [zero, one] = [at(0), at(1)];
  return (value) => zero + value * (one - zero);
}

/**
 * What is meant by a unit's name; `undefined` where nothing is known by it.
 *
 * @example unitNamed('mA')?.toSi(20) //=> 0.02
 */
export function unitNamed(text: string): NamedUnit | undefined {
  const found = UNIT_NAMES.find(([pattern]) => pattern.test(text.trim()));
  return found && { dimension: found[1], toSi: scaleOf(found[1], found[2]) };
}
