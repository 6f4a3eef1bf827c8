import { alongTrain, backEfficiency, trainOf } from '../reduction/train.js';
import type { ServoRating } from './ratings.js';

/** Share each pair of gears in a servo's case passes on. Share, typical (0.85–0.95). Lower: its motor is taken for stronger. */
export const STAGE_EFFICIENCY = 0.9;

/**
 * Torque and speed on every shaft inside, the motor's first and the horn's last, at the horn's stall torque and free speed.
 *
 * @param pairs teeth, from the motor outwards
 * @param rating at the horn, N·m and rad/s
 * @returns one more than there are pairs
 *
 * @example shaftsInside([{ driver: 10, driven: 50 }], { stallTorque: 2, freeSpeed: 8 }) //=> [{ torque: 0.4444, speed: 40 }, { torque: 2, speed: 8 }]
 */
export function shaftsInside(
  pairs: readonly { readonly driver: number; readonly driven: number }[],
  { stallTorque, freeSpeed }: Pick<ServoRating, 'stallTorque' | 'freeSpeed'>,
): readonly { readonly torque: number; readonly speed: number }[] {
  const train = trainOf(
    pairs.map(({ driver, driven }) => ({
      ratio: driven / driver,
      efficiency: STAGE_EFFICIENCY,
      backEfficiency: backEfficiency(STAGE_EFFICIENCY),
    })),
  );
  const motor = { torque: stallTorque / (train.total * train.efficiency), speed: freeSpeed * train.total };
  return [motor, ...alongTrain(train, motor.torque, motor.speed)];
}
