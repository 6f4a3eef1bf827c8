import { FOUND, rowsOf, trialSheet, type Trial } from '@rough-gear/core';
import Papa from 'papaparse';
import type { TrialSummary } from '../api/api.js';
import { guarded } from '../shelf/formulas.js';
import { displayText } from '../units/display.js';
import { headerUnits, type HeaderUnit } from './headerUnits.js';

/** A spreadsheet runs text that begins as a formula does (CSV injection): an apostrophe in front makes it plain text. */

const SIGNIFICANT = 8;

/**
 * The readings of a trial as CSV: a header of "name_unit" that `readColumns` and a rig's reader know, a line a reading, and
 * a last column that says which are struck out and why.
 */
export function exportReadings(trial: Trial): string {
  const columns = trialSheet(trial.kind).columns.map((column) => ({
    ...column,
    unit: headerUnits[column.dimension] as HeaderUnit | undefined,
  }));
  const struck = new Map(trial.struck.map(({ row, why }) => [row, why || 'struck out']));
  const head = [...columns.map(({ key, unit }) => (unit ? `${key}_${unit.name}` : key)), 'struck_out'];
  const rows = Array.from({ length: rowsOf(trial) }, (_, row) => [
    ...columns.map(({ key, unit }) => {
      const value = trial.readings[key]?.[row];
      return typeof value === 'number' ? Number((value / (unit?.perUnit ?? 1)).toPrecision(SIGNIFICANT)) : '';
    }),
    guarded(struck.get(row) ?? ''),
  ]);
  return Papa.unparse([head, ...rows], { newline: '\r\n' });
}

/** The list of a book as CSV: a line a trial, with what it found. */
export function exportBookCsv(trials: readonly TrialSummary[]): string {
  const rows = trials.map(({ kind, subject, startedAt, closedAt, who, used, note, found, takings }) => ({
    day: startedAt.slice(0, 10),
    trial: trialSheet(kind).name,
    of: guarded(subject.name),
    specimen: guarded(subject.specimen ?? ''),
    robot: guarded(subject.robot ?? ''),
    closed: closedAt ? 'yes' : 'no',
    by: guarded(who),
    with: guarded(used),
    note: guarded(note),
    found: found
      .map(({ key, value }) => `${FOUND[key].name} ${displayText(value, FOUND[key].dimension, 'metric', 5)}`)
      .join('; '),
    taken_into: guarded(takings.map(({ part, robot }) => [part, robot].filter(Boolean).join(', ')).join('; ')),
  }));
  return Papa.unparse(rows, { newline: '\r\n' });
}
