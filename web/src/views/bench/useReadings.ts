import { rowIdsOf, rowsOf, type Trial } from '@rough-gear/core';
import { newRowIds } from './rowIds.js';
import { useTrial } from './useTrial.js';

type Row = Readonly<Record<string, number | null | undefined>>;

/** Changes of the readings: a cell, rows more, a row struck out or taken back, one that was never read. */
export function useReadings() {
  const { trial, sheet, change } = useTrial();
  const keys = () => sheet.value.columns.map(({ key }) => key);

  /** All columns as long as the longest. */
  function filled(to: number): Record<string, (number | null)[]> {
    return Object.fromEntries(
      keys().map((key) => {
        const values = trial.value.readings[key] ?? [];
        return [key, [...values, ...Array.from({ length: Math.max(0, to - values.length) }, () => null)]];
      }),
    );
  }

  /** Into a row, or into the one after the last, which is called so from then on. */
  function put(row: number, rowId: string, key: string, value: number | null): void {
    const ids = rowIdsOf(trial.value);
    const at = Math.min(row, ids.length);
    const readings = filled(Math.max(ids.length, at + 1));
    readings[key]![at] = value;
    change({ readings, rowIds: at === ids.length ? [...ids, rowId] : ids });
  }

  function add(rows: readonly Row[]): void {
    const before = rowsOf(trial.value);
    const readings = filled(before);
    for (const row of rows) for (const key of keys()) readings[key]!.push(row[key] ?? null);
    change({ readings, rowIds: [...rowIdsOf(trial.value), ...newRowIds(rows.length)] });
  }

  /** In place of all rows there are: what was struck out goes with them. */
  function replace(readings: Trial['readings']): void {
    change({ readings, rowIds: newRowIds(rowsOf({ readings })), struck: [] });
  }

  function strike(row: number, why: string): void {
    change({
      struck: [...trial.value.struck.filter((one) => one.row !== row), { row, why }].sort((a, b) => a.row - b.row),
    });
  }

  const unstrike = (row: number): void => change({ struck: trial.value.struck.filter((one) => one.row !== row) });

  /** Takes a row out that was a slip of the hand, and closes the gap. */
  function drop(row: number): void {
    const readings = filled(rowsOf(trial.value));
    for (const key of keys()) readings[key]!.splice(row, 1);
    const struck = trial.value.struck
      .filter((one) => one.row !== row)
      .map((one) => (one.row > row ? { ...one, row: one.row - 1 } : one));
    change({ readings, rowIds: rowIdsOf(trial.value).filter((_, i) => i !== row), struck });
  }

  return { put, add, replace, strike, unstrike, drop };
}
