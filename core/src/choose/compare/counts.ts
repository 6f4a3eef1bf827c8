import type { Change } from '../../plan/document/change.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { digits } from '../../plan/words/show.js';
import { withDrivenShare } from '../../path/edits/driven.js';
import { designOf } from './place.js';
import type { Variant } from './variant.js';

/** As many are compared at least; more where the plan has more, and one beyond that. */
const AT_LEAST = 4;
const MOST_MOTORS = 12;
const WORDS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

const inWords = (count: number): string => WORDS[count] ?? String(count);

/**
 * One motor and more on this job. `dead` takes one away after the design is made; `shared` is a pack-side limit that all
 * motors share: each gets its part of what one has now. The plan as it is stands among them, or in front where one of
 * those is asked.
 */
export function motorCounts(plan: Plan, mechanismId: string, dead: boolean, shared: boolean): readonly Variant[] {
  const { choice, choiceAt } = designOf(plan, mechanismId);
  const drive = dcDriveOf(choice);
  const part = plan.parts[drive.controller]?.part;
  const limit = (drive.supplyLimit ?? (part?.kind === 'controller' ? part.supplyLimit : undefined))?.si;
  const now = drive.motors;
  const most = Math.min(MOST_MOTORS, Math.max(AT_LEAST, now + 1));
  const others = Array.from({ length: most }, (_, i) => i + 1).map((count): Variant => {
    const alive = dead ? count - 1 : count;
    const changes: Change[] = [{ at: [...choiceAt, 'drive', 'motors'], to: Math.max(1, alive) }];
    // On wheels a dead one still turns along: its losses are the others' load.
    if (dead && choice.output.kind === 'wheels')
      changes.push({ at: [...choiceAt, 'output', 'dragged'], to: (choice.output.dragged ?? 0) + 1 });
    if (shared && limit !== undefined) {
      const each = (limit * now) / count;
      changes.push({ at: [...choiceAt, 'drive', 'supplyLimit'], to: quantityOf(each, `${digits(each)} A`) });
    }
    const label = `${inWords(count)}${dead ? `, ${alive === 0 ? 'and it is dead' : 'one dead'}` : ''}`;
    return {
      id: `count-${count}`,
      label,
      changes: withDrivenShare(plan, mechanismId, changes),
      note: alive === 0 ? 'nothing moves any more' : undefined,
      dead: alive === 0 ? true : undefined,
    };
  });
  const asItIs: Variant = { id: 'now', label: `as it is, ${inWords(now)}`, changes: [] };
  return dead || shared ? [asItIs, ...others] : others.map((one, i) => (i + 1 === now ? asItIs : one));
}
