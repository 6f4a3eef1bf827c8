/** What stands between two columns of a pasted table: tabs, bars, or a gap of two spaces. */
export const BETWEEN_COLUMNS = /\t+|\s*\|\s*| {2,}/;
