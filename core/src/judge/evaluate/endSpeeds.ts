import { leastOutputSpeed } from '../limits/checks/slowControl.js';
import { lacksOf, type DcPath } from '../../path/powerpath/path.js';
import { reachOf } from './reach.js';

/** Points of an envelope: only where it meets the load matters. */
const ENVELOPE = 12;

/**
 * The fastest steady speed of the load's coordinate at full effort under the job's load, m/s or rad/s; `undefined` where it
 * cannot move it, or a figure is missing.
 *
 * @example topSpeedOf(path) //=> 0.9939
 */
export function topSpeedOf(path: DcPath): number | undefined {
  const settles = reachOf(path, ENVELOPE)?.settles;
  return settles === undefined ? undefined : settles * path.asked.perCoordinate;
}

/**
 * The slowest steady speed of the load's coordinate, m/s or rad/s; `undefined` where a figure is missing.
 *
 * @example creepSpeedOf(path) //=> 0.008795
 */
export function creepSpeedOf(path: DcPath): number | undefined {
  const needs = ['creep', 'motor', 'pack', 'wiring', 'controller', 'train', 'output'] as const;
  if (lacksOf(path, needs).length > 0) return undefined;
  const speed = leastOutputSpeed(path) * path.asked.perCoordinate;
  return speed > 0 && Number.isFinite(speed) ? speed : undefined;
}
