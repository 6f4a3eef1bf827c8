import { applyChanges } from '../../plan/document/change.js';
import { freshAmong } from '../../plan/document/freshId.js';
import { mechanismById } from '../../plan/document/place.js';
import { currentChoice, type Plan, type Reason } from '../../plan/document/plan.js';
import { writeReason } from '../reasons/reasons.js';
import { measure } from '../../judge/evaluate/measure.js';
import { amount, say, worded, type Amount } from '../../plan/words/phrase.js';
import { digits, inMetric } from '../../plan/words/show.js';
import type { JointSums, MarchedChoice } from './choose.js';
import type { JointSchool } from './schools.js';

/**
 * The log's lines for a choice made for all at once: one for each mechanism that changes, with claims as any other.
 *
 * @param writtenAt ISO 8601; the core has no clock
 */
export function reasonsFor(
  plan: Plan,
  { taken, choice, changes }: MarchedChoice,
  today: JointSums,
  school: JointSchool,
  writtenAt: string,
  show: (amount: Amount) => string = inMetric,
): readonly Reason[] {
  const ids = new Set((plan.reasons ?? []).map(({ id }) => id));
  const after = applyChanges(plan, changes);
  const sums = ({ mass, price, motors }: JointSums) =>
    say`${amount(mass, 'mass')}, ${digits(price)} to spend, ${motors} motors`;
  const why = worded(say`Chosen for all mechanisms at once, ${school.name}: ${sums(choice)} for ${sums(today)}.`, show);
  return taken.flatMap(({ mechanism, found, label }): readonly Reason[] => {
    if (!found) return [];
    const id = freshAmong(ids, 'reason');
    ids.add(id);
    const was = mechanismById(plan, mechanism);
    const job = was.jobs[0]!.id;
    const over = { words: currentChoice(was).name, figures: measure(plan, was, job).figures };
    const chosen = { words: label, figures: found.figures };
    return [
      writeReason(
        { id, writtenAt, mechanism, job, choice: mechanismById(after, mechanism).current, chosen, over, why },
        show,
      ),
    ];
  });
}
