import { choiceAt, mechanismById } from '../plan/place.js';
import { besideChanges, LONGEST_NAME } from '../plan/besideChoice.js';
import { digits } from '../words/show.js';
import { applyChanges, type Change } from '../plan/change.js';
import { currentChoice, partIdsOf, type Plan } from '../plan/plan.js';
import type { Found } from './found.js';

/**
 * "2 × brushed 12 V, 64 mm can at 9.4:1"
 *
 * @example foundWords({ motors: 2, motor: 'Brushed 64', total: 9 }) //=> '2 × Brushed 64 at 9:1'
 */
export const foundWords = ({ motors, motor, total }: Pick<Found, 'motors' | 'motor' | 'total'>): string =>
  `${motors === 1 ? '' : `${motors} × `}${motor} at ${digits(total, 3)}:1`;

/** In place of the choice in force, or beside it as another. */
export type AdoptAs = 'replace' | 'beside';

/**
 * The changes that put a design found into the plan, under a name of its own. Parts that nothing refers to any more go.
 * Throws where it shall stand beside as many choices as are kept.
 */
export function adoptFound(plan: Plan, mechanismId: string, found: Found, as: AdoptAs): readonly Change[] {
  const mechanism = mechanismById(plan, mechanismId);
  const name = foundWords(found).slice(0, LONGEST_NAME);
  if (as === 'beside') return besideChanges(plan, mechanismId, found.changes, name);
  const changed = applyChanges(plan, found.changes);
  const made = currentChoice(mechanismById(changed, mechanismId));
  const outside = found.changes.filter(({ at }) => at[0] !== 'mechanisms');
  const changes: readonly Change[] = [...outside, { at: choiceAt(plan, mechanism), to: { ...made, name } }];
  return [...changes, ...withoutUnused(applyChanges(plan, changes))];
}

/** The changes that take away copies of parts that no drive and no supply refers to. */
export function withoutUnused(plan: Plan): readonly Change[] {
  const used = new Set([
    ...plan.mechanisms.flatMap(({ choices }) => choices.flatMap(({ drive }) => partIdsOf(drive))),
    ...plan.mechanisms.flatMap(({ choices }) =>
      choices.flatMap(({ drive }) => (drive.kind === 'step' ? [drive.board] : [])),
    ),
    ...plan.supply.flatMap((node) => {
      if (node.kind === 'pack') return [node.part];
      return 'breaker' in node && node.breaker !== undefined ? [node.breaker] : [];
    }),
  ]);
  return Object.keys(plan.parts)
    .filter((id) => !used.has(id))
    .map((id) => ({ at: ['parts', id] }));
}
