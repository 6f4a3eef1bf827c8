import type { Dimension } from '@rough-gear/core';

/** A unit as sheets spell it: what the program's own reader calls it, and what it may be a unit of. */
export interface SheetUnit {
  readonly unit: string;
  readonly of: readonly Dimension[];
}

const DOT = String.raw`[ .·⋅∙*×x/-]{0,3}`;
const END = String.raw`(?![a-z0-9µ²³°])`;

interface Spelling extends SheetUnit {
  readonly pattern: RegExp;
}

const spelled = (pattern: string, unit: string, ...of: readonly Dimension[]): Spelling => ({
  pattern: new RegExp(`^(?:${pattern})${END}`, 'i'),
  unit,
  of,
});

/**
 * The longer ones first. A sheet's "kg/cm" and "oz/in" are torques: a force for each centimetre is nothing that a servo
 * or a motor has.
 */
const SPELLINGS: readonly Spelling[] = [
  spelled(`kgf?${DOT}cm(?:\\^?2|²)`, 'kg·cm²', 'inertia'),
  spelled(`kgf?${DOT}mm(?:\\^?2|²)`, 'kg·mm²', 'inertia'),
  spelled(`kg${DOT}m(?:\\^?2|²)`, 'kg·m²', 'inertia'),
  spelled(`g${DOT}cm(?:\\^?2|²)`, 'g·cm²', 'inertia'),
  spelled(`g${DOT}mm(?:\\^?2|²)`, 'g·mm²', 'inertia'),
  spelled(`lbs?${DOT}in(?:\\^?2|²)`, 'lb·in²', 'inertia'),
  spelled(`mn${DOT}m ?/ ?a`, 'mN·m/A', 'torque constant'),
  spelled(`n${DOT}m ?/ ?a(?:mp)?`, 'N·m/A', 'torque constant'),
  spelled(`oz${DOT}in ?/ ?a(?:mp)?`, 'oz-in/A', 'torque constant'),
  spelled(`kgf?${DOT}cm`, 'kg·cm', 'torque'),
  spelled(`kgf?${DOT}mm`, 'kg·mm', 'torque'),
  spelled(`kgf?${DOT}m`, 'kg·m', 'torque'),
  spelled(`gf?${DOT}cm`, 'g·cm', 'torque'),
  spelled(`mn${DOT}m`, 'mN·m', 'torque'),
  spelled(`n${DOT}cm`, 'N·cm', 'torque'),
  spelled(`n${DOT}m|newton ?-?met(?:er|re)s?`, 'N·m', 'torque'),
  spelled(`oz(?:f|s)?\\.?${DOT}in(?:ch(?:es)?)?\\.?|in(?:ch)?${DOT}oz|ounce ?-?inch(?:es)?`, 'oz-in', 'torque'),
  spelled(`lbs?f?\\.?${DOT}in(?:ch(?:es)?)?\\.?|in(?:ch)?${DOT}lbs?`, 'lb-in', 'torque'),
  spelled(`lbs?f?\\.?${DOT}f(?:ee)?t\\.?|ft${DOT}lbs?`, 'lb-ft', 'torque'),
  spelled(
    String.raw`s(?:ec(?:onds?)?)?\.? ?(?:/|@|per|for|\()? ?60 ?(?:°|º|deg(?:rees?)?|d)\.?\)?`,
    's/60°',
    'turning',
    'speed',
  ),
  spelled('rpm ?/ ?v(?:olt)?|rpm per volt|r/?min/v|rev/min/v|kv', 'Kv', 'kv'),
  spelled('rad ?/ ?s(?:ec)?', 'rad/s', 'speed', 'turning'),
  spelled('(?:°|º|deg(?:rees?)?) ?(?:/|per) ?s(?:ec(?:ond)?)?', '°/s', 'turning', 'speed'),
  spelled(
    String.raw`r\.?p\.?m\.?|r ?/ ?min|rev(?:s|\.)? ?/ ?min|min[-⁻−]?[1¹]|1/min|u/min|turns ?/ ?min`,
    'rpm',
    'speed',
    'turning',
  ),
  spelled('krpm', 'krpm', 'speed'),
  spelled('mm ?/ ?s(?:ec)?', 'mm/s', 'velocity'),
  spelled('m ?/ ?s(?:ec)?', 'm/s', 'velocity'),
  spelled('in(?:ch(?:es)?)? ?/ ?s(?:ec)?', 'in/s', 'velocity'),
  spelled('m(?:illi)?[- ]?(?:ω|Ω|ohms?)', 'mohm', 'resistance'),
  spelled('[uµ](?:ω|Ω|ohms?)', 'uohm', 'resistance'),
  spelled('k(?:ω|Ω|ohms?)', 'kohm', 'resistance'),
  spelled('ω|Ω|ohms?', 'ohm', 'resistance'),
  spelled('mah|milliamp[- ]hours?', 'mAh', 'charge'),
  spelled('a[.· ]?h|amp(?:ere)?[- ]?hours?', 'Ah', 'charge'),
  spelled('wh|watt[- ]?hours?', 'Wh', 'energy'),
  spelled('mv', 'mV', 'voltage'),
  spelled('v(?:olts?)?(?:[. ]?dc)?', 'V', 'voltage'),
  spelled('m(?:illi)?a(?:mps?)?', 'mA', 'current'),
  spelled('a(?:mps?|mp[eè]res?)?(?: ?/ ?phase| per phase)?', 'A', 'current'),
  spelled('mh|millihenr(?:y|ies)', 'mH', 'inductance'),
  spelled('[uµ]h', 'uH', 'inductance'),
  spelled('kw', 'kW', 'power'),
  spelled('w(?:atts?)?', 'W', 'power'),
  spelled('hp', 'hp', 'power'),
  spelled('[uµ]s(?:ec(?:onds?)?)?|microseconds?', 'us', 'pulse'),
  spelled('ms(?:ec)?|milliseconds?', 'ms', 'pulse', 'time'),
  spelled('s(?:ec(?:onds?)?)?', 's', 'time'),
  spelled('°c|º ?c|deg ?c|celsius', '°C', 'temperature'),
  spelled('°f|º ?f|deg ?f|fahrenheit', '°F', 'temperature'),
  spelled('°|º|deg(?:rees?)?', '°', 'angle'),
  spelled('kg|kgs|kilograms?', 'kg', 'mass'),
  spelled('mg', 'mg', 'mass'),
  spelled('g|gr|gms?|grams?', 'g', 'mass'),
  spelled('oz|ounces?', 'oz', 'mass'),
  spelled('lbs?|pounds?', 'lb', 'mass'),
  spelled('kn', 'kN', 'force'),
  spelled('n|newtons?', 'N', 'force'),
  spelled('kgf', 'kg', 'force'),
  spelled('lbf', 'lb', 'force'),
  spelled('mm|millimet(?:er|re)s?', 'mm', 'length'),
  spelled('cm|centimet(?:er|re)s?', 'cm', 'length'),
  spelled("in(?:ch(?:es)?)?|\"|″|”|''", 'in', 'length'),
  spelled('%', '%', 'share'),
  spelled('k?hz', 'Hz', 'rate'),
];

/** The unit a text begins with, and how long it is; `undefined` where it begins with none. */
export function unitAtStart(text: string): (SheetUnit & { readonly length: number }) | undefined {
  for (const { pattern, unit, of } of SPELLINGS) {
    const match = pattern.exec(text);
    if (match) return { unit, of, length: match[0].length };
  }
  return undefined;
}
