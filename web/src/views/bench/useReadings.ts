import { rowsOf, type Trial } from '@rough-gear/core';
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

  function put(row: number, key: string, value: number | null): void {
    const readings = filled(Math.max(rowsOf(trial.value), row + 1));
    readings[key]![row] = value;
    change({ readings });
  }

  function add(rows: readonly Row[]): void {
    const readings = filled(rowsOf(trial.value));
    for (const row of rows) for (const key of keys()) readings[key]!.push(row[key] ?? null);
    change({ readings });
  }

  /** In place of all rows there are: what was struck out goes with them. */
  function replace(readings: Trial['readings']): void {
    change({ readings, struck: [] });
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
    change({ readings, struck });
  }

  return { put, add, replace, strike, unstrike, drop };
}
