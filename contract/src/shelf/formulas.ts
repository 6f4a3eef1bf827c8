/**
 * A cell that a spreadsheet would take for a formula, or that looks guarded already; a number never is. Blanks and marks that
 * are not seen may stand in front of the sign, and the sign may be a full-width one: some programs read past them. Written
 * to a file it gets an apostrophe in front, which spreadsheets leave out and `withoutGuard` takes away.
 */
export const FORMULA = /^(?![+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$)(?:[\s\p{Z}\p{Cf}]*[=+\-@＝＋－＠]|[\t\r']).*$/isu;

/**
 * A cell as it was before it was guarded.
 *
 * @example withoutGuard("'=1+1") //=> '=1+1'
 */
export const withoutGuard = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
