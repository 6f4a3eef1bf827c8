import type { Figure } from '../../plan/figures/figure.js';
import { GRAVITY } from '../../models/load/gravity.js';
import type { PowerPath } from '../powerpath/path.js';
import { fig, mul, num, type Expression } from './expression.js';

/**
 * A figure of the path as a leaf. Throws where the path has none of that key.
 *
 * @example figureOf(path, 'motor.stallTorque').figure.label //=> 'stall torque'
 */
export function figureOf(path: PowerPath, key: string): Expression {
  const figure: Figure | undefined = path.figures[key];
  if (!figure) throw new Error(`this path has no figure ${key}`);
  return fig(figure);
}

/**
 * Whether the path knows a figure's value.
 *
 * @example knows(path, 'motor.stallTorque') //=> true
 */
export const knows = (path: PowerPath, key: string): boolean => path.figures[key]?.value !== undefined;

/**
 * m·g of a mass figure.
 *
 * @example valueOf(weightOf(path, 'job.mass')) //=> 196.1
 */
export const weightOf = (path: PowerPath, massKey: string): Expression => mul(figureOf(path, massKey), num(GRAVITY));
