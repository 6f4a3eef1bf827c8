import type { Quantity, Source } from './quantity.js';

/**
 * A quantity from a value and how it reads; `typed` unless said otherwise.
 *
 * @example quantityOf(0.022, '22 mm') //=> { si: 0.022, as: '22 mm', source: 'typed' }
 */
export const quantityOf = (si: number, as: string, source: Source = 'typed'): Quantity => ({ si, as, source });
