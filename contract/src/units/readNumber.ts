/** The number in front of a unit, or why it is none. */
export type ReadNumber =
  | { readonly ok: true; readonly value: number; readonly rest: string }
  | { readonly ok: false; readonly reason: string; readonly choices?: readonly string[] };

const NUMBER = /^([+-]?)(\d[\d ]*(?:[.,]\d+)*|[.,]\d+)(e[+-]?\d+)?/i;
const FRACTION = /^([+-]?)(?:(\d+)[ -])?(\d+)\/(\d+)/;

/**
 * Reads "4.2", "4,2", "1 3/4", ".5", "5.8k", "1e-5". A comma before exactly three digits could be
 * either a thousand's or a decimal's: that is asked about.
 */
export function readNumber(text: string): ReadNumber {
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [whole, sign, full = '0', above, below] = fraction;
    if (Number(below) === 0) return { ok: false, reason: 'a fraction over nothing' };
    const value = Number(full) + Number(above) / Number(below);
    return { ok: true, value: sign === '-' ? -value : value, rest: text.slice(whole.length).trim() };
  }
  const match = NUMBER.exec(text);
  if (!match) return { ok: false, reason: `“${text}” does not start with a number` };
  const [whole, sign, digits = '', power = ''] = match;
  const spelled = digits.trim();
  const rest = text.slice(whole.length).trim();
  const ambiguous = /^([1-9]\d{0,2}),(\d{3})$/.exec(spelled);
  if (ambiguous) {
    const [, head, tail] = ambiguous;
    const unit = rest ? ` ${rest}` : '';
    return {
      ok: false,
      reason: `is ${spelled} ${head}${tail} or ${head}.${tail}?`,
      choices: [`${head}${tail}${unit}`, `${head}.${tail}${unit}`],
    };
  }
  const value = decimal(spelled.replace(/ /g, ''));
  if (value === undefined) return { ok: false, reason: `“${spelled}” is no single number` };
  const thousand = /^k(?=$|[ ]|rpm|v)/i.exec(rest);
  const kilo = thousand && !/^kv$/i.test(rest) ? 1000 : 1;
  const signed = (sign === '-' ? -1 : 1) * Number(`${value}${power}`) * kilo;
  return { ok: true, value: signed, rest: kilo === 1000 ? rest.slice(1).trim() : rest };
}

/** "1,234.5" and "1.234,5" name both marks; one comma alone is a decimal's. */
function decimal(text: string): string | undefined {
  const [dots, commas] = [text.split('.').length - 1, text.split(',').length - 1];
  if (dots === 0 && commas === 0) return text;
  if (dots === 1 && commas === 0) return text;
  if (commas === 1 && dots === 0) return text.replace(',', '.');
  if (/^\d{1,3}(,\d{3})+(\.\d+)?$/.test(text)) return text.replaceAll(',', '');
  if (/^\d{1,3}(\.\d{3})+(,\d+)?$/.test(text)) return text.replaceAll('.', '').replace(',', '.');
  return undefined;
}
