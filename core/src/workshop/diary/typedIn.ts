import type { CardLine, SetupCard } from '../cards/card.js';
import { amount, type Words } from '../../plan/words/phrase.js';
import { entriesOf, lastOf, type DiaryEntry, type TypedInEntry, type TypedValue } from './entry.js';

/** One setting that is not what was typed in any more. */
export interface Retype {
  readonly key: string;
  readonly label: string;
  /** Absent where it was not on the card then, or is not now. */
  readonly was?: Words;
  readonly now?: Words;
}

/** Whether a card was typed in, and what has moved on since. */
export interface TypedState {
  /** The last time; absent where it never was. */
  readonly entry?: TypedInEntry;
  readonly retype: readonly Retype[];
}

/** So many digits are typed in: what differs behind them is no change. */
const DIGITS = 4;

/** What a card says now, as the diary keeps it. */
export const valuesOf = ({ lines }: SetupCard): readonly TypedValue[] =>
  lines.map(({ key, label, value }) =>
    typeof value === 'string' ? { key, label, value } : { key, label, value: value.value, dimension: value.dimension },
  );

const wordsOf = ({ value, dimension }: TypedValue): Words =>
  typeof value === 'string' || dimension === undefined ? String(value) : [amount(value, dimension, DIGITS)];
const nowOf = ({ value }: CardLine): Words => (typeof value === 'string' ? value : [value]);

const same = (was: TypedValue, { value: now }: CardLine): boolean =>
  typeof now === 'string' || typeof was.value === 'string'
    ? was.value === now
    : was.value.toPrecision(DIGITS) === now.value.toPrecision(DIGITS);

/**
 * What of a card must be typed in anew: what reads otherwise than it did, what came, and what went.
 *
 * @example typedState(setupCards(plan)[0], []).retype.length //=> 0
 */
export function typedState(card: SetupCard, diary: readonly DiaryEntry[]): TypedState {
  const entry = lastOf(entriesOf(diary, 'typed in'), (one) => one.card).get(card.id);
  if (!entry) return { retype: [] };
  const before = new Map(entry.values.map((value) => [value.key, value]));
  const keys = new Set(card.lines.map(({ key }) => key));
  const changed = card.lines.flatMap((line): readonly Retype[] => {
    const was = before.get(line.key);
    if (was && same(was, line)) return [];
    return [{ key: line.key, label: line.label, was: was && wordsOf(was), now: nowOf(line) }];
  });
  const gone = entry.values
    .filter(({ key }) => !keys.has(key))
    .map((was): Retype => ({ key: was.key, label: was.label, was: wordsOf(was) }));
  return { entry, retype: [...changed, ...gone] };
}

/** What a kind of thing calls its settings, where the team said so: by the setting's key. */
export const namesFor = (diary: readonly DiaryEntry[], part: string): ReadonlyMap<string, string> =>
  new Map(
    [
      ...lastOf(
        entriesOf(diary, 'named').filter((one) => one.part === part),
        ({ key }) => key,
      ),
    ].flatMap(([key, { name }]) => (name === '' ? [] : [[key, name] as const])),
  );
