import type { Change } from '../../plan/document/change.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { digits } from '../../plan/words/show.js';
import { designOf } from './place.js';
import type { Variant } from './variant.js';

const MOST = 4;
const WORDS = ['none', 'one', 'two', 'three', 'four'];

/**
 * One to four motors on this job. `dead` takes one away after the design is made; `shared` is a pack-side
 * limit that all motors share: each gets its part of what one has now.
 */
export function motorCounts(plan: Plan, mechanismId: string, dead: boolean, shared: boolean): readonly Variant[] {
  const { choice, choiceAt } = designOf(plan, mechanismId);
  const drive = dcDriveOf(choice);
  const part = plan.parts[drive.controller]?.part;
  const limit = (drive.supplyLimit ?? (part?.kind === 'controller' ? part.supplyLimit : undefined))?.si;
  const now = drive.motors;
  return Array.from({ length: MOST }, (_, i) => i + 1).map((count): Variant => {
    const alive = dead ? count - 1 : count;
    const changes: Change[] = [{ at: [...choiceAt, 'drive', 'motors'], to: Math.max(1, alive) }];
    // On wheels a dead one still turns: its losses are the others' load.
    if (dead && choice.output.kind === 'wheels')
      changes.push({ at: [...choiceAt, 'output', 'dragged'], to: (choice.output.dragged ?? 0) + 1 });
    if (shared && limit !== undefined) {
      const each = (limit * now) / count;
      changes.push({ at: [...choiceAt, 'drive', 'supplyLimit'], to: quantityOf(each, `${digits(each)} A`) });
    }
    const label = `${WORDS[count]}${dead ? `, ${alive === 0 ? 'and it is dead' : 'one dead'}` : ''}`;
    return {
      id: `count-${count}`,
      label,
      changes,
      note: alive === 0 ? 'nothing moves any more' : undefined,
      dead: alive === 0 ? true : undefined,
    };
  });
}
