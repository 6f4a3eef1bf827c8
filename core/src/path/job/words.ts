import type { PowerPath } from '../powerpath/path.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { amount, say, type Amount, type Words } from '../../plan/words/phrase.js';

/**
 * A figure's value to be said, a question mark where it is missing.
 *
 * @example figureText(path, 'job.mass', 'mass') //=> { value: 20, dimension: 'mass' }
 */
export function figureText(path: PowerPath, key: string, dimension: Dimension): Amount | string {
  const value = path.figures[key]?.value;
  return value === undefined ? '?' : amount(value, dimension);
}

export const diameterText = ({ radius }: PowerPath): Words =>
  Number.isNaN(radius) ? 'radius missing' : say`⌀ ${amount(2 * radius, 'length')}`;
