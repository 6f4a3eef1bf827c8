import { currentChoice, partIdsOf, piecesIn, type MachineDrive, type Plan } from './plan.js';
import type { Part, PartCopy } from './part.js';

/** What makes two copies the same part: where they were taken from, else their name. */
export const sameKey = ({ shelfId, part }: Pick<PartCopy, 'shelfId' | 'part'>): string =>
  shelfId ?? `${part.kind}:${part.name}`;

/** Marks of the shelf that a plan does not carry: what others here use, by `sameKey`. */
export type CommonHere = ReadonlySet<string>;

export const commonOn = (
  shelf: readonly { readonly id: string; readonly part: Part; readonly common?: boolean }[],
): CommonHere => new Set(shelf.filter(({ common }) => common).map(({ id, part }) => sameKey({ shelfId: id, part })));

/**
 * How many pieces of each part a drive takes: one board serves all motors, each joint has servos of its own.
 *
 * @example piecesOf(currentChoice(mast).drive) //=> [['motor-1', 1], ['controller-1', 1]]
 */
export const piecesOf = (drive: MachineDrive): readonly (readonly [partId: string, pieces: number])[] =>
  partIdsOf(drive).map((id) => [id, piecesIn(drive)] as const);

/** Pieces of each part that the plan's other mechanisms take in the choices in force, by `sameKey`. */
export function usedElsewhere(plan: Plan, mechanismId: string): ReadonlyMap<string, number> {
  const used = new Map<string, number>();
  for (const mechanism of plan.mechanisms) {
    if (mechanism.id === mechanismId) continue;
    for (const [id, pieces] of piecesOf(currentChoice(mechanism).drive)) {
      const copy = plan.parts[id];
      if (copy) used.set(sameKey(copy), (used.get(sameKey(copy)) ?? 0) + pieces);
    }
  }
  return used;
}

/**
 * Pieces that are still to be bought: what is owned and not used elsewhere is there.
 *
 * @example toBuy(4, 3, 1) //=> 2
 */
export const toBuy = (pieces: number, owned: number | undefined, used: number | undefined): number =>
  Math.max(0, pieces - Math.max(0, (owned ?? 0) - (used ?? 0)));

/** What so many pieces of a part still cost; `undefined` where some must be bought and the price is not known. */
export function stillToPay(part: Part, pieces: number, used = 0): number | undefined {
  const missing = toBuy(pieces, part.owned, used);
  if (missing === 0) return 0;
  return part.price === undefined ? undefined : missing * part.price.si;
}
