/**
 * A cell that a spreadsheet would take for a formula, or that looks guarded already; a number never is. Written to a file
 * it gets an apostrophe in front, which spreadsheets leave out and `withoutGuard` takes away.
 */
export const FORMULA = /^(?![+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$)[=+\-@\t\r'].*$/is;

/**
 * A cell as it was before it was guarded.
 *
 * @example withoutGuard("'=1+1") //=> '=1+1'
 */
export const withoutGuard = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
