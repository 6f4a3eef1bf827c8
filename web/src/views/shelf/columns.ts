import { cellOf, fieldsOf, unitOf, valueAt, type PartField } from '@rough-gear/contract/shelf';
import { inUnit, unitsOf, type UnitSystem } from '@rough-gear/contract/units';
import { motorRowOf, type Dimension, type MotorRow, type Part, type PartKind, type Quantity } from '@rough-gear/core';

/** A column of the shelf's table: what it is called, what it is sorted and narrowed by, and what stands in it. */
export interface PartColumn {
  readonly key: string;
  readonly header: string;
  readonly numeric: boolean;
  /** In the shown unit where it is a number. */
  value(part: Part): number | string | undefined;
  cell(part: Part): string;
}

const SHORT = 3;
const short = (value: number): string => String(Number(value.toPrecision(SHORT)));
const headed = (label: string, unit: string): string => (['', label].includes(unit) ? label : `${label}, ${unit}`);

/** What a part's own fields say. */
export function fieldColumn(field: PartField, units: UnitSystem): PartColumn {
  const figure = field.type.is === 'figure';
  const number = (part: Part): number | undefined => {
    const value = valueAt(part, field.key);
    if (value === undefined) return undefined;
    return figure ? Number(cellOf(field, value as Quantity, units)) : Number(value);
  };
  const numeric = figure || field.type.is === 'count';
  return {
    key: field.key,
    header: headed(field.label, unitOf(field, units)),
    numeric,
    value: (part) => (numeric ? number(part) : wordsOf(field, part)?.toLowerCase()),
    cell: (part) => {
      const value = numeric ? number(part) : undefined;
      return value === undefined ? (wordsOf(field, part) ?? '') : short(value);
    },
  };
}

function wordsOf(field: PartField, part: Part): string | undefined {
  const value = valueAt(part, field.key);
  if (value === undefined) return undefined;
  if (field.type.is !== 'counts') return cellOf(field, value);
  const sizes = value as readonly number[];
  return sizes.length === 0 ? '' : `${sizes.length} · ${Math.min(...sizes)}–${Math.max(...sizes)}`;
}

/** Every figure or word of a kind, the ones shown at first or all that can be narrowed by. */
export const columnsOf = (kind: PartKind, units: UnitSystem, which: 'main' | 'all'): readonly PartColumn[] =>
  fieldsOf(kind)
    .filter(({ main, type }) => (which === 'main' ? main : type.is === 'figure' || type.is === 'count'))
    .map((field) => fieldColumn(field, units));

/** Where the trade has no unit of its own for it, the unit stands in the heading. */
const COMPARED: readonly {
  readonly key: keyof MotorRow;
  readonly label: string;
  readonly dimension?: Dimension;
  readonly unit?: string;
  readonly by?: number;
}[] = [
  { key: 'kv', label: 'Kv', dimension: 'kv' },
  { key: 'kt', label: 'Kt', dimension: 'torque constant' },
  { key: 'resistance', label: 'R', dimension: 'resistance' },
  { key: 'freeSpeed', label: 'free', dimension: 'speed' },
  { key: 'stallTorque', label: 'stall', dimension: 'torque' },
  { key: 'stallCurrent', label: 'stall', dimension: 'current' },
  { key: 'power', label: 'power', dimension: 'power' },
  { key: 'motorConstant', label: 'Km', unit: 'mN·m/√W', by: 1000 },
  { key: 'perMass', label: 'Km/mass', unit: 'mN·m/√W/kg', by: 1000 },
  { key: 'perVolume', label: 'Km/can', unit: 'mN·m/√W/cm³', by: 1e-3 },
  { key: 'powerPerMass', label: 'power/mass', unit: 'W/kg' },
  { key: 'pricePerWatt', label: 'price/100 W', by: 100 },
];

/** Every motor on the same volts, whatever its sheet gives. */
export function comparedColumns(volts: number, units: UnitSystem): readonly PartColumn[] {
  const rows = new WeakMap<Part, MotorRow>();
  const rowOf = (part: Part): MotorRow => {
    const known = rows.get(part) ?? (part.kind === 'motor' ? motorRowOf(part, volts) : {});
    rows.set(part, known);
    return known;
  };
  return [
    ...columnsOf('motor', units, 'main').filter(({ key }) => key === 'name' || key === 'type'),
    ...COMPARED.map(({ key, label, dimension, unit = '', by = 1 }): PartColumn => {
      const standing = dimension && unitsOf(dimension, units)[0]!;
      const value = (part: Part): number | undefined => {
        const si = rowOf(part)[key];
        if (si === undefined || !Number.isFinite(si)) return undefined;
        return dimension ? inUnit(si, dimension, standing!) : by * si;
      };
      return {
        key,
        header: headed(label, standing?.label ?? unit),
        numeric: true,
        value,
        cell: (part) => {
          const number = value(part);
          return number === undefined ? '' : short(number);
        },
      };
    }),
  ];
}
