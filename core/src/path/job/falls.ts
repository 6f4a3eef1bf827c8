import type { FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { Lifted } from '../../plan/document/load.js';
import type { Falls } from '../powerpath/resolvedJob.js';

/** What an output that lifts says of falling. */
export const readFalls = (output: Lifted, at: Place, collect: FigureCollector): Falls => ({
  harmless: collect.take('output.harmlessFall', output.harmlessFall, [...at, 'harmlessFall']),
  may: output.mayFall,
});
