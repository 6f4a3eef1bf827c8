import type { WantId } from '../../plan/document/want.js';
import type { Found } from './found.js';
import type { FallenGroup } from './fallen.js';
import { costsOf, Front } from './front.js';
import type { Shortlist } from './search.js';

/** Puts the lots of one search together: one front, and sums of what was decided. */
export function mergeShortlists(lots: readonly Shortlist[], wants: readonly WantId[]): Shortlist {
  const front = new Front<Found>();
  let beaten = 0;
  const all = lots.flatMap((lot) => lot.front).sort((a, b) => (a.key < b.key ? -1 : 1));
  for (const one of all) beaten += front.offer(one, costsOf(wants, one.figures), one.group) ?? 1;
  const sum = (of: (lot: Shortlist) => number) => lots.reduce((total, lot) => total + of(lot), 0);
  return {
    front: [...front.items()].sort((a, b) => (a.key < b.key ? -1 : 1)),
    tried: sum((lot) => lot.tried),
    judged: sum((lot) => lot.judged),
    excluded: sum((lot) => lot.excluded),
    beaten: beaten + sum((lot) => lot.beaten),
    fallen: mergeFallen(lots.flatMap((lot) => lot.fallen)),
    share: lots.length === 0 ? 1 : sum((lot) => lot.share) / lots.length,
    done: lots.every((lot) => lot.done),
  };
}

function mergeFallen(groups: readonly FallenGroup[]): readonly FallenGroup[] {
  const byReason = new Map<string, FallenGroup>();
  for (const { reason, candidates, drives } of groups) {
    const there = byReason.get(reason);
    byReason.set(reason, {
      reason,
      candidates: candidates + (there?.candidates ?? 0),
      drives: drives + (there?.drives ?? 0),
    });
  }
  return [...byReason.values()].sort((a, b) => b.candidates - a.candidates || (a.reason < b.reason ? -1 : 1));
}
