import type { Quantity } from '../../plan/document/quantity.js';

/**
 * Whether something stays within what may be paid; a price that is not known does not.
 *
 * @example affordable(undefined, { si: 50, as: '50', source: 'typed' }) //=> false
 */
export const affordable = (price: number | undefined, most: Quantity | undefined): boolean =>
  most === undefined || (price !== undefined && price <= most.si);
