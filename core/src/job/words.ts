import type { Dimension } from '../words/dimension.js';
import { digits, show } from '../words/show.js';
import type { PowerPath } from '../powerpath/path.js';

/** A figure's value in words, a question mark where it is missing. */
export function figureText(path: PowerPath, key: string, dimension: Dimension): string {
  const value = path.figures[key]?.value;
  return value === undefined ? '?' : show(value, dimension);
}

export const diameterText = ({ radius }: PowerPath): string =>
  Number.isNaN(radius) ? 'radius missing' : `⌀ ${digits(radius * 2000)} mm`;

export const percent = (value: number): string => `${digits(value * 100)} %`;
