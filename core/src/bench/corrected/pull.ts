import type { AnyPath } from '../../path/powerpath/anyPath.js';

/** Pull for each ampere of one motor, and what it would be without losses of the train: N/A, or N·m/A where it turns. */
export interface PullFigures {
  readonly perAmpere: number;
  readonly lossless: number;
  /** Before it pulls at all, A. */
  readonly lost: number;
}

/**
 * Kt·n·(G/r), with and without the train's losses.
 *
 * @returns `undefined` where no plain motor turns it, or a figure is missing
 * @example pullFor(path)?.perAmpere > 0 //=> true
 */
export function pullFor(path: AnyPath): PullFigures | undefined {
  if (path.machine !== 'dc') return undefined;
  const { motor } = path.drive;
  const lossless = (motor.torqueConstant * path.motors * path.train.total) / path.radius;
  const perAmpere = lossless * path.train.efficiency;
  return Number.isFinite(perAmpere) ? { perAmpere, lossless, lost: motor.freeCurrent } : undefined;
}
