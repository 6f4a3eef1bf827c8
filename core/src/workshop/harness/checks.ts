import type { Verdict } from '../../judge/evaluate/verdict.js';
import { compareVerdicts } from '../../judge/evaluate/verdict.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import { largestBreaker } from '../../models/protection/wire.js';
import { amount, say, type Words } from '../../plan/words/phrase.js';
import { unfusedIn, type FusedRun, type Harness } from './harness.js';

/** Something about the wires that is wrong, or that nobody has said. */
export interface HarnessCheck {
  readonly verdict: Exclude<Verdict, 'enough'>;
  readonly where: string;
  readonly sentence: Words;
}

/** The wire behind a breaker, and the plugs in it. */
function runChecks(where: string, { rated, gauge, length, connectorRated }: FusedRun): readonly HarnessCheck[] {
  const found: HarnessCheck[] = [];
  const tell = (verdict: HarnessCheck['verdict'], sentence: Words) => found.push({ verdict, where, sentence });
  if (gauge === undefined) tell('not known', 'Its wire has no gauge: nobody can tell whether the breaker protects it.');
  else if (rated !== undefined && largestBreaker(gauge) < rated)
    tell(
      'gives way',
      say`${amount(gauge, 'gauge')} typically goes behind ${amount(largestBreaker(gauge), 'current')} at most, and the breaker lets ${amount(rated, 'current')} through: a thicker wire, or a smaller breaker.`,
    );
  if (gauge !== undefined && length === undefined)
    tell('not known', 'Its wire has no length: it cannot be cut, and what it loses is not counted.');
  if (connectorRated !== undefined && rated !== undefined && connectorRated < rated)
    tell(
      'tight',
      say`Its plugs carry ${amount(connectorRated, 'current')} and the breaker lets ${amount(rated, 'current')} through.`,
    );
  return found;
}

/**
 * What is wrong with the wires of a robot as its plan says they are, the worst in front: two on one slot, a wire too thin
 * for its breaker, what has no breaker, signals without a common ground. Event rules and local codes decide beyond it.
 *
 * @example harnessChecks(plan, harnessOf(plan)).every(({ verdict }) => verdict !== 'gives way') //=> true
 */
export function harnessChecks(plan: Plan, harness: Harness): readonly HarnessCheck[] {
  const found: HarnessCheck[] = [];
  const unfused = unfusedIn(plan);
  if (harness.main?.breaker === undefined)
    // Small robots go without a main fuse where each branch has its own: what is left bare is the piece before them.
    found.push(
      unfused.length > 0
        ? {
            verdict: 'gives way',
            where: 'main',
            sentence: 'Nothing cuts the pack off: a short in the board burns until the pack is empty.',
          }
        : {
            verdict: 'tight',
            where: 'main',
            sentence:
              'Each branch has its breaker, and nothing cuts the pack off before them: a short there burns until the pack is empty. A fuse close to the pack.',
          },
    );
  else found.push(...runChecks('main', harness.main));
  for (const { name } of unfused)
    found.push({
      verdict: 'gives way',
      where: name,
      sentence: 'No breaker of its own: its wire is protected by nothing thinner than the main.',
    });
  const kindOf = new Map(plan.mechanisms.map((mechanism) => [mechanism.id, currentChoice(mechanism).drive.kind]));
  const told = new Set<string>();
  for (const slot of harness.slots) {
    // Slots of one branch are alike: what is said of one is said of all.
    const key = slot.mechanisms.join(' ');
    if (told.has(key)) continue;
    told.add(key);
    const names = plan.mechanisms.filter(({ id }) => slot.mechanisms.includes(id)).map(({ name }) => name);
    const where = `slot ${slot.number}, ${names.join(', ')}`;
    found.push(...runChecks(where, slot));
    // Servos share their rail as a matter of course.
    if (slot.mechanisms.length > 1 && slot.mechanisms.some((id) => kindOf.get(id) !== 'servo'))
      found.push({
        verdict: 'tight',
        where,
        sentence: 'Two on one slot: when its breaker trips both stand still, and neither has all of it.',
      });
  }
  for (const { name, apart } of harness.rails)
    if (apart)
      found.push({
        verdict: 'gives way',
        where: name,
        sentence: 'Its ground is apart from the board’s: pulses have no level without a common ground. Join them once.',
      });
  return found.sort((a, b) => compareVerdicts(b.verdict, a.verdict));
}
