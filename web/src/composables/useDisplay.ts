import {
  display,
  displayText,
  parseQuantity,
  wordsText,
  type Displayed,
  type Parsed,
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
    /** A bare number is in the unit that stands in the field, where one does. */
    parse: (text: string, dimension: Dimension, standing?: string): Parsed =>
      parseQuantity(text, dimension, preferences.units, standing),
  };
}
