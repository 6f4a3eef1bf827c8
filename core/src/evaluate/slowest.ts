import { LEAST_ERPM, leastBrushlessSpeed } from '../controller/leastSpeed.js';
import type { StartStyle } from '../plan/part.js';
import type { DcPath } from '../powerpath/path.js';

const RPM = Math.PI / 30;

/**
 * The slowest steady speed of the load by each way to start, typical, so that sensors can be weighed against none. Its
 * motor must be known.
 *
 * @returns m/s, or rad/s of a load that turns; `undefined` for a brushed motor, or where its pole pairs are missing
 */
export function slowestByStart({
  motor,
  train,
  radius,
  asked,
}: DcPath): Readonly<Record<StartStyle, number>> | undefined {
  if (motor.type !== 'brushless' || motor.polePairs === undefined) return undefined;
  const pairs = motor.polePairs;
  const slowest = (style: StartStyle): number =>
    ((leastBrushlessSpeed(LEAST_ERPM[style] * RPM, pairs) * radius) / train.total) * asked.perCoordinate;
  return { sensors: slowest('sensors'), forced: slowest('forced'), bump: slowest('bump') };
}
