import { lineId, moneyOf, piecesSoFar, suppliersOf, type DiaryEntry, type OrderSheet } from '@rough-gear/core';
import Papa from 'papaparse';
import { guarded } from '../shelf/formulas.js';
import { wordsText } from '../units/display.js';

const DIGITS = 6;
const rounded = (value: number | undefined): number | '' =>
  value === undefined ? '' : Number(value.toPrecision(DIGITS));

/**
 * An order sheet as CSV (RFC 4180), a line a thing, names in metric units, the sum last; with what was done about it where
 * a diary is given.
 */
export function exportOrder({ lines, cost }: OrderSheet, diary: readonly DiaryEntry[] = []): string {
  const [so, suppliers] = [piecesSoFar(diary), suppliersOf(diary)];
  const rows = lines.map((line) => ({
    group: line.group,
    name: guarded(wordsText(line.name, 'metric')),
    wanted: rounded(line.wanted),
    spares: rounded(line.spares),
    owned: line.owned,
    to_buy: rounded(line.toBuy),
    unit: line.measure === 'metres' ? 'm' : 'pieces',
    price_each: rounded(line.price),
    cost: rounded(line.cost),
    mass_each_kg: rounded(line.mass),
    for: guarded(line.of.join('; ')),
    ordered: so.get(lineId(line))?.ordered ?? '',
    here: so.get(lineId(line))?.here ?? '',
    built_in: so.get(lineId(line))?.builtIn ?? '',
    supplier: guarded(suppliers.get(lineId(line)) ?? ''),
    note: guarded(so.get(lineId(line))?.last.note ?? ''),
  }));
  const fields = [
    'group',
    'name',
    'wanted',
    'spares',
    'owned',
    'to_buy',
    'unit',
    'price_each',
    'cost',
    'mass_each_kg',
    'for',
    ...(diary.length > 0 ? ['ordered', 'here', 'built_in', 'supplier', 'note'] : []),
  ];
  const { currency } = moneyOf(diary);
  const sum = { group: '', name: currency === '' ? 'sum' : `sum, ${guarded(currency)}`, cost: rounded(cost) };
  return `${Papa.unparse({ fields, data: [...rows, sum] }, { newline: '\r\n' })}\r\n`;
}
