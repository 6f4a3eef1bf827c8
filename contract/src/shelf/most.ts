/** Parts that a shelf holds at most, of all kinds together: as many as one file of them can bring back. */
export const MOST_ON_SHELF = 20_000;
