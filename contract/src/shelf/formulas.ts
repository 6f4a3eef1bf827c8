/**
 * A cell that a spreadsheet would take for a formula, or that looks guarded already; a number never is. Blanks and marks that
 * are not seen may stand in front of the sign, and the sign may be a full-width one: some programs read past them. Written
 * to a file it gets an apostrophe in front, which spreadsheets leave out and `withoutGuard` takes away.
 */
const FORMULA = /^(?![+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$)(?:[\s\p{Z}\p{Cf}]*[=+\-@＝＋－＠]|[\t\r']).*$/isu;

/**
 * Within a cell: a sign that would stand first in one, were the file read by another separator than its comma. Behind a comma
 * none does: such a cell stands between quotation marks.
 */
const SIGN = String.raw`[ \n\r\v\f\p{Z}\p{Cf}]*(?:[=@＝＠]|[+\-＋－](?!\d*\.?\d+(?:e[+-]?\d+)?(?:[;|\t]|$)))`;
const AFTER_SEPARATOR = new RegExp(String.raw`([;|\t])('*)(?=${SIGN})`, 'giu');
const GUARD_INSIDE = new RegExp(String.raw`([;|\t])'('*)(?=${SIGN})`, 'giu');

/**
 * A cell as it was before it was guarded.
 *
 * @example withoutGuard("'=1+1") //=> '=1+1'
 */
export function withoutGuard(cell: string): string {
  const inside = cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
  return inside.replace(GUARD_INSIDE, '$1$2');
}

/**
 * A cell as it is written to a file.
 *
 * @example guarded('=1+1') //=> "'=1+1"
 * @example guarded('4 mm;=1+1') //=> "4 mm;'=1+1"
 */
export function guarded(cell: string): string {
  const inside = cell.replace(AFTER_SEPARATOR, "$1'$2");
  return FORMULA.test(inside) ? `'${inside}` : inside;
}
