import type { Conclusion, FoundFigure, PlotAxis } from '../conclusion.js';
import type { FoundKey } from '../found.js';
import { meanOf } from '../means.js';
import type { TrialWork } from './work.js';

/** A column that is read again and again, the figure its mean is, and how it is drawn. */
export type RepeatedColumn = readonly [column: string, key: FoundKey, axis: PlotAxis];

/** Readings of the same, one after the other: their means, each drawn as a level line through them. */
export function concludeRepeated(
  { readings, kept, expected }: TrialWork,
  columns: readonly RepeatedColumn[],
  label: string,
): Conclusion {
  const seen = columns.flatMap(([column, key, axis]) => {
    const values = kept.flatMap((one) => one[column] ?? []);
    if (values.length === 0) return [];
    const figure: FoundFigure = { key, measured: meanOf(values), expected: expected[key] };
    const points = readings.flatMap(({ row, struck, at }) =>
      at[column] === undefined ? [] : [{ row, struck, x: row + 1, y: at[column] }],
    );
    const ends = [1, points.at(-1)!.x];
    const level = (y: number) => ends.map((x) => [x, y] as const);
    const plot = {
      x: { label, dimension: 'number' } as const,
      y: axis,
      points,
      line: level(figure.measured.value),
      expected: figure.expected === undefined ? undefined : level(figure.expected),
    };
    return [{ figure, plot }];
  });
  return {
    figures: seen.map(({ figure }) => figure),
    plots: seen.map(({ plot }) => plot),
    off: new Map(),
    odd: [],
    says: [],
  };
}
