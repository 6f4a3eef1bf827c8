import {
  display,
  displayText,
  parseQuantity,
  scaleOf,
  wordsText,
  type Displayed,
  type Parsed,
  type Scale,
} from '@rough-gear/contract/units';
import type { Amount, Dimension, Words } from '@rough-gear/core';
import { usePreferences } from '../stores/preferences.js';

/** Showing and reading figures in the units the person likes. */
export function useDisplay() {
  const preferences = usePreferences();
  return {
    show: (si: number, dimension: Dimension, significant = 3): string =>
      displayText(si, dimension, preferences.units, significant),
    /** What core says, in these units; a bare value too. */
    say: (said: Words | Amount): string =>
      wordsText(typeof said === 'object' && 'value' in said ? [said] : said, preferences.units),
    split: (si: number, dimension: Dimension, significant = 4): Displayed =>
      display(si, dimension, preferences.units, significant),
    /** One unit for all values of an axis: that of the one it is chosen by. */
    scale: (like: number, dimension: Dimension): Scale => scaleOf(like, dimension, preferences.units),
    /** A bare number is in the unit that stands in the field, where one does; far from the value there it is asked about. */
    parse: (text: string, dimension: Dimension, standing?: string, near?: number): Parsed =>
      parseQuantity(text, dimension, preferences.units, standing, near),
  };
}
