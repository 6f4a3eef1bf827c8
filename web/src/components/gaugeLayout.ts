import type { Rung } from '@rough-gear/core';

/** The scale of the gauge: multiples from half to ten times the job, logarithmic. */
export const LEAST = 0.5;
export const MOST = 10;
export const NAMED_BELOW = 3;
const MOST_NAMED = 7;

/** Height of a multiple from the top of a scale of a given height. */
export function heightOf(multiple: number, height: number): number {
  const within = Math.min(MOST, Math.max(LEAST, multiple));
  return (height * Math.log(MOST / within)) / Math.log(MOST / LEAST);
}

export interface GaugeRow {
  readonly rung: Rung;
  /** Where its mark is. */
  readonly mark: number;
  /** Where its label is: pushed apart so that none overlap. */
  readonly label: number;
}

export interface GaugeLayout {
  readonly rows: readonly GaugeRow[];
  /** Marks on the scale that have no name of their own. */
  readonly folded: readonly Rung[];
  readonly beyond: readonly Rung[];
  readonly outOfReach: readonly Rung[];
  readonly notKnown: readonly Rung[];
}

/** Room under the job's line that its own words take. */
const JOB_WORDS = 20;

/**
 * Places the rungs: everything under 3× is named, above that as many as fit; beyond the scale they
 * are counted, out-of-reach ones folded. No label stands on the job's line.
 */
export function layoutGauge(rungs: readonly Rung[], height: number, rowHeight: number, expanded: boolean): GaugeLayout {
  const known = rungs.filter((rung) => rung.multiple !== undefined && !rung.outOfReach);
  const beyond = known.filter((rung) => rung.multiple! > MOST);
  const within = known.filter((rung) => rung.multiple! <= MOST);
  const low = within.filter((rung) => rung.multiple! < NAMED_BELOW);
  const high = within.filter((rung) => rung.multiple! >= NAMED_BELOW);
  const named = expanded ? within : [...low, ...high.slice(0, Math.max(0, MOST_NAMED - low.length))];
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

/** Labels at their marks, moved no further than needed so that each has a row's height to itself. */
function pushApart(
  marks: readonly { rung: Rung; mark: number }[],
  height: number,
  rowHeight: number,
): readonly GaugeRow[] {
  const labels = marks.map(({ mark }) => mark);
  const jobLine = heightOf(1, height);
  for (let pass = 0; pass < 60; pass++) {
    let moved = false;
    for (let i = 1; i < labels.length; i++) {
      const lacking = rowHeight - (labels[i]! - labels[i - 1]!);
      if (lacking > 0.01) {
        labels[i - 1]! -= lacking / 2;
        labels[i]! += lacking / 2;
        moved = true;
      }
    }
    marks.forEach(({ rung }, i) => {
      const [least, most] =
        rung.multiple! >= 1
          ? [rowHeight / 2 - 4, jobLine - rowHeight / 2 - 1]
          : [jobLine + JOB_WORDS + rowHeight / 2, Infinity];
      labels[i] = Math.min(most, Math.max(least, labels[i]!));
    });
    if (!moved) break;
  }
  return marks.map(({ rung, mark }, i) => ({ rung, mark, label: labels[i]! }));
}
