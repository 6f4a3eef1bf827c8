import { linearFit, type Fit } from './fit.js';
import { measuredOf, type MeasuredFigure } from './measured.js';

/** A pulse that was sent and the angle measured, and from which side it was come to. */
export interface SidedPair {
  readonly pulse: number;
  readonly angle: number;
  readonly way: 'up' | 'down';
}

export interface ServoLine {
  /** Angle at no pulse and for each second of it, rad and rad/s. */
  readonly atZero: MeasuredFigure;
  readonly perSecond: MeasuredFigure;
  /** Up less down: what its gears leave free and its controller does not answer, rad. */
  readonly play: MeasuredFigure;
  readonly fit: Fit;
}

/**
 * Angle against pulse come to from both sides: one line, half of the play above it on the way up and below it on the way down.
 *
 * @throws RangeError where both ways, or two pulses, are missing
 * @example fitServoLine([{ pulse: 0.001, angle: 0.01, way: 'up' }, { pulse: 0.002, angle: 1.01, way: 'up' }, { pulse: 0.001, angle: -0.01, way: 'down' }, { pulse: 0.002, angle: 0.99, way: 'down' }]).play.value //=> 0.02
 */
export function fitServoLine(pairs: readonly SidedPair[]): ServoLine {
  const fit = linearFit(
    pairs.map(({ pulse, way }) => [1, pulse, way === 'up' ? 0.5 : -0.5]),
    pairs.map(({ angle }) => angle),
  );
  return {
    atZero: measuredOf(fit, 0),
    perSecond: measuredOf(fit, 1),
    play: measuredOf(fit, 2),
    fit,
  };
}

/**
 * Travel found against travel typed: how many standard errors apart, over the pulses it has.
 *
 * @example travelApart({ perSecond: { value: 1000, error: 5 } }, 0.002, 2.02) //=> 2
 */
export const travelApart = ({ perSecond }: Pick<ServoLine, 'perSecond'>, pulses: number, typed: number): number =>
  Math.abs(perSecond.value * pulses - typed) / (perSecond.error * pulses);
