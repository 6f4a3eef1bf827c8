import { bisect } from '../../models/numbers/bisect.js';
import { mostRate } from '../limits/checks/step/pulseRate.js';
import { SITUATION_NEEDS, situationOf } from '../limits/situation.js';
import { lacksOf } from '../../path/powerpath/path.js';
import { pulsesPerTurn, torqueAtMotor, type StepPath } from '../../path/powerpath/stepPath.js';
import { lastSpeed } from '../../models/stepper/pullOut.js';
import { mostTorqueAt } from '../../models/stepper/torque.js';

/** The fastest a motor that takes pulses can turn here, and what sets it. */
export interface StepCeiling {
  /** rad/s of the motor. */
  readonly speed: number;
  readonly by: string;
}

/**
 * The least of four ends: the pulses of driver and board, the torque that carries the job's load, the volts, and the motor
 * itself. Torque counts only where the load is known.
 */
export function stepCeilingOf(path: StepPath): StepCeiling {
  const { motor } = path.step;
  const pulses = mostRate(path);
  const ends: StepCeiling[] = [{ speed: (pulses.rate * 2 * Math.PI) / pulsesPerTurn(path), by: pulses.by }];
  if (motor.loop === 'open') ends.push({ speed: lastSpeed(motor.figures), by: 'the volts' });
  else {
    const { topSpeed, voltageShare } = motor.figures;
    ends.push({ speed: topSpeed, by: 'the motor' }, { speed: topSpeed * voltageShare, by: 'the volts' });
  }
  const last = Math.min(...ends.map(({ speed }) => speed));
  const carries = carriesUpTo(path, last);
  if (carries !== undefined && carries < last) ends.push({ speed: carries, by: 'the torque the load takes' });
  return ends.reduce((least, one) => (one.speed < least.speed ? one : least));
}

/** Motor speed up to which its torque carries the load, rad/s; `undefined` where the load is not known. */
function carriesUpTo(path: StepPath, last: number): number | undefined {
  if (lacksOf(path, [...SITUATION_NEEDS.working, 'motor', 'driver', 'pack', 'train']).length > 0) return undefined;
  const torque = torqueAtMotor(path, Math.max(0, situationOf(path, 'working').demand));
  const carries = (speed: number): boolean => mostTorqueAt(path.step.motor, speed) >= torque;
  if (!Number.isFinite(last) || carries(last)) return last;
  return bisect(0, last, carries)[0];
}
