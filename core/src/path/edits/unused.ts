import { applyChanges, type Change } from '../../plan/document/change.js';
import { partIdsOf, type Plan } from '../../plan/document/plan.js';
import type { SupplyNode } from '../../plan/document/supply.js';

/**
 * What a change has left without use, taken away: branches and rails that something hung on before and nothing does
 * any more, and then the copies of parts that no drive and no supply refers to. A branch that nothing ever hung on stays.
 */
export function withoutUnused(before: Plan, after: Plan): readonly Change[] {
  const supply = suppliesLeft(after.supply, usedNodes(before), usedNodes(after));
  const changes: readonly Change[] = supply.length < after.supply.length ? [{ at: ['supply'], to: supply }] : [];
  return [...changes, ...withoutUnusedParts(applyChanges(after, changes))];
}

/** The changes that take away copies of parts that no drive and no supply refers to. */
export function withoutUnusedParts({ mechanisms, supply, parts }: Plan): readonly Change[] {
  const drives = mechanisms.flatMap(({ choices }) => choices.map(({ drive }) => drive));
  const used = new Set([
    ...drives.flatMap(partIdsOf),
    ...drives.flatMap((drive) => (drive.kind === 'step' ? [drive.board] : [])),
    ...supply.flatMap((node) => {
      if (node.kind === 'pack') return [node.part];
      if (node.kind === 'rail') return node.board === undefined ? [] : [node.board];
      return node.breaker === undefined ? [] : [node.breaker];
    }),
  ]);
  return Object.keys(parts)
    .filter((id) => !used.has(id))
    .map((id) => ({ at: ['parts', id] }));
}

/** The nodes that drives hang on. */
const usedNodes = ({ mechanisms }: Plan): ReadonlySet<string> =>
  new Set(mechanisms.flatMap(({ choices }) => choices.map(({ drive }) => drive.node)));

/** From the ends inwards: a branch whose last rail went may have nothing left either. */
function suppliesLeft(
  supply: readonly SupplyNode[],
  was: ReadonlySet<string>,
  is: ReadonlySet<string>,
): readonly SupplyNode[] {
  const gone = supply.filter(
    ({ id, kind }) =>
      (kind === 'branch' || kind === 'rail') &&
      was.has(id) &&
      !is.has(id) &&
      !supply.some((other) => 'parent' in other && other.parent === id),
  );
  if (gone.length === 0) return supply;
  const parents = gone.flatMap((node) => ('parent' in node ? [node.parent] : []));
  return suppliesLeft(
    supply.filter((node) => !gone.includes(node)),
    new Set([...was, ...parents]),
    is,
  );
}
