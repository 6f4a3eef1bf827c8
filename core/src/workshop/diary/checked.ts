import { entriesOf, lastOf, type CheckedEntry, type DiaryEntry } from './entry.js';

/**
 * Matches that were played, each once, whoever said so.
 *
 * @example matchesPlayed([]).length //=> 0
 */
export const matchesPlayed = (diary: readonly DiaryEntry[]): readonly number[] =>
  [...new Set(entriesOf(diary, 'played').map(({ match }) => match))].sort((a, b) => a - b);

/** The match that is next: one after the last that was played. */
export const nextMatch = (diary: readonly DiaryEntry[]): number => Math.max(0, ...matchesPlayed(diary)) + 1;

/** What was said of each thing before a match. */
export const ticksFor = (diary: readonly DiaryEntry[], match: number): ReadonlyMap<string, CheckedEntry> =>
  lastOf(
    entriesOf(diary, 'checked').filter((entry) => entry.match === match),
    ({ check }) => check,
  );

/** Whether a thing was looked at and is well, or new. */
export const isDone = (tick: Pick<CheckedEntry, 'state'> | undefined): boolean =>
  tick?.state === 'fine' || tick?.state === 'new part';

/** Faults that nobody has mended: of a thing of which the last word is that. */
export const openFaults = (diary: readonly DiaryEntry[]): readonly CheckedEntry[] =>
  [
    ...lastOf(
      entriesOf(diary, 'checked').filter(({ state }) => state !== 'open'),
      ({ check }) => check,
    ).values(),
  ].filter(({ state }) => state === 'fault');

/** Matches that a thing has seen since it was new. */
export function matchesSinceNew(diary: readonly DiaryEntry[], check: string): number {
  const renewed = entriesOf(diary, 'checked')
    .filter((entry) => entry.check === check && entry.state === 'new part')
    .at(-1);
  return matchesPlayed(diary).filter((match) => !renewed || match >= renewed.match).length;
}
