import { curveFit, type Fit, type Model } from './fit.js';
import { measuredOf, type MeasuredFigure } from './measured.js';

export interface WarmthTrial {
  /** Of the case to the air, K/W; of all that warms with it, J/K. */
  readonly caseToAir: MeasuredFigure;
  readonly caseCapacity: MeasuredFigure;
  readonly fit: Fit;
}

const TWO_THIRDS = 0.63;

/** T = Ta + W·R·(1 − e^(−t/(R·C))) */
const warming = (ambient: number, watts: number): Model => ({
  at: ([resistance, capacity], time) => ambient - watts * resistance! * Math.expm1(-time / (resistance! * capacity!)),
  slopes: ([resistance, capacity], time) => {
    const u = time / (resistance! * capacity!);
    const left = Math.exp(-u);
    return [watts * (1 - left - left * u), (-watts * resistance! * left * u) / capacity!];
  },
});

/**
 * A case warmed by steady watts, °C against seconds: one lump.
 *
 * @throws RangeError with fewer than two readings, or nothing that warms
 * @example fitWarmth(20, 10, [{ time: 0, temperature: 20 }, { time: 500, temperature: 32.64 }, { time: 1000, temperature: 37.29 }, { time: 2000, temperature: 39.63 }]).caseToAir.value //=> 2
 */
export function fitWarmth(
  ambient: number,
  watts: number,
  readings: readonly { readonly time: number; readonly temperature: number }[],
): WarmthTrial {
  const hottest = Math.max(...readings.map(({ temperature }) => temperature - ambient));
  const longest = Math.max(...readings.map(({ time }) => time));
  if (!(watts > 0 && hottest > 0 && longest > 0)) throw new RangeError('nothing warms: no rise, no watts or no time');
  const guess = (1.1 * hottest) / watts;
  // Two thirds of the way after one time constant.
  const near = readings.find(({ temperature }) => temperature - ambient > TWO_THIRDS * hottest)?.time ?? longest;
  const constant = near > 0 ? near : longest / 2;
  const fit = curveFit(
    readings.map(({ time }) => time),
    readings.map(({ temperature }) => temperature),
    warming(ambient, watts),
    [guess, constant / guess],
  );
  return { caseToAir: measuredOf(fit, 0), caseCapacity: measuredOf(fit, 1), fit };
}
