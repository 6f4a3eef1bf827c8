import type { Figures, WantId } from '../../plan/document/want.js';
import { costOf, dominates } from '../wants/wants.js';

/**
 * Costs of some figures, in the order of the wants.
 *
 * @example costsOf(['time', 'mass'], { time: 1.5, mass: 2 }) //=> [1.5, 2]
 */
export const costsOf = (wants: readonly WantId[], figures: Figures): readonly number[] =>
  wants.map((want) => costOf(want, figures));

/** The Pareto front of a search: designs of which none is beaten by another of its group. A new one throws out what it beats there. */
export class Front<T> {
  private members: { readonly item: T; readonly costs: readonly number[]; readonly group: string | undefined }[] = [];

  /** Whether some member is at least as good in everything, and better in something. */
  beats(costs: readonly number[], group?: string): boolean {
    return this.members.some((member) => member.group === group && dominates(member.costs, costs));
  }

  /** Takes an item in. Gives back how many it threw out; `undefined` where it is beaten itself. */
  offer(item: T, costs: readonly number[], group?: string): number | undefined {
    if (this.beats(costs, group)) return undefined;
    const before = this.members.length;
    this.members = this.members.filter((member) => member.group !== group || !dominates(costs, member.costs));
    const out = before - this.members.length;
    this.members.push({ item, costs, group });
    return out;
  }

  isEmpty(): boolean {
    return this.members.length === 0;
  }

  items(): readonly T[] {
    return this.members.map(({ item }) => item);
  }
}

/**
 * The Pareto front of two wants: the designs that no other beats in both. They are ordered from the best in the first want
 * to the best in the second, and of those that cost the same one is kept.
 */
export function edgeOf<T extends { readonly figures: Figures }>(
  list: readonly T[],
  x: WantId,
  y: WantId,
): readonly T[] {
  const known = list
    .map((item) => ({ item, at: costsOf([x, y], item.figures) as readonly [number, number] }))
    .filter(({ at }) => at.every(Number.isFinite))
    .sort((a, b) => a.at[0] - b.at[0] || a.at[1] - b.at[1]);
  let least = Infinity;
  return known.flatMap(({ item, at: [, cost] }) => {
    if (!(cost < least)) return [];
    least = cost;
    return [item];
  });
}
