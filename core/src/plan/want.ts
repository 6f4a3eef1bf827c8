/** What designs are compared by; `wants/` measures them. */
export const WANT_IDS = ['time', 'mass', 'price', 'current', 'margin', 'slow', 'common', 'bought'] as const;
export type WantId = (typeof WANT_IDS)[number];
