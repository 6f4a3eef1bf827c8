import { LEAST_FIGURE, MOST_FIGURE } from '@rough-gear/core';

/** Which values a field takes. */
export type Allowance = 'positive' | 'not negative' | 'any' | 'share' | 'efficiency' | 'advance';

/** Why a value is not allowed: what would be; `undefined` where it is. */
export function refusalOf(si: number, allow: Allowance): string | undefined {
  const size = Math.abs(si);
  if (size !== 0 && !(size >= LEAST_FIGURE && size <= MOST_FIGURE))
    return `zero, or between ${LEAST_FIGURE} and ${MOST_FIGURE} in SI units, is`;
  switch (allow) {
    case 'any':
      return undefined;
    case 'not negative':
      return si < 0 ? 'zero or more is' : undefined;
    case 'share':
      return si < 0 || si > 1 ? '0 to 100 % is' : undefined;
    case 'advance':
      return si < 0 || si > Math.PI / 3 + 1e-9 ? '0° to 60° of the field is' : undefined;
    case 'efficiency':
      return si <= 0 || si > 1 ? 'more than 0 up to 100 % is' : undefined;
    case 'positive':
      return si > 0 ? undefined : 'more than zero is';
  }
}
