import { matchesPlayed } from './checked.js';
import { entriesOf, lastOf, type DiaryEntry, type DiaryKind } from './entry.js';

/** Ticks of so many matches, the last ones, can still be looked at. */
const MATCHES_LOOKED_AT = 10;

type Said = Exclude<DiaryKind, 'pieces' | 'checked'>;
/** What is said anew again and again: about what it is said, so that the last word of it is found. */
const ABOUT: { readonly [K in Said]: (entry: Extract<DiaryEntry, { kind: K }>) => string } = {
  supplier: ({ line }) => line,
  money: () => '',
  'second ratio': ({ wheel }) => wheel,
  'typed in': ({ card }) => card,
  named: ({ part, key }) => JSON.stringify([part, key]),
  played: ({ match }) => String(match),
};

/**
 * The entries of a diary on which something rests: all pieces, the last word on everything else, the last new part of each
 * thing, and the ticks of the last ten matches. Whatever is asked of these is answered as by the whole diary, but what was
 * ticked before earlier matches; the others may be put away.
 *
 * @example stillCounts([]).length //=> 0
 */
export function stillCounts(diary: readonly DiaryEntry[]): readonly DiaryEntry[] {
  const checked = entriesOf(diary, 'checked');
  const from = matchesPlayed(diary).at(-MATCHES_LOOKED_AT) ?? 0;
  const about = ({ check }: { readonly check: string }): string => check;
  const kept = new Set<DiaryEntry>([
    ...entriesOf(diary, 'pieces'),
    ...lastWords(diary),
    ...lastOf(
      checked.filter(({ state }) => state !== 'open'),
      about,
    ).values(),
    ...lastOf(
      checked.filter(({ state }) => state === 'new part'),
      about,
    ).values(),
    ...checked.filter(({ match }) => match >= from),
  ]);
  return diary.filter((entry) => kept.has(entry));
}

const lastWords = (diary: readonly DiaryEntry[]): readonly DiaryEntry[] =>
  (Object.keys(ABOUT) as Said[]).flatMap((kind) => [
    ...lastOf(entriesOf(diary, kind), ABOUT[kind] as (entry: DiaryEntry) => string).values(),
  ]);
