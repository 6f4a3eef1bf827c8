import { bisect } from '../../models/numbers/bisect.js';
import { situationOf } from '../../judge/limits/situation.js';
import { voltsAgainst, type MotorConstants } from '../../models/motor/constants.js';
import type { DcPath } from '../../path/powerpath/path.js';

/** Motors of one kind with a reduction of their own, on an output that others turn as well. */
export interface MixedUnit {
  readonly motor: MotorConstants;
  readonly count: number;
  /** Ω in front of one motor: its controller and leads. */
  readonly resistance: number;
  readonly total: number;
  readonly efficiency: number;
}

/** What each kind does at one speed of the output, all on the same command. */
export interface MixedShare {
  /** Of one motor: rad/s, A, and W in its winding. */
  readonly speed: number;
  readonly current: number;
  readonly heat: number;
  /** Of all of its kind at the output, N or N·m; under 0 they are dragged along by the others. */
  readonly force: number;
  /** Of what the output gives. */
  readonly share: number;
}

export interface Mixed {
  /** Share of the volts that carries the load, 0…1; `undefined` where all of them do not. */
  readonly duty: number | undefined;
  /** At that command; at full command where it does not carry the load. */
  readonly each: readonly MixedShare[];
  /** At full command, N or N·m. */
  readonly most: number;
}

/** One kind at a command: I = (d·V − Ke·ω − drop)/R, its torque less what it needs to turn itself, through its train. */
function shareOf(unit: MixedUnit, volts: number, speed: number, radius: number): Omit<MixedShare, 'share'> {
  const { motor, count, resistance, total, efficiency } = unit;
  const omega = (speed * total) / radius;
  const current = (volts - voltsAgainst(motor, omega)) / (motor.resistance + resistance);
  const own = motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  const torque = motor.torqueConstant * (current - own);
  // What is dragged along costs what its train loses as well.
  const through = torque >= 0 ? torque * efficiency : torque / efficiency;
  return { speed: omega, current, heat: current ** 2 * motor.resistance, force: (count * through * total) / radius };
}

/**
 * Different motors on one output, all given the same share of the volts: who carries what of a load at a speed. Volts are
 * those of the pack as they stand; limits of the controllers are not in it.
 *
 * @param radius units of the output's coordinate per radian of its shaft
 */
export function mixedAt(
  units: readonly MixedUnit[],
  { volts, speed, force, radius }: { volts: number; speed: number; force: number; radius: number },
): Mixed {
  const at = (duty: number) => units.map((unit) => shareOf(unit, duty * volts, speed, radius));
  const sum = (duty: number): number => at(duty).reduce((all, one) => all + one.force, 0);
  const most = sum(1);
  let duty: number | undefined;
  if (most >= force) {
    [, duty] = bisect(0, 1, (share) => sum(share) < force);
  }
  const found = at(duty ?? 1);
  const all = found.reduce((total, one) => total + one.force, 0);
  return { duty, most, each: found.map((one) => ({ ...one, share: one.force / all })) };
}

/**
 * Motors of another kind beside those of a path, behind controllers and wires like theirs and a train that loses as much:
 * who carries what of the job's load at a speed of its output. The path's own kind is told first.
 */
export function mixedBeside(path: DcPath, beside: Pick<MixedUnit, 'motor' | 'count' | 'total'>, speed: number): Mixed {
  const { drive, train, radius } = path;
  const alike = { resistance: drive.controllerResistance + drive.supplyResistance, efficiency: train.efficiency };
  const own: MixedUnit = { ...alike, motor: drive.motor, count: drive.motors, total: train.total };
  const force = Math.max(0, situationOf(path, 'working').demand);
  return mixedAt([own, { ...alike, ...beside }], { volts: drive.restVoltage, speed, force, radius });
}
