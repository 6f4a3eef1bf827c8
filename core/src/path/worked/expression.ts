import type { Words } from '../../plan/words/phrase.js';
import type { Figure } from '../../plan/figures/figure.js';
import type { Dimension } from '../../plan/words/dimension.js';

/**
 * A formula as a tree that can compute itself. Plain data, so that it crosses to a worker, and
 * separate from the hot path: tests hold both equal.
 */
export type Expression =
  | { readonly op: 'figure'; readonly figure: Figure; readonly value: number }
  | { readonly op: 'number'; readonly value: number; readonly label?: string }
  | { readonly op: 'add' | 'sub' | 'mul' | 'div' | 'pow' | 'max' | 'min'; readonly args: readonly Expression[] }
  | { readonly op: 'sqrt' | 'sin' | 'cos' | 'exp' | 'neg'; readonly arg: Expression }
  /** A step of the working with a name of its own, shown on its own line. */
  | {
      readonly op: 'named';
      readonly symbol: string;
      readonly label: string;
      readonly dimension: Dimension;
      readonly of: Expression;
    }
  /** Found by stepping or halving, not by a closed formula: says how, and from what. */
  | {
      readonly op: 'found';
      readonly symbol: string;
      readonly label: string;
      readonly dimension: Dimension;
      readonly value: number;
      readonly how: Words;
    };

/**
 * The number a tree stands for.
 *
 * @example valueOf({ op: 'mul', args: [{ op: 'number', value: 3 }, { op: 'number', value: 2 }] }) //=> 6
 */
export function valueOf(expression: Expression): number {
  switch (expression.op) {
    case 'figure':
    case 'number':
    case 'found':
      return expression.value;
    case 'named':
      return valueOf(expression.of);
    case 'sqrt':
      return Math.sqrt(valueOf(expression.arg));
    case 'sin':
      return Math.sin(valueOf(expression.arg));
    case 'cos':
      return Math.cos(valueOf(expression.arg));
    case 'exp':
      return Math.exp(valueOf(expression.arg));
    case 'neg':
      return -valueOf(expression.arg);
    default:
      return expression.args.map(valueOf).reduce(COMBINE[expression.op]);
  }
}

const COMBINE: Readonly<
  Record<'add' | 'sub' | 'mul' | 'div' | 'pow' | 'max' | 'min', (a: number, b: number) => number>
> = {
  add: (a, b) => a + b,
  sub: (a, b) => a - b,
  mul: (a, b) => a * b,
  div: (a, b) => a / b,
  pow: (a, b) => a ** b,
  max: (a, b) => Math.max(a, b),
  min: (a, b) => Math.min(a, b),
};

export const num = (value: number, label?: string): Expression => ({
  op: 'number',
  value,
  label,
});
export const fig = (figure: Figure): Expression => ({ op: 'figure', figure, value: figure.value ?? NaN });
export const add = (...args: Expression[]): Expression => ({ op: 'add', args });
export const sub = (...args: Expression[]): Expression => ({ op: 'sub', args });
export const mul = (...args: Expression[]): Expression => ({ op: 'mul', args });
export const div = (a: Expression, b: Expression): Expression => ({ op: 'div', args: [a, b] });
export const pow = (a: Expression, b: number): Expression => ({ op: 'pow', args: [a, num(b)] });
export const max = (...args: Expression[]): Expression => ({ op: 'max', args });
export const min = (...args: Expression[]): Expression => ({ op: 'min', args });
export const sqrt = (arg: Expression): Expression => ({ op: 'sqrt', arg });
export const sin = (arg: Expression): Expression => ({ op: 'sin', arg });
export const cos = (arg: Expression): Expression => ({ op: 'cos', arg });
export const exp = (arg: Expression): Expression => ({ op: 'exp', arg });
export const neg = (arg: Expression): Expression => ({ op: 'neg', arg });
export const named = (symbol: string, label: string, dimension: Dimension, of: Expression): Expression => ({
  op: 'named',
  symbol,
  label,
  dimension,
  of,
});
export const found = (symbol: string, label: string, dimension: Dimension, value: number, how: Words): Expression => ({
  op: 'found',
  symbol,
  label,
  dimension,
  value,
  how,
});

/** Every figure a tree rests on, each once. */
export function figuresIn(expression: Expression): readonly Figure[] {
  const byKey = new Map<string, Figure>();
  walk(expression, (node) => {
    if (node.op === 'figure') byKey.set(node.figure.key, node.figure);
  });
  return [...byKey.values()];
}

/** The named and found steps of a tree, each once, the outermost first. */
export function stepsIn(expression: Expression): readonly Extract<Expression, { op: 'named' | 'found' }>[] {
  const bySymbol = new Map<string, Extract<Expression, { op: 'named' | 'found' }>>();
  walk(expression, (node) => {
    if ((node.op === 'named' || node.op === 'found') && !bySymbol.has(node.symbol)) bySymbol.set(node.symbol, node);
  });
  return [...bySymbol.values()];
}

function walk(expression: Expression, visit: (node: Expression) => void): void {
  visit(expression);
  if ('args' in expression) expression.args.forEach((arg) => walk(arg, visit));
  else if ('arg' in expression) walk(expression.arg, visit);
  else if (expression.op === 'named') walk(expression.of, visit);
}
