/** Matches of a season with its practice: what wears is asked to outlast them. */
export const SEASON_MATCHES = 200;
