import type { Figure } from '../../plan/figures/figure.js';
import type { Source } from '../../plan/document/quantity.js';
import { amount, type Amount, type Words } from '../../plan/words/phrase.js';
import type { Dimension } from '../../plan/words/dimension.js';
import type { Switch } from '../../models/stepper/switches.js';

/** One number or word to type into something. */
export interface CardLine {
  /** For a team's own code: one word, the same wherever the setting is. */
  readonly key: string;
  readonly label: string;
  readonly value: Amount | string;
  /** Where it comes from. */
  readonly from: Words;
  readonly source?: Source;
  /** What happens when it is wrong, or left as it came. */
  readonly wrong?: string;
}

export type CardKind = 'controller' | 'driver' | 'servo' | 'rail' | 'board';

/** All that is set in one thing. */
export interface SetupCard {
  readonly id: string;
  readonly kind: CardKind;
  /** What it is, and of which mechanism; a rail is of several. */
  readonly part: string;
  readonly mechanismId?: string;
  readonly of: string;
  /** How many are set alike. */
  readonly pieces: number;
  /** Switches on its case, as they are to stand. */
  readonly switches?: readonly Switch[];
  readonly lines: readonly CardLine[];
  readonly cautions: readonly string[];
}

const SAID: Readonly<Record<Source, string>> = {
  sheet: 'off its sheet',
  typed: 'typed',
  measured: 'measured',
  estimated: 'an estimate',
  typical: 'typical',
};

/** Where a figure of the plan comes from, in a word and what more it says. */
const fromOf = ({ source, from }: Pick<Figure, 'source' | 'from'>): string =>
  source === 'missing' ? 'missing' : [SAID[source], from].filter(Boolean).join(': ');

/** A line from a figure of the path; none where the plan has no value for it. */
export function figureLine(
  key: string,
  label: string,
  figure: Figure | undefined,
  wrong?: string,
  dimension: Dimension | undefined = figure?.dimension,
): readonly CardLine[] {
  if (figure?.value === undefined || dimension === undefined || figure.source === 'missing') return [];
  return [
    { key, label, value: amount(figure.value, dimension, 4), from: fromOf(figure), source: figure.source, wrong },
  ];
}
