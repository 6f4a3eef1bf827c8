import type { Words } from '../../plan/words/phrase.js';
import type { Lack, LinkKind } from '../../plan/figures/figure.js';
import type { CheckAnswer, CheckId, CheckRule, Measured } from '../limits/check.js';
import type { Run } from '../motion/run.js';
import { machineOf } from '../machine/table.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';
import { lacksOf } from '../../path/powerpath/path.js';
import { verdictOf, type Verdict } from './verdict.js';

/** A check as the screen shows it. */
export interface Check {
  readonly id: CheckId;
  readonly name: string;
  readonly link: LinkKind;
  readonly verdict: Verdict;
  /** Worth knowing, and no verdict: it never makes a mechanism tight. Its verdict reads *enough*. */
  readonly note?: true;
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
export function checkOf<P extends AnyPath>(rule: CheckRule<P>, path: P, run: Run | undefined): Check {
  const { id, name, link } = rule;
  const lacks = lacking(rule, path, run);
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
  const { multiple, wants } = 'multiple' in outcome ? outcome : NO_MULTIPLE;
  return {
    id,
    name,
    link,
    verdict: verdictOfOutcome(outcome),
    note: 'note' in outcome ? true : undefined,
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

const NO_MULTIPLE: { readonly multiple?: number; readonly wants?: number } = {};

function verdictOfOutcome(outcome: CheckAnswer['outcome']): Verdict {
  if ('multiple' in outcome) return verdictOf(outcome.multiple, outcome.wants ?? 1);
  return 'note' in outcome || outcome.holds ? 'enough' : 'gives way';
}

/** What a check cannot do without: its own figures, and where it looks at the run those without which there is none. */
function lacking<P extends AnyPath>(rule: CheckRule<P>, path: P, run: Run | undefined): readonly Lack[] {
  const own = lacksOf(path, rule.needs);
  return own.length > 0 || !rule.run || run ? own : lacksOf(path, machineOf(path).runNeeds);
}
