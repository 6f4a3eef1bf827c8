import type { PowerPath } from './path.js';

/**
 * Where a path's lead screw stands among its stages; −1 where it has none.
 *
 * @example screwAt(path) //=> -1
 */
export const screwAt = ({ stages }: Pick<PowerPath, 'stages'>): number =>
  stages.findIndex(({ kind }) => kind === 'screw');

/**
 * How far the nut of a lead screw goes for a turn of the motor, m; `undefined` where there is no screw.
 *
 * @example travelPerTurn(path) //=> undefined
 */
export const travelPerTurn = (path: Pick<PowerPath, 'stages' | 'train'>): number | undefined =>
  screwAt(path) < 0 ? undefined : (2 * Math.PI) / path.train.total;
