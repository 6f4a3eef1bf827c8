import { display, displayText, parseQuantity, type Displayed, type Parsed } from '@rough-gear/contract/units';
import type { Dimension } from '@rough-gear/core';
import { usePreferences } from '../stores/preferences.js';

/** Showing and reading figures in the units the person likes. */
export function useDisplay() {
  const preferences = usePreferences();
  return {
    show: (si: number, dimension: Dimension, significant = 3): string =>
      displayText(si, dimension, preferences.units, significant),
    split: (si: number, dimension: Dimension, significant = 4): Displayed =>
      display(si, dimension, preferences.units, significant),
    parse: (text: string, dimension: Dimension): Parsed => parseQuantity(text, dimension, preferences.units),
  };
}
