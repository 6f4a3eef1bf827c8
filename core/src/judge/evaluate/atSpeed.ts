import { driveOf, type Drive, type HeldBy } from '../../models/controller/drive.js';
import { freeSpeedAt } from '../../models/motor/peaks.js';
import { RUN_NEEDS } from '../motion/needs.js';
import { spinDown } from '../motion/spinDown.js';
import { fullBrakingAt, fullCommandAt } from './fullEffortAt.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';

/** Full command one way at one speed. */
export interface FullAt {
  /** Of one motor, A. */
  readonly motorCurrent: number;
  /** Of all motors, out of the pack; under 0 back into it. A */
  readonly packCurrent: number;
  /** At the output, N or N·m; no more than the tyres carry. */
  readonly force: number;
  /** Whether the tyres carry less than the motors give. */
  readonly slips: boolean;
  readonly heldBy: HeldBy;
  /** What it would be with what holds it doubled; absent where that is no limit that is set. */
  readonly doubled?: { readonly force: number; readonly packCurrent: number };
}

/** What a standing drag offset does: cancels part of the drag, or is more than all of it, so that the motor creeps. */
export interface StandingOffset {
  /** The motor's own drag, and what of it is cancelled, A. */
  readonly drag: number;
  readonly cancels: number;
  readonly creeps: boolean;
  /** In one winding at rest, W. */
  readonly heat: number;
}

export interface AtSpeed {
  readonly offset: StandingOffset;
  readonly driving: FullAt;
  readonly braking: FullAt;
  /**
   * Lifted off: seconds from its free speed to rest, with the offset that is set and without one. With its share of the wheels
   * where their inertia is known, else its own rotor alone.
   */
  readonly lifted: {
    readonly from: number;
    readonly wheels: boolean;
    readonly seconds: number;
    readonly without: number;
  };
}

/** The limit that a point is held by, in the drive. */
const DRIVING: Readonly<Partial<Record<HeldBy, keyof Drive>>> = { stator: 'statorLimit', supply: 'supplyLimit' };
const BRAKING: Readonly<Partial<Record<HeldBy, keyof Drive>>> = {
  stator: 'brakeLimit',
  returned: 'returnLimit',
  supply: 'supplyLimit',
};

/**
 * What flows at one speed of the output (m/s or rad/s ≥ 0) at full command and at full braking, and what each limit costs
 * there; `undefined` where a figure is missing.
 *
 * @example atSpeed(path, 0.8).driving.heldBy //=> 'supply'
 */
export function atSpeed(path: DcPath, speed: number): AtSpeed | undefined {
  if (lacksOf(path, RUN_NEEDS).length > 0) return undefined;
  const { drive, control } = path;
  const from = freeSpeedAt(drive.motor, drive.restVoltage);
  const { freeCurrent: drag, resistance } = drive.motor;
  const { dragOffset } = control;
  const turning = drive.rotorInertia + (path.spins ?? 0) / (drive.motors * path.train.total ** 2);
  return {
    offset: {
      drag,
      cancels: Math.min(drag, dragOffset),
      creeps: dragOffset > drag,
      heat: dragOffset ** 2 * resistance,
    },
    driving: fullAt(path, speed, DRIVING, pulled),
    braking: fullAt(path, speed, BRAKING, braked),
    lifted: {
      from,
      wheels: path.spins !== undefined,
      seconds: spinDown(drive.motor, turning, from, dragOffset),
      without: spinDown(drive.motor, turning, from, 0),
    },
  };
}

interface OneWay {
  readonly motorCurrent: number;
  readonly packCurrent: number;
  readonly force: number;
  readonly heldBy: HeldBy;
}

function fullAt(
  path: DcPath,
  speed: number,
  limits: typeof DRIVING,
  way: (path: DcPath, drive: Drive, speed: number) => OneWay,
): FullAt {
  const carried = path.load.traction ?? Infinity;
  const now = way(path, path.drive, speed);
  const limit = limits[now.heldBy];
  const wider = limit && way(path, driveOf({ ...path.drive, [limit]: 2 * (path.drive[limit] as number) }), speed);
  return {
    ...now,
    force: Math.min(now.force, carried),
    slips: now.force > carried,
    doubled: wider && { force: Math.min(wider.force, carried), packCurrent: wider.packCurrent },
  };
}

function pulled(path: DcPath, drive: Drive, speed: number): OneWay {
  const { point, force } = fullCommandAt(path, drive, speed);
  const { motorCurrent, supplyCurrent, heldBy } = point;
  return { motorCurrent, packCurrent: drive.motors * supplyCurrent, force: Math.max(0, force), heldBy };
}

function braked(path: DcPath, drive: Drive, speed: number): OneWay {
  const { point, force } = fullBrakingAt(path, drive, speed);
  const { motorCurrent, returnedCurrent, heldBy } = point;
  return { motorCurrent, packCurrent: -drive.motors * returnedCurrent, force, heldBy };
}
