import type { Quantity, Source } from './quantity.js';

/** A quantity from a value and how it reads; `typed` unless said otherwise. */
export const quantityOf = (si: number, as: string, source: Source = 'typed'): Quantity => ({ si, as, source });
