import type { PowerPath } from './path.js';

/**
 * Where a path's lead screw stands among its stages; −1 where it has none.
 *
 * @example screwAt(path) //=> -1
 */
export const screwAt = ({ stages }: Pick<PowerPath, 'stages'>): number =>
  stages.findIndex(({ kind }) => kind === 'screw');

/**
 * Travel for a turn of the motor, m, from a total that ends in a screw; and the total from such a travel, the same way.
 *
 * @example travelOfTotal(785.4) //=> 0.008
 */
export const travelOfTotal = (total: number): number => (2 * Math.PI) / total;

/**
 * How far the nut of a lead screw goes for a turn of the motor, m; `undefined` where there is no screw.
 *
 * @example travelPerTurn(path) //=> undefined
 */
export const travelPerTurn = (path: Pick<PowerPath, 'stages' | 'train'>): number | undefined =>
  screwAt(path) < 0 ? undefined : travelOfTotal(path.train.total);
