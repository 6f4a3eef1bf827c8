import { lumpsFrom } from '../../models/motor/heat.js';
import type { RobotOnPack } from './onPack.js';
import type { MatchStart } from './result.js';

/** Share of a charger's amperes that stays in the pack, typical. */
const CHARGED = 0.9;

/**
 * Share of charge after some time on a charger; as it was where the capacity is not known.
 *
 * @param amperes of the charger
 * @example chargedFor(0.5, 64800, 6, 3600) //=> 0.8
 */
export const chargedFor = (charge: number, capacity: number | undefined, amperes: number, seconds: number): number =>
  capacity === undefined ? charge : Math.min(1, charge + (CHARGED * amperes * Math.max(0, seconds)) / capacity);

/** Windings, cases and breakers after a rest with nothing drawn. */
export function rested({ lanes, pack }: RobotOnPack, end: MatchStart, seconds: number): MatchStart {
  return {
    charge: end.charge,
    lumps: lanes.map(({ thermal, resistance }, i) => {
      const lumps = end.lumps[i];
      return lumps && thermal && resistance !== undefined
        ? lumpsFrom(lumps, resistance, thermal, { squared: 0, friction: 0 }, seconds)
        : lumps;
    }),
    branches: lanes.map(({ branch }, i) =>
      branch ? (end.branches[i] ?? 0) * Math.exp(-seconds / branch.timeConstant) : 0,
    ),
    main: pack.main ? end.main * Math.exp(-seconds / pack.main.timeConstant) : 0,
  };
}
