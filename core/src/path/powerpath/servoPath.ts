import type { MotorThermal } from '../../models/motor/heat.js';
import type { MotorAudit } from '../../models/motor/audit.js';
import type { ServoPart } from '../../plan/document/part.js';
import type { RailNode } from '../../plan/document/supply.js';
import type { Calibration, CalibrationPair } from '../../models/servo/calibration.js';
import type { ChainJoint } from '../../models/servo/precision.js';
import type { RailBudget, RailServo } from '../../models/servo/rail.js';
import type { RatingPoint, ServoRating } from '../../models/servo/ratings.js';
import type { Linked } from '../../models/servo/linked.js';
import type { Linkage } from '../../models/servo/throughTravel.js';
import { worstPlace } from '../../models/load/load.js';
import type { PowerPath } from './path.js';

/** The rail servos hang on, and everything else that hangs there. */
export interface PathRail {
  readonly id: string;
  readonly name: string;
  readonly source: NonNullable<RailNode['source']>;
  /** Without load; and at most, off the charger. */
  readonly voltage: number;
  readonly full: number;
  readonly continuous: number;
  readonly burst: number;
  readonly resistance: number;
  readonly apart: boolean;
  /** Every servo on it, this mechanism's own among them. */
  readonly servos: readonly RailServo[];
  readonly budget: RailBudget;
  /** What all the others draw while they move. */
  readonly others: number;
}

/** What a board for servos has; absent where it does not say. */
export interface ServoBoard {
  readonly name: string;
  readonly channels: number | undefined;
  readonly pulseStep: number | undefined;
  readonly current: number | undefined;
  readonly voltage: number | undefined;
  /** Pulses a second at its slow end, of a timer chip. */
  readonly slowest: number | undefined;
}

/** Of a case, or of the room for it, m. */
export interface Sides {
  readonly length: number | undefined;
  readonly width: number | undefined;
  readonly height: number | undefined;
}

/** A position servo with what links it to the output. */
export interface ServoPath extends PowerPath {
  readonly machine: 'servo';
  readonly servo: {
    readonly part: ServoPart;
    /** Whether its sheet can be true. */
    readonly audit: MotorAudit;
    readonly points: readonly RatingPoint[];
    /** At the rail's volts while everything on it moves; torque of one servo at its horn, or force of a linear one. */
    readonly rating: ServoRating;
    readonly voltage: number;
    readonly idleCurrent: number;
    readonly runningCurrent: number;
    readonly highestVoltage: number;
    readonly lowestPoint: number;
    /** Angle, or stroke in metres. */
    readonly travel: number;
    readonly shortestPulse: number;
    readonly longestPulse: number;
    readonly deadband: number;
    readonly slop: number;
    readonly insideRatio: number;
    /** Motor inside, seen at the horn, kg·m². */
    readonly rotorAtHorn: number;
    /** How far it is pushed off at its full torque, rad. */
    readonly yields: number;
    readonly thermal: MotorThermal;
  };
  /** Speed of the horn it may not go beyond, rad/s; absent where none is programmed. */
  readonly speedCap: number | undefined;
  /** Where it goes when it is switched on. */
  readonly startPoint: number | undefined;
  /** The board for servos on its rail. */
  readonly servoBoard: ServoBoard | undefined;
  readonly rail: PathRail;
  /** Horn on spline, case in the room there is, m; absent where nothing is said. */
  readonly fit: {
    readonly splineTeeth: number | undefined;
    readonly hornTeeth: number | undefined;
    readonly size: Sides;
    readonly room: Sides;
  };
  readonly linkage: Linkage;
  /** The linkage along the job's way; `undefined` where a length is missing. */
  readonly linked: Linked | undefined;
  readonly calibration: Calibration | undefined;
  readonly pairs: readonly CalibrationPair[];
  /** Joints from the base to the tip; none where the tip was not asked about. */
  readonly chain: readonly ChainJoint[];
  readonly tipWindow: number | undefined;
}

/** What is behind the horn: linkage, train and load. */
export type HornSide = Pick<ServoPath, 'linked' | 'train' | 'motors' | 'load' | 'asked'>;

/** Torque of one servo at its horn for a force on q at a place, driving. N·m; N of a linear servo. */
export function torqueAtHorn({ linked, train, motors }: HornSide, force: number, q: number): number {
  const ratio = linked?.ratioAt(q) ?? NaN;
  const through = force >= 0 ? force / train.efficiency : force * train.backEfficiency;
  return (through * ratio) / motors;
}

/** The place at which most is asked of the servo for what a situation asks of the output there. */
export const worstHornPlace = (path: HornSide, force: (q: number) => number): number =>
  worstPlace(path.asked.travel, path.load, (q) => torqueAtHorn(path, force(q), q));
