import type { Chemistry } from '../../plan/document/part.js';
import { CELLS, CHARGE_POINTS } from './cells.js';

/**
 * Rest voltage of one cell at a state of charge 0…1, linear between the table's points; held at its ends.
 *
 * @example cellRestVoltage('lipo', 0.5) //=> 3.82
 */
export function cellRestVoltage(chemistry: Chemistry, charge: number): number {
  const { rest } = CELLS[chemistry];
  const within = Math.min(1, Math.max(0, charge));
  let i = 1;
  while (i < CHARGE_POINTS.length - 1 && within > CHARGE_POINTS[i]!) i++;
  const [x0, x1] = [CHARGE_POINTS[i - 1]!, CHARGE_POINTS[i]!];
  const [y0, y1] = [rest[i - 1]!, rest[i]!];
  return y0 + ((y1 - y0) * (within - x0)) / (x1 - x0);
}
