import type { Verdict } from '@rough-gear/core';

/** What a gauge shows of a limit, of a mechanism or of the whole robot. */
export interface GaugeRung {
  readonly id: string;
  readonly name: string;
  readonly verdict: Verdict;
  readonly multiple?: number;
  readonly wants: number;
  readonly outOfReach: boolean;
}

/** Limits with the first to give, and what is asked of them. */
export interface GaugeLadder<R extends GaugeRung> {
  readonly rungs: readonly R[];
  readonly first?: R;
  readonly demand?: number;
  readonly speed?: number;
  readonly ceiling?: string;
}

/** The scale of the gauge: multiples from half to ten times the job, logarithmic. */
export const LEAST = 0.5;
export const MOST = 10;
export const NAMED_BELOW = 3;

/** Height of a multiple from the top of a scale of a given height. */
export function heightOf(multiple: number, height: number): number {
  const within = Math.min(MOST, Math.max(LEAST, multiple));
  return (height * Math.log(MOST / within)) / Math.log(MOST / LEAST);
}

interface GaugeRow<R extends GaugeRung> {
  readonly rung: R;
  /** Where its mark is. */
  readonly mark: number;
  /** Where its label is: pushed apart so that none overlap. */
  readonly label: number;
}

export interface GaugeLayout<R extends GaugeRung> {
  readonly rows: readonly GaugeRow<R>[];
  /** Marks on the scale that have no name of their own. */
  readonly folded: readonly R[];
  readonly beyond: readonly R[];
  readonly outOfReach: readonly R[];
  readonly notKnown: readonly R[];
}

/** Room under the job's line that its own words take. */
const JOB_WORDS = 20;

/** A scale is never lower than this. */
const LOWEST_SCALE = 84;

/** How high the scale may be in a given height, so that what gives way has its rows under the job's line. */
export function scaleFor<R extends GaugeRung>(rungs: readonly R[], height: number, rowHeight: number): number {
  const under = rungs.filter(
    ({ multiple, outOfReach }) => multiple !== undefined && multiple < 1 && !outOfReach,
  ).length;
  if (under === 0) return height;
  const aboveJob = height - JOB_WORDS - under * rowHeight;
  const most = aboveJob / heightOf(1, 1);
  return Math.min(height, Math.max(LOWEST_SCALE, most));
}

/**
 * Places the rungs: everything under 3× is named where there is room, and the least where all is above that; the rest is
 * folded, beyond the scale counted, out-of-reach ones too. No label stands on the job's line.
 */
export function layoutGauge<R extends GaugeRung>(
  rungs: readonly R[],
  height: number,
  rowHeight: number,
  expanded: boolean,
): GaugeLayout<R> {
  const known = rungs.filter((rung) => rung.multiple !== undefined && !rung.outOfReach);
  const beyond = known.filter((rung) => rung.multiple! > MOST);
  const within = known.filter((rung) => rung.multiple! <= MOST);
  const low = within.filter((rung) => rung.multiple! < NAMED_BELOW);
  const high = within.filter((rung) => rung.multiple! >= NAMED_BELOW);
  const room = Math.floor(heightOf(1, height) / rowHeight);
  // A low gauge has no room for all under 3×: the least stay, the job's line keeps clear.
  const over = low.filter((rung) => rung.multiple! >= 1);
  const crowded = expanded ? [] : over.slice(Math.max(1, room));
  const named = expanded
    ? within
    : [...low.filter((rung) => !crowded.includes(rung)), ...(low.length > 0 ? [] : high.slice(0, 1))];
  return {
    rows: pushApart(
      [...named]
        .sort((a, b) => b.multiple! - a.multiple!)
        .map((rung) => ({ rung, mark: heightOf(rung.multiple!, height) })),
      height,
      rowHeight,
    ),
    folded: within.filter((rung) => !named.includes(rung)),
    beyond,
    outOfReach: rungs.filter((rung) => rung.outOfReach),
    notKnown: rungs.filter((rung) => rung.verdict === 'not known'),
  };
}

/**
 * Labels at their marks, moved apart so that each has a row's height to itself: those above the job's
 * line stack upwards from it, those below it downwards from its words.
 */
function pushApart<R extends GaugeRung>(
  marks: readonly { rung: R; mark: number }[],
  height: number,
  rowHeight: number,
): readonly GaugeRow<R>[] {
  const jobLine = heightOf(1, height);
  const above = marks.filter(({ rung }) => rung.multiple! >= 1);
  const below = marks.filter(({ rung }) => rung.multiple! < 1);
  let floor = jobLine - rowHeight / 2 - 1;
  const upwards = [...above].reverse().map(({ rung, mark }) => {
    const label = Math.min(mark, floor);
    floor = label - rowHeight;
    return { rung, mark, label };
  });
  let ceiling = jobLine + JOB_WORDS + rowHeight / 2;
  const downwards = below.map(({ rung, mark }) => {
    const label = Math.max(mark, ceiling);
    ceiling = label + rowHeight;
    return { rung, mark, label };
  });
  // What would stand above the scale is moved back down, as far as there is room.
  const rows = [...upwards].reverse();
  let top = rowHeight / 2 - 4;
  const fitting = rows.map((row) => {
    const label = Math.max(row.label, Math.min(top, jobLine));
    top = label + rowHeight;
    return { ...row, label };
  });
  return [...fitting, ...downwards];
}
