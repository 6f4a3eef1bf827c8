import { evaluateMechanism, type Headline } from '../../judge/evaluate/mechanism.js';
import { compareVerdicts } from '../../judge/evaluate/verdict.js';
import { applyChanges } from '../../plan/document/change.js';
import type { Part } from '../../plan/document/part.js';
import { currentChoice, partIdsOf, type Plan } from '../../plan/document/plan.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { sameKey } from '../../plan/document/stockOf.js';
import type { OrderLine } from './line.js';

/** Another part in the place of one that is not to be had, judged on every mechanism that takes it. */
export interface StandIn {
  readonly id: string;
  readonly part: Part;
  /** How many mechanisms are judged worse with it. */
  readonly worse: number;
  readonly judged: readonly { readonly name: string; readonly headline: Headline }[];
}

/** What a drive is made of: the rest of a robot is bought by its size, not by its kind. */
const KINDS: readonly Part['kind'][] = ['motor', 'stepper', 'step-servo', 'servo', 'controller', 'driver'];

/** Copies of a plan that a line of its order sheet is made of. */
const copiesOf = (plan: Plan, { key }: Pick<OrderLine, 'key'>): readonly string[] =>
  Object.entries(plan.parts).flatMap(([id, copy]) =>
    sameKey(copy) === key && KINDS.includes(copy.part.kind) ? [id] : [],
  );

/** Whether something else may stand in for what is on a line. */
export const mayStandIn = (plan: Plan, line: Pick<OrderLine, 'key'>): boolean => copiesOf(plan, line).length > 0;

const least = ({ judged }: StandIn): number => Math.min(...judged.map(({ headline }) => headline.multiple ?? Infinity));

/**
 * What of the shelf may stand in for a line, with all else as it is: those first with which no mechanism is judged worse;
 * of these what is owned, then what has most to spare. Yields the share looked at, 0…1.
 */
export function* standIns(
  plan: Plan,
  line: Pick<OrderLine, 'key'>,
  shelf: readonly Shelved[],
): Generator<number, readonly StandIn[]> {
  const copies = copiesOf(plan, line);
  const [first] = copies;
  if (first === undefined) return [];
  const own = plan.parts[first]!.part;
  const users = plan.mechanisms.filter((mechanism) =>
    partIdsOf(currentChoice(mechanism).drive).some((id) => copies.includes(id)),
  );
  const now = users.map((mechanism) => evaluateMechanism(plan, mechanism).headline.verdict);
  const others = shelf.filter(({ id, part }) => part.kind === own.kind && sameKey({ shelfId: id, part }) !== line.key);
  const found: StandIn[] = [];
  for (const [i, { id, part }] of others.entries()) {
    yield i / others.length;
    const changed = applyChanges(
      plan,
      copies.map((copy) => ({ at: ['parts', copy], to: { part, shelfId: id } })),
    );
    const judged = users.map((user) => ({ name: user.name, headline: evaluateMechanism(changed, user).headline }));
    const worse = judged.filter(({ headline }, k) => compareVerdicts(headline.verdict, now[k]!) > 0).length;
    found.push({ id, part, judged, worse });
  }
  const owned = ({ part }: StandIn): number => ((part.owned ?? 0) > 0 ? 1 : 0);
  return found.sort((a, b) => a.worse - b.worse || owned(b) - owned(a) || least(b) - least(a));
}
