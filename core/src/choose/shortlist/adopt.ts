import { choiceAt, mechanismById } from '../../plan/document/place.js';
import { besideChanges } from '../../path/edits/choices.js';
import { withoutUnused } from '../../path/edits/unused.js';
import { LONGEST_NAME } from '../../plan/document/most.js';
import { digits } from '../../plan/words/show.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import { currentChoice, type MachineDrive, type Plan } from '../../plan/document/plan.js';
import type { Found } from './found.js';

/**
 * "2 × brushed 12 V, 64 mm can at 9.4:1"
 *
 * @example foundWords({ motors: 2, motor: 'Brushed 64', total: 9 }) //=> '2 × Brushed 64 at 9:1'
 */
export const foundWords = ({ motors, motor, total }: Pick<Found, 'motors' | 'motor' | 'total'>): string =>
  `${motors === 1 ? '' : `${motors} × `}${motor} at ${digits(total, 3)}:1`;

/** In place of the choice in force, or beside it as another, which leaves the one in force and the robot's pack alone. */
export type AdoptAs = 'replace' | 'beside';

/**
 * The changes that put a design found into the plan, under a name of its own. Parts that nothing refers to any more go.
 * Throws where it shall stand beside as many choices as are kept.
 */
export function adoptFound(plan: Plan, mechanismId: string, found: Found, as: AdoptAs): readonly Change[] {
  if (as === 'beside') {
    const name = foundWords(found).slice(0, LONGEST_NAME);
    return besideChanges(plan, mechanismId, withFreeIds(plan, found.changes), name);
  }
  const changes = inPlace(plan, mechanismId, found);
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}

/** The changes that put a design in place of the choice in force; what nothing uses any more still stands. */
export function inPlace(plan: Plan, mechanismId: string, found: Found): readonly Change[] {
  const asFound = withFreeIds(plan, found.changes);
  const made = currentChoice(mechanismById(applyChanges(plan, asFound), mechanismId));
  const at = choiceAt(plan, mechanismById(plan, mechanismId));
  const name = foundWords(found).slice(0, LONGEST_NAME);
  return [...asFound.filter((change) => change.at[0] !== 'mechanisms'), { at, to: { ...made, name } }];
}

/** Ids that were free when a design was found, and are another part's now, give way to others. */
function withFreeIds(plan: Plan, changes: readonly Change[]): readonly Change[] {
  const packs = plan.supply.flatMap((node) => (node.kind === 'pack' ? [node.part] : []));
  const taken = changes.flatMap(({ at: [place, id], to }) =>
    place === 'parts' && plan.parts[id!] && !packs.includes(String(id)) && !same(plan.parts[id!], to)
      ? [String(id)]
      : [],
  );
  return taken.reduce<readonly Change[]>((all, old) => {
    const free = freshId(applyChanges(plan, all), old.replace(/-\d+$/, ''));
    return all.map(({ at, to }) =>
      at[0] === 'parts' && at[1] === old
        ? { at: ['parts', free], to }
        : { at, to: at.at(-1) === 'drive' ? withId(to as MachineDrive, old, free) : to },
    );
  }, changes);
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const withId = (drive: MachineDrive, old: string, free: string): MachineDrive =>
  Object.fromEntries(
    Object.entries(drive).map(([key, value]) => [key, value === old ? free : value]),
  ) as unknown as MachineDrive;
