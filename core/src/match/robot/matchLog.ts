import { sumOverTime } from '../../models/numbers/overTime.js';
import type { Trial } from '../../bench/trials/trial.js';
import type { MatchResult } from '../lanes/result.js';

/** A log of a real match: seconds, and what stood there then. Lanes by their mechanisms’ ids. SI. */
export interface MatchLog {
  readonly times: readonly number[];
  readonly volts?: readonly (number | null)[];
  readonly current?: readonly (number | null)[];
  readonly lanes: ReadonlyMap<string, readonly (number | null)[]>;
}

/** A channel of a mechanism among the readings of a trial. */
export const laneColumn = (mechanism: string): string => `lane ${mechanism}`;
const LANE = /^lane (.+)$/;

/**
 * The log that a trial holds, its clock beginning with the match.
 *
 * @param begins when the match began by the log's own clock, s
 * @example matchLogOf({ readings: { time: [5, 6], current: [10, 20] } }, 5).times //=> [0, 1]
 */
export function matchLogOf({ readings }: Pick<Trial, 'readings'>, begins = 0): MatchLog {
  const rows = (readings['time'] ?? []).flatMap((time, row) => (time === null ? [] : [{ time: time - begins, row }]));
  rows.sort((a, b) => a.time - b.time);
  const of = (key: string) => {
    const column = readings[key];
    return column?.some((value) => value !== null) ? rows.map(({ row }) => column[row] ?? null) : undefined;
  };
  const lanes = Object.keys(readings).flatMap((key): readonly [string, readonly (number | null)[]][] => {
    const mechanism = LANE.exec(key)?.[1];
    const values = mechanism === undefined ? undefined : of(key);
    return mechanism === undefined || !values ? [] : [[mechanism, values]];
  });
  return {
    times: rows.map(({ time }) => time),
    volts: of('voltage'),
    current: of('current'),
    lanes: new Map(lanes),
  };
}

/** What flowed by a column, A·s, and the most of it, A; gaps are left out. */
function flowOf(times: readonly number[], values: readonly (number | null)[]): { charge: number; peak: number } {
  const points = values.flatMap((value, i) => (value === null ? [] : [{ time: times[i]!, value }]));
  return { charge: sumOverTime(points), peak: points.reduce((most, { value }) => Math.max(most, value), 0) };
}

/** One taker of a match as it was gone through and as it was logged: A·s and A. */
export interface LoggedShare {
  readonly name: string;
  readonly predicted: { readonly charge: number; readonly peak: number };
  readonly measured?: { readonly charge: number; readonly peak: number };
}

/**
 * Who took what, predicted and measured, the pack in all last. What the log has no channel for stands without a measure.
 *
 * @example loggedShares(match.result, matchLogOf(trial)).at(-1).name //=> 'the pack' …
 */
export function loggedShares({ lanes, samples }: MatchResult, log: MatchLog): readonly LoggedShare[] {
  const measuredOf = (values: readonly (number | null)[] | undefined) => values && flowOf(log.times, values);
  return [
    ...lanes.map(({ mechanism, name }, i) => ({
      name,
      predicted: flowOf(samples.times, samples.lanes[i]!),
      measured: measuredOf(log.lanes.get(mechanism)),
    })),
    { name: 'the pack', predicted: flowOf(samples.times, samples.current), measured: measuredOf(log.current) },
  ];
}
