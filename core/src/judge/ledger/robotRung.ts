import { showMultiple } from '../../plan/words/show.js';
import { compareVerdicts, verdictOf, type Verdict } from '../evaluate/verdict.js';
import type { Words } from '../../plan/words/phrase.js';

/** What stands still when the volts sag. */
export type DipOf = 'cells' | 'boards' | 'controller';

/** What may give first on a whole robot. */
export type RobotRungId = DipOf | 'main-breaker' | 'branch' | 'rail' | 'charge' | 'heat' | 'late' | 'event';

/** One limit of the whole robot in a match. */
export interface RobotRung {
  readonly id: RobotRungId;
  /** The mechanism it is about; absent where it is about all. */
  readonly mechanism?: string;
  readonly name: string;
  readonly multiple: number;
  readonly wants: number;
  readonly verdict: Verdict;
  /** What stands behind it, with its numbers. */
  readonly sentence: Words;
  /** When it is at its worst, s. */
  readonly time?: number;
}

/** Margins wanted of a match; each is a choice. */
export const ROBOT_WANTS: Readonly<Record<RobotRungId, number>> = {
  boards: 1.2,
  cells: 1.2,
  controller: 1.2,
  'main-breaker': 1.2,
  branch: 1.2,
  rail: 1.2,
  charge: 1.3,
  heat: 1.1,
  late: 1,
  event: 1,
};

/** What usually mends it, cheapest first: where to look until a change is solved for. */
export const ROBOT_HINTS: Readonly<Record<RobotRungId, string>> = {
  boards:
    'begin one go later, or lower a pack-side limit of those that were on; then a ramp, shorter and thicker leads',
  cells: 'lower the pack-side limits of what draws longest, or take a bigger pack',
  controller: 'begin it when less else is on, or give its branch a thicker, shorter wire',
  'main-breaker': 'lower the pack-side limits of what draws most',
  branch: 'lower its pack-side limit, gear it deeper, or let it rest longer between goes',
  rail: 'let fewer of its servos move at once, or take a regulator that gives more',
  charge: 'a fresh pack before the next match, or lower limits on what takes most of the energy',
  heat: 'let it rest longer between goes, gear it deeper, or share the work among more motors',
  late: 'begin it when less else is on, or lower the pack-side limit of what pulls the volts down then',
  event: 'choose for all mechanisms at once within the event’s limits, or take something off',
};

export const robotRung = (stated: Omit<RobotRung, 'wants' | 'verdict'>): RobotRung => ({
  ...stated,
  wants: ROBOT_WANTS[stated.id],
  verdict: verdictOf(stated.multiple, ROBOT_WANTS[stated.id]),
});

/**
 * A limit of a robot as it is read, "Mast lift: in time 0.917×". What never gets there, or is not allowed at all, has no
 * multiple: its name alone says so.
 */
export const rungText = ({ name, multiple }: Pick<RobotRung, 'name' | 'multiple'>): string =>
  multiple > 0 ? `${name} ${showMultiple(multiple)}` : name;

/** The first to give in front: by verdict, then by how far each is from what is wanted of it. */
export const firstToGive = (rungs: readonly RobotRung[]): readonly RobotRung[] =>
  [...rungs].sort((a, b) => compareVerdicts(b.verdict, a.verdict) || a.multiple / a.wants - b.multiple / b.wants);

/** Of each kind the one that gives first: what a gauge has room for. Limits of the event are each of their own kind. */
export function worstOfEach(rungs: readonly RobotRung[]): readonly RobotRung[] {
  const kindOf = ({ id, name }: RobotRung): string => (id === 'event' ? `${id} ${name}` : id);
  return rungs.filter((rung, i) => rungs.findIndex((other) => kindOf(other) === kindOf(rung)) === i);
}
