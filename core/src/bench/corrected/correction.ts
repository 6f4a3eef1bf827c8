import type { Conclusion } from '../trials/conclusion.js';
import type { FoundKey } from '../trials/found.js';
import type { MeasuredFigure } from '../trials/measured.js';
import type { Trial } from '../trials/trial.js';
import { trialSheet } from '../trials/trials.js';
import type { Quantity } from '../../plan/document/quantity.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { show } from '../../plan/words/show.js';

/** Where a trial's figures come from, as the part says it. */
export interface TrialSource {
  readonly id: string;
  readonly trial: Trial;
}

/** Digits that are kept of a measured figure. */
const SIGNIFICANT = 4;

/**
 * "Free run, 2026-11-27, tape 3".
 *
 * @example trialNamed({ kind: 'pack', startedAt: '2026-11-12T10:00:00Z', subject: { name: 'lead 18 Ah' } }) //=> 'Pack under load, 2026-11-12'
 */
export const trialNamed = ({ kind, startedAt, subject }: Pick<Trial, 'kind' | 'startedAt' | 'subject'>): string =>
  [trialSheet(kind).name, startedAt.slice(0, 10), subject.specimen].filter(Boolean).join(', ');

/** A figure as a trial found it: marked measured, with its error and the way back to the readings. */
export function measuredQuantity(
  { value, error }: MeasuredFigure,
  dimension: Dimension,
  { id, trial }: TrialSource,
): Quantity {
  const sure = Number.isFinite(error);
  return {
    si: value,
    as: show(value, dimension, SIGNIFICANT),
    source: 'measured',
    from: sure ? `${trialNamed(trial)}: ± ${show(error, dimension, 2)}` : trialNamed(trial),
    error: sure ? error : undefined,
    trial: id,
  };
}

/** What a conclusion says of a figure. */
export const foundIn = ({ figures }: Conclusion, key: FoundKey): MeasuredFigure | undefined =>
  figures.find((figure) => figure.key === key)?.measured;
