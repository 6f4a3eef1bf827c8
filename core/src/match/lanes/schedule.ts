import type { Go, MatchScript } from '../../plan/document/script.js';

/** A go as it comes: a go that is done again and again comes many times. */
export interface Due {
  readonly lane: number;
  readonly go: Go;
  /** When it was meant to begin, s. */
  readonly planned: number;
}

/** Repeats closer than this are no script any more. */
const LEAST_BETWEEN = 0.1;

/**
 * The goes of a script whose time is known from the start, in order; those that wait for another come with it.
 *
 * @example duesOf({ lanes: [] }, 150).length //=> 0
 */
export function duesOf({ lanes }: Pick<MatchScript, 'lanes'>, length: number): Due[] {
  const dues = lanes.flatMap(({ goes }, lane) =>
    goes.flatMap((go) => timesOf(go, length).map((planned) => ({ lane, go, planned }))),
  );
  return dues.sort((a, b) => a.planned - b.planned || a.lane - b.lane);
}

function timesOf({ when }: Go, length: number): readonly number[] {
  if (when.kind === 'at') return when.time < length ? [when.time] : [];
  if (when.kind !== 'every') return [];
  const every = Math.max(LEAST_BETWEEN, when.time);
  const last = Math.min(when.to, length);
  const count = Math.floor((last - when.from) / every + 1e-9) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => when.from + i * every).filter((time) => time < length);
}

/** The goes that wait for another to begin or to end. */
export const waitingFor = (
  { lanes }: Pick<MatchScript, 'lanes'>,
  id: string,
  kind: 'after' | 'with',
): readonly { readonly lane: number; readonly go: Go; readonly wait: number }[] =>
  lanes.flatMap(({ goes }, lane) =>
    goes.flatMap((go) =>
      go.when.kind === kind && go.when.go === id ? [{ lane, go, wait: Math.max(0, go.when.wait) }] : [],
    ),
  );

/** A go that is not there by then, or by so many times what it may take, is given up. s */
const LONGEST_GO = 60;
const PATIENCE = 3;

/**
 * After so long a go that has not got there is given up. s
 *
 * @param asked what its job may take, s
 * @example givenUpAfter(30) //=> 90
 */
export const givenUpAfter = (asked: number): number => Math.max(LONGEST_GO, PATIENCE * asked);

/** Keeps dues in the order of their times; of two at one time the one that was there comes first. */
export function insertDue(dues: Due[], due: Due): void {
  const later = dues.findIndex(({ planned }) => planned > due.planned);
  dues.splice(later < 0 ? dues.length : later, 0, due);
}
