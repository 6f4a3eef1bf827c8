import type { Dimension, SecondRatio } from '@rough-gear/core';

/** Nearer than this the shaft stays where it is, m. */
const STAYS = 0.0002;

/** How the shafts lie with the second wheel: where they are, or so far out or in. */
export function shaftMoves(
  { wheels, moves }: Pick<SecondRatio, 'wheels' | 'moves'>,
  show: (si: number, dimension: Dimension, significant?: number) => string,
): string {
  if (wheels === 2) return 'two gears, same centres';
  if (moves === undefined || Math.abs(moves) < STAYS) return 'same centres';
  return `shaft ${moves > 0 ? 'out' : 'in'} by ${show(Math.abs(moves), 'length', 2)}`;
}
