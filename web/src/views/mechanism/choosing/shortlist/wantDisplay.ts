import { digits, showMultiple, WANTS, type AnyPath, type Dimension, type Figures, type WantId } from '@rough-gear/core';
import type { useDisplay } from '../../../../composables/useDisplay.js';

/** A turning output's slowest speed is in turns, a moving one's in metres. */
export function wantDimension(want: WantId, path: AnyPath): Dimension | undefined {
  return want === 'slow' && path.load.unit === 'rad' ? 'speed' : WANTS[want].dimension;
}

/** A want's figure as it is shown; a question mark where it cannot be known. */
export function wantShown(
  want: WantId,
  figures: Figures,
  path: AnyPath,
  show: ReturnType<typeof useDisplay>['show'],
): string {
  const value = figures[want];
  if (value === undefined) return '?';
  if (want === 'margin') return showMultiple(value);
  const dimension = wantDimension(want, path);
  return dimension ? show(value, dimension, 3) : digits(value, 3);
}
