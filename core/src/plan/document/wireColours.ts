/** What a wire carries: teams give each a colour of their own. */
export const WIRE_ROLES = ['plus', 'minus', 'motor', 'signal', 'ground', 'sensor'] as const;
export type WireRole = (typeof WIRE_ROLES)[number];

/** The team's colours, in their own words; what has none is not told. */
export type WireColours = Readonly<Partial<Record<WireRole, string>>>;
