import type { Words } from '../words/phrase.js';
import type { Lack, LinkKind } from '../figures/figure.js';
import type { CheckId, CheckRule, Measured } from '../limits/check.js';
import type { Run } from '../motion/run.js';
import { lacksOf, type PowerPath } from '../powerpath/path.js';
import { verdictOf, type Verdict } from './verdict.js';

/** A check as the screen shows it. */
export interface Check {
  readonly id: CheckId;
  readonly name: string;
  readonly link: LinkKind;
  readonly verdict: Verdict;
  readonly multiple?: number;
  /** The multiple it should at least have; 1 where absent. */
  readonly wants?: number;
  readonly asked?: Measured | Words;
  readonly there?: Measured | Words;
  readonly sentence: Words;
  readonly hint?: Words;
  /** Id of the stage it is about. */
  readonly stage?: string;
  readonly lacks: readonly Lack[];
}

/** Runs one check on a path. */
export function checkOf<P extends PowerPath>(rule: CheckRule<P>, path: P, run: Run | undefined): Check {
  const { id, name, link } = rule;
  const lacks = lacksOf(path, rule.needs);
  if (lacks.length > 0) {
    return {
      id,
      name,
      link,
      verdict: 'not known',
      lacks,
      sentence: `Not known: ${lacks.map((lack) => lack.label).join(', ')} missing.`,
    };
  }
  const { outcome, asked, there, sentence, hint } = rule.answer(path, run);
  const yesOrNo = 'holds' in outcome;
  const multiple = yesOrNo ? undefined : outcome.multiple;
  const wants = yesOrNo ? undefined : outcome.wants;
  return {
    id,
    name,
    link,
    verdict: yesOrNo ? (outcome.holds ? 'enough' : 'gives way') : verdictOf(outcome.multiple, wants ?? 1),
    multiple,
    wants,
    asked,
    there,
    sentence,
    hint,
    stage: rule.stage?.(path),
    lacks,
  };
}
