import type { Harness, SetupCard } from '@rough-gear/core';

/** "5", "1 to 4", "1, 3": numbers as people say them. */
function numbers(all: readonly number[]): string {
  const [first, last] = [all[0], all.at(-1)];
  if (first === undefined || last === undefined) return '';
  if (all.length > 2 && last - first === all.length - 1) return `${first} to ${last}`;
  return all.join(', ');
}

/** Where the things of a card hang: their slots of the board, and the channels that command them. */
export function placeOf({ mechanismId, kind }: SetupCard, { slots, channels }: Harness): string {
  if (mechanismId === undefined) return '';
  const own = channels.filter((channel) => channel.mechanismId === mechanismId).map(({ number }) => number);
  const at =
    kind === 'servo'
      ? []
      : slots.filter(({ mechanisms }) => mechanisms.includes(mechanismId)).map(({ number }) => number);
  const said = (word: string, all: readonly number[]): string =>
    all.length === 0 ? '' : `${word}${all.length > 1 ? 's' : ''} ${numbers(all)}`;
  return [said('slot', at), said('channel', own)].filter(Boolean).join(', ');
}
