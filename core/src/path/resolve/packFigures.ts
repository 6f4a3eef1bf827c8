import type { FigureCollector } from '../../plan/figures/collector.js';
import { BENCH_RESISTANCE, CELLS } from '../../models/pack/cells.js';
import type { PackFigures } from '../../models/pack/pack.js';
import type { PackPart } from '../../plan/document/part.js';
import type { Place } from '../../plan/document/place.js';

/** A pack's own figures, what is usual in place of those that are missing; and its charge where that is known, A·s. */
export function readPackFigures(
  part: PackPart,
  at: Place,
  collect: FigureCollector,
): { readonly figures: PackFigures; readonly capacity: number | undefined } {
  const { chemistry, parallel } = part;
  const capacity = collect.takeOptional('pack.capacity', part.capacity, [...at, 'capacity']);
  const cell = CELLS[chemistry];
  const bench = chemistry === 'bench';
  const series = bench ? collect.take('pack.voltage', part.voltage, [...at, 'voltage']) : part.series;
  const cellResistance = collect.take('pack.cellResistance', part.cellResistance, [...at, 'cellResistance'], {
    value: bench
      ? BENCH_RESISTANCE / series
      : capacity && (cell.resistanceTimesAmpHours * parallel) / (capacity / 3600),
    why: bench ? 'for a volt of a supply that holds its volts' : `usual for ${cell.name} cells of this capacity`,
  });
  const leadResistance = collect.take('pack.leadResistance', part.leadResistance, [...at, 'leadResistance']);
  return { figures: { chemistry, series, parallel, cellResistance, leadResistance }, capacity };
}
