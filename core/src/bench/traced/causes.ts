import type { FigureName } from '../../plan/figures/table.js';
import type { TrialKind } from '../trials/trials.js';
import { FRICTIONS, LESS_SPEED, LOSSES, MASSES, MORE_TORQUE } from '../../judge/spread/factors.js';
import type { Adjust } from '../../path/resolve/resolvePath.js';

/** What may be another than the plan says, and make a mechanism do otherwise. */
export const CAUSES = [
  'resistance',
  'constants',
  'friction',
  'efficiency',
  'mass',
  'pack resistance',
  'pack charge',
] as const;
export type CauseId = (typeof CAUSES)[number];

/** Figures that a cause moves: by a factor, by one over it, or by so much of a share added. */
type Move = 'times' | 'over' | 'plus';

export interface Cause {
  readonly name: string;
  /** One standard deviation of it, as a factor's or a share's. */
  readonly sigma: number;
  readonly moves: Moves;
  /** The trial that would settle it; a mass is put on a scale. */
  readonly trial?: TrialKind;
}

type Moves = Readonly<Partial<Record<FigureName, Move>>>;
const each = (names: readonly FigureName[], move: Move): Moves => Object.fromEntries(names.map((name) => [name, move]));

/** How wide each is, where nothing was measured: standard deviations, typical. */
export const CAUSE: Readonly<Record<CauseId, Cause>> = {
  resistance: {
    name: 'the motor’s resistance',
    sigma: 0.07,
    // Of a sheet's four numbers a greater resistance lowers both that are read at a stall; torque for each ampere stays.
    moves: {
      'motor.resistance': 'times',
      'motor.referenceResistance': 'times',
      'motor.stallCurrent': 'over',
      'motor.stallTorque': 'over',
    },
    trial: 'stall',
  },
  constants: {
    name: 'the motor’s constants',
    sigma: 0.04,
    moves: { ...each(MORE_TORQUE, 'times'), ...each(LESS_SPEED, 'over') },
    trial: 'free-run',
  },
  friction: {
    name: 'friction',
    sigma: 0.3,
    moves: each(FRICTIONS, 'times'),
    trial: 'coast-down',
  },
  efficiency: {
    name: 'what the train loses',
    sigma: 0.04,
    moves: each(LOSSES, 'plus'),
    trial: 'pull',
  },
  mass: {
    name: 'what it moves',
    sigma: 0.05,
    moves: each(MASSES, 'times'),
  },
  'pack resistance': {
    name: 'resistance of the pack',
    sigma: 0.2,
    moves: { 'pack.cellResistance': 'times', 'pack.leadResistance': 'times' },
    trial: 'pack',
  },
  'pack charge': {
    name: 'charge of the pack',
    sigma: 0.1,
    moves: { 'pack.charge': 'plus' },
    trial: 'pack',
  },
};

/** No share is less or more than these. */
const LEAST_SHARE = 0.02;

/**
 * A plan's figures with one cause so many standard deviations off. What a train loses is shared by its stages.
 *
 * @example moved('mass', 2)('job.mass', 10) //=> 11.03
 */
export function moved(cause: CauseId, deviations: number, shares = 1): Adjust {
  const { moves, sigma } = CAUSE[cause];
  // A factor in proportion: two ways as far are one over the other, and nothing becomes less than nothing.
  const factor = Math.exp(Math.log1p(sigma) * deviations);
  return (name, value) => {
    switch (moves[name]) {
      case undefined:
        return value;
      case 'times':
        return value * factor;
      case 'over':
        return value / factor;
      case 'plus':
        return Math.min(1, Math.max(LEAST_SHARE, value - (sigma * deviations) / shares));
    }
  };
}
