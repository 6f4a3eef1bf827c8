import type { PartKind } from '@rough-gear/core';
import Papa from 'papaparse';
import type { ShelfPart } from '../api/api.js';
import type { UnitSystem } from '../units/units.js';
import { guarded } from './formulas.js';
import { cellOf, sourceCell, unitOf } from './fields/cell.js';
import { valueAt, type PartField } from './fields/field.js';
import { fieldsOf, fieldsOfPart } from './fields/table.js';

/** A field's column: its name, and its unit in brackets. */
function headerOf(field: PartField, system: UnitSystem = 'metric'): string {
  const unit = unitOf(field, system);
  return unit === '' ? field.label : `${field.label} (${unit})`;
}

export const SOURCE_SUFFIX = ' source';
export const ID_HEADER = 'id';
export const COMMON_HEADER = 'common here';
export const RETIRED_HEADER = 'retired';

/**
 * The parts of one kind as a CSV file (RFC 4180): a column for each field with its unit in the header, beside each figure
 * its source, and the shelf's own marks at the end. What a spreadsheet would run is guarded, and read back as it was. Import reads the units that the headers name, of either system.
 */
export function exportCsv(kind: PartKind, parts: readonly ShelfPart[], system: UnitSystem = 'metric'): string {
  const fields = fieldsOf(kind);
  const headers = [
    ID_HEADER,
    ...fields.flatMap((field) =>
      field.type.is === 'figure'
        ? [headerOf(field, system), `${field.label}${SOURCE_SUFFIX}`]
        : [headerOf(field, system)],
    ),
    COMMON_HEADER,
    RETIRED_HEADER,
  ];
  const rows = parts.map(({ id, part, common, retired }) => {
    const has = new Set(fieldsOfPart(part));
    return [
      id,
      ...fields.flatMap((field) => {
        const value = has.has(field) ? valueAt(part, field.key) : undefined;
        return field.type.is === 'figure' ? [cellOf(field, value, system), sourceCell(value)] : [cellOf(field, value)];
      }),
      common ? 'yes' : '',
      retired ? 'yes' : '',
    ];
  });
  return `${Papa.unparse({ fields: headers, data: rows.map((row) => row.map(guarded)) }, { newline: '\r\n' })}\r\n`;
}
