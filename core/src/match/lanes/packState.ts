import type { Chemistry } from '../../plan/document/part.js';
import type { RobotOnPack } from './onPack.js';

/** How the pack is on the day, against its sheet: older, weaker, colder. */
export interface PackState {
  /** Its resistance over what it is when new. */
  readonly aged?: number;
  /** What it still holds, of when it was new. */
  readonly capacity?: number;
  /** How warm its cells are, °C; below 20 it gives less. */
  readonly celsius?: number;
}

/** Cells are rated at this, °C. */
const RATED_AT = 20;
/** However cold, some charge is left. */
const LEAST_COLD = 0.3;

/** Per kelvin below 20 °C: more resistance, less charge. Typical; cold cells differ widely. */
const COLD: Readonly<Record<'lead' | 'lithium' | 'others', { readonly resistance: number; readonly charge: number }>> =
  {
    lead: { resistance: 0.015, charge: 0.008 },
    lithium: { resistance: 0.03, charge: 0.007 },
    others: { resistance: 0.02, charge: 0.01 },
  };

const coldOf = (chemistry: Chemistry | undefined) => {
  switch (chemistry) {
    case 'lead':
      return COLD.lead;
    case 'lipo':
    case 'liion':
    case 'lifepo4':
      return COLD.lithium;
    default:
      return COLD.others;
  }
};

/** The robot with its pack as it is on the day. */
export function withPackAs(robot: RobotOnPack, { aged = 1, capacity = 1, celsius = RATED_AT }: PackState): RobotOnPack {
  const { pack } = robot;
  const below = Math.max(0, RATED_AT - celsius);
  const cold = coldOf(pack.chemistry);
  const left = capacity * Math.max(LEAST_COLD, 1 - cold.charge * below);
  return {
    ...robot,
    pack: {
      ...pack,
      resistance: pack.resistance * aged * (1 + cold.resistance * below),
      capacity: pack.capacity === undefined ? undefined : pack.capacity * left,
    },
  };
}
