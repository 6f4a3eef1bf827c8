/** Which values a field takes. */
export type Allowance = 'positive' | 'not negative' | 'any' | 'share' | 'efficiency';

/** Why a value is not allowed: what would be; `undefined` where it is. */
export function refusalOf(si: number, allow: Allowance): string | undefined {
  switch (allow) {
    case 'any':
      return undefined;
    case 'not negative':
      return si < 0 ? 'zero or more is' : undefined;
    case 'share':
      return si < 0 || si > 1 ? '0 to 100 % is' : undefined;
    case 'efficiency':
      return si <= 0 || si > 1 ? 'more than 0 up to 100 % is' : undefined;
    case 'positive':
      return si > 0 ? undefined : 'more than zero is';
  }
}
