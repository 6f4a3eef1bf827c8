import { linearFit, type Fit } from './fit.js';
import { measuredOf, type MeasuredFigure } from './measured.js';

export interface PackTrial {
  /** Without load, V; and of pack, leads and plugs, Ω. */
  readonly restVoltage: MeasuredFigure;
  readonly resistance: MeasuredFigure;
  readonly fit: Fit;
}

/**
 * A pack under two loads or more: V = Voc − I·Rp.
 *
 * @throws RangeError where the loads are too much alike
 * @example fitPack([{ current: 0, voltage: 12.6 }, { current: 50, voltage: 11.8 }]).resistance.value //=> 0.016
 */
export function fitPack(readings: readonly { readonly current: number; readonly voltage: number }[]): PackTrial {
  const fit = linearFit(
    readings.map(({ current }) => [1, current]),
    readings.map(({ voltage }) => voltage),
  );
  const slope = measuredOf(fit, 1);
  return { restVoltage: measuredOf(fit, 0), resistance: { value: -slope.value, error: slope.error }, fit };
}
