import { RigReader } from '@rough-gear/contract/bench';
import {
  rigLines,
  trialSheet,
  type RigOptions,
  type RigTruth,
  type TrialKind,
  type TrialReadings,
} from '@rough-gear/core';

/** Over so many of the last lines of a standing point a reading is meant, and so long the rig stands at one, s. */
const MEANT_OVER = 10;
const STANDS = 3;

/** What a person at the simulated rig would have written down: each line, or a mean at each point where it stands still. */
export function recordRig(kind: TrialKind, truth: RigTruth, options: RigOptions): TrialReadings {
  const reader = new RigReader(kind);
  const { columns, live } = trialSheet(kind);
  const lines = [...rigLines(kind, truth, options)].map(({ at, text }) => ({
    at,
    readings: reader.push(`${text}\n`).readings,
  }));
  const all = lines.flatMap(({ at, readings }) => readings.map((reading) => ({ at, values: reading.at })));
  const rows =
    live === 'each line'
      ? all.map(({ values }) => values)
      : [...new Set(all.map(({ at }) => Math.floor(at / STANDS)))].map((point) => {
          const here = all.filter(({ at }) => Math.floor(at / STANDS) === point).slice(-MEANT_OVER);
          return Object.fromEntries(
            columns.map(({ key }) => [
              key,
              here.reduce((sum, { values }) => sum + (values[key] ?? NaN), 0) / here.length,
            ]),
          );
        });
  return Object.fromEntries(
    columns.map(({ key }) => [
      key,
      rows.map((row) => (Number.isFinite(row[key]) ? Number(row[key]!.toPrecision(5)) : null)),
    ]),
  );
}
