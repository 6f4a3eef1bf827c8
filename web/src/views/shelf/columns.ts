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

/** A unit put together of others, and how many of it are one in SI. */
interface Compound {
  readonly unit: string;
  readonly by: number;
}
const unitFor = (dimension: Dimension, units: UnitSystem): Compound => {
  const unit = unitsOf(dimension, units)[0]!;
  return { unit: unit.label, by: inUnit(1, dimension, unit) };
};
const over = (above: Compound, below: Compound): Compound => ({
  unit: `${above.unit}/${below.unit}`,
  by: above.by / below.by,
});
const perRoot = (units: UnitSystem): Compound => over(unitFor('torque', units), { unit: '√W', by: 1 });
const volume = (units: UnitSystem): Compound =>
  units === 'inch' ? { unit: 'in³', by: 1 / 0.0254 ** 3 } : { unit: 'cm³', by: 1e6 };

const COMPARED: readonly {
  readonly key: keyof MotorRow;
  readonly label: string;
  in(units: UnitSystem): Compound;
}[] = [
  { key: 'kv', label: 'Kv', in: (units) => unitFor('kv', units) },
  { key: 'kt', label: 'Kt', in: (units) => unitFor('torque constant', units) },
  { key: 'resistance', label: 'R', in: (units) => unitFor('resistance', units) },
  { key: 'freeSpeed', label: 'free', in: (units) => unitFor('speed', units) },
  { key: 'stallTorque', label: 'stall', in: (units) => unitFor('torque', units) },
  { key: 'stallCurrent', label: 'stall', in: (units) => unitFor('current', units) },
  { key: 'power', label: 'power', in: (units) => unitFor('power', units) },
  { key: 'motorConstant', label: 'Km', in: perRoot },
  { key: 'perMass', label: 'Km/mass', in: (units) => over(perRoot(units), unitFor('mass', units)) },
  { key: 'perVolume', label: 'Km/can', in: (units) => over(perRoot(units), volume(units)) },
  { key: 'powerPerMass', label: 'power/mass', in: (units) => over(unitFor('power', units), unitFor('mass', units)) },
  { key: 'pricePerWatt', label: 'price/100 W', in: () => ({ unit: '', by: 100 }) },
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
    ...COMPARED.map(({ key, label, in: standing }): PartColumn => {
      const { unit, by } = standing(units);
      const value = (part: Part): number | undefined => {
        const si = rowOf(part)[key];
        return si === undefined || !Number.isFinite(si) ? undefined : by * si;
      };
      return {
        key,
        header: headed(label, unit),
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
