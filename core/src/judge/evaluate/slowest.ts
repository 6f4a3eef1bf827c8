import { leastMotorSpeed } from '../limits/checks/slowControl.js';
import type { StartStyle } from '../../plan/document/part.js';
import type { DcPath } from '../../path/powerpath/path.js';

/**
 * The slowest steady speed of the load by each way to start, typical, so that sensors can be weighed against none. Its
 * motor must be known.
 *
 * @returns m/s, or rad/s of a load that turns; `undefined` for a brushed motor, or where its pole pairs are missing
 */
export function slowestByStart(path: DcPath): Readonly<Record<StartStyle, number>> | undefined {
  const { motor, train, radius, asked } = path;
  if (motor.type !== 'brushless' || motor.polePairs === undefined) return undefined;
  const slowest = (style: StartStyle): number =>
    ((leastMotorSpeed(path, style) * radius) / train.total) * asked.perCoordinate;
  return { sensors: slowest('sensors'), forced: slowest('forced'), bump: slowest('bump') };
}
