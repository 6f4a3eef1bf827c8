import { valueOf as numberOf, type Expression } from './expression.js';

/** Symbols only, or the numbers in their places. */
export type TypesetMode = 'symbols' | 'numbers';

const STRENGTH = { add: 1, sub: 1, neg: 1, mul: 2, div: 4, pow: 3 } as const;

/** An expression as TeX. Named steps stay symbols (or their number): each has its own line. */
export function typeset(expression: Expression, mode: TypesetMode): string {
  switch (expression.op) {
    case 'figure':
      return mode === 'symbols' ? expression.figure.symbol : texNumber(expression.value);
    case 'number':
      return texNumber(expression.value);
    case 'named':
      return mode === 'symbols' ? expression.symbol : typesetNumberOf(expression);
    case 'found':
      return mode === 'symbols' ? expression.symbol : texNumber(expression.value);
    case 'sqrt':
      return `\\sqrt{${typeset(expression.arg, mode)}}`;
    case 'sin':
    case 'cos':
      return `\\${expression.op}\\left(${typeset(expression.arg, mode)}\\right)`;
    case 'exp':
      return `e^{${typeset(expression.arg, mode)}}`;
    case 'neg':
      return `-${inside(expression.arg, 2, mode)}`;
    case 'div':
      return `\\frac{${typeset(expression.args[0]!, mode)}}{${typeset(expression.args[1]!, mode)}}`;
    case 'pow':
      return `${inside(expression.args[0]!, 4, mode)}^{${typeset(expression.args[1]!, mode)}}`;
    case 'add':
      return expression.args.map((arg) => typeset(arg, mode)).join(' + ');
    case 'sub':
      return expression.args.map((arg, i) => (i === 0 ? typeset(arg, mode) : inside(arg, 2, mode))).join(' - ');
    case 'mul':
      return expression.args.map((arg) => inside(arg, 2, mode)).join(' \\cdot ');
    case 'max':
    case 'min':
      return `\\${expression.op}\\left(${expression.args.map((arg) => typeset(arg, mode)).join(',\\ ')}\\right)`;
  }
}

function typesetNumberOf(expression: Extract<Expression, { op: 'named' }>): string {
  return texNumber(numberOf(expression.of));
}

function inside(expression: Expression, needs: number, mode: TypesetMode): string {
  const text = typeset(expression, mode);
  const strength = expression.op in STRENGTH ? STRENGTH[expression.op as keyof typeof STRENGTH] : 9;
  const negative = strength === 9 && text.startsWith('-');
  return strength < needs || negative ? `\\left(${text}\\right)` : text;
}

/**
 * Four significant digits, powers of ten as such.
 *
 * @example texNumber(1234.5) //=> '1235'
 */
export function texNumber(value: number): string {
  if (value === 0) return '0';
  const size = Math.abs(value);
  if (size < 1e-3 || size >= 1e6) {
    const [digits, power] = value.toExponential(3).split('e') as [string, string];
    return `${Number(digits)} \\times 10^{${Number(power)}}`;
  }
  return String(Number(value.toPrecision(4)));
}
