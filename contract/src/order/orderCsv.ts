import type { OrderSheet } from '@rough-gear/core';
import Papa from 'papaparse';
import { FORMULA } from '../shelf/formulas.js';
import { wordsText } from '../units/display.js';

const guarded = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
const DIGITS = 6;
const rounded = (value: number | undefined): number | '' =>
  value === undefined ? '' : Number(value.toPrecision(DIGITS));

/** An order sheet as CSV (RFC 4180), a line a thing, names in metric units, the sum last. */
export function exportOrder({ lines, cost }: OrderSheet): string {
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
  ];
  const sum = { group: '', name: 'sum', cost: rounded(cost) };
  return `${Papa.unparse({ fields, data: [...rows, sum] }, { newline: '\r\n' })}\r\n`;
}
