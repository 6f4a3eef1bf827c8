/** One rung of a ladder of rates: whether it kept its steps there. */
export interface StepLadderReading {
  readonly rate: number;
  readonly kept: boolean;
}

export interface StepLadder {
  /** Fastest rate that was kept with nothing lost below it, and the slowest that was lost; a second. */
  readonly kept: number | undefined;
  readonly lost: number | undefined;
  /** Rates that were lost under one that was kept: a resonance, or a bad reading. */
  readonly between: readonly number[];
}

/**
 * How far a motor that takes pulses keeps its steps.
 *
 * @example stepLadderOf([{ rate: 400, kept: true }, { rate: 800, kept: true }, { rate: 1200, kept: false }]) //=> { kept: 800, lost: 1200, between: [] }
 */
export function stepLadderOf(readings: readonly StepLadderReading[]): StepLadder {
  const rates = (kept: boolean): readonly number[] =>
    readings.filter((one) => one.kept === kept).map(({ rate }) => rate);
  const highest = Math.max(...rates(true));
  const between = rates(false).filter((rate) => rate < highest);
  const firstLost = Math.min(...rates(false));
  const sure = rates(true).filter((rate) => rate < firstLost);
  return {
    kept: sure.length > 0 ? Math.max(...sure) : undefined,
    lost: Number.isFinite(firstLost) ? firstLost : undefined,
    between: [...new Set(between)].sort((a, b) => a - b),
  };
}
