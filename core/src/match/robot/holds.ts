import type { MatchResult } from '../lanes/result.js';

/** A stretch between goes in which a lane still draws: what it moved is held there. */
export interface Hold {
  readonly from: number;
  readonly to: number;
  /** At its beginning, at the pack, A. */
  readonly current: number;
}

/** Who draws less than this holds nothing, A; and shorter stretches are no holding, s. */
const LEAST_HELD_CURRENT = 0.05;
const LEAST_HELD = 0.3;
/** Ends that are nearer than this are one, s. */
const HAIR = 1e-6;

/** The stretches in which a lane, by its number, holds between its goes; in order. */
export function holdsOf({ samples, goes, length }: MatchResult, lane: number): readonly Hold[] {
  const drawn = samples.lanes[lane] ?? [];
  const busy = goes.flatMap(({ lane: of, began, ended }) =>
    of === lane && began !== undefined ? [[began - HAIR, (ended ?? began) - HAIR] as const] : [],
  );
  const found: { from: number; to: number; current: number }[] = [];
  samples.times.forEach((time, k) => {
    const next = samples.times[k + 1] ?? length;
    if (!(drawn[k]! > LEAST_HELD_CURRENT)) return;
    if (busy.some(([from, to]) => time >= from && time < to)) return;
    const last = found.at(-1);
    if (last && time - last.to < HAIR) last.to = next;
    else found.push({ from: time, to: next, current: drawn[k]! });
  });
  return found.filter(({ from, to }) => to - from > LEAST_HELD);
}
