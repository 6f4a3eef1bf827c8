import { evaluateMechanism, type Headline } from '../../judge/evaluate/mechanism.js';
import { compareVerdicts } from '../../judge/evaluate/verdict.js';
import { partIdsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';

/** One mechanism judged with the old figures and with the new. */
export interface JudgedTwice {
  readonly id: string;
  readonly name: string;
  readonly before: Headline;
  readonly after: Headline;
  /** Its verdict is another one now. */
  readonly changed: boolean;
}

/**
 * Whether a mechanism uses a part: in the choice in force or another, or by way of the pack that feeds it all.
 *
 * @example usesPart(plan, mast, 'nothing') //=> false
 */
export const usesPart = ({ supply }: Plan, { choices }: Mechanism, key: string): boolean =>
  choices.some(({ drive }) => partIdsOf(drive).includes(key)) ||
  supply.some((node) => node.kind === 'pack' && node.part === key);

/**
 * Mechanisms that use what has changed, before and after it: those whose verdict changed in front.
 *
 * @param which all of the plan's where absent
 */
export function judgedTwice(
  before: Plan,
  after: Plan,
  which?: (mechanism: Mechanism) => boolean,
): readonly JudgedTwice[] {
  const judged = before.mechanisms.flatMap((mechanism): readonly JudgedTwice[] => {
    const now = after.mechanisms.find(({ id }) => id === mechanism.id);
    if (!now || (which && !which(mechanism))) return [];
    const was = evaluateMechanism(before, mechanism).headline;
    const is = evaluateMechanism(after, now).headline;
    const { id, name } = mechanism;
    return [{ id, name, before: was, after: is, changed: compareVerdicts(was.verdict, is.verdict) !== 0 }];
  });
  return [...judged.filter(({ changed }) => changed), ...judged.filter(({ changed }) => !changed)];
}
