/** What designs are compared by; `judge/evaluate/measure.ts` measures them. */
export const WANT_IDS = ['time', 'mass', 'price', 'current', 'margin', 'slow', 'common', 'bought'] as const;
export type WantId = (typeof WANT_IDS)[number];

/** Figures of a design by want; one that cannot be known is absent. */
export type Figures = Readonly<Partial<Record<WantId, number>>>;
