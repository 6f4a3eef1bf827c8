import { amount, say } from '../../../plan/words/phrase.js';
import { largestBreaker } from '../../../models/protection/wire.js';
import { div, found, named } from '../../../path/worked/expression.js';
import { figureOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';

/** The breaker must trip before its wire is harmed. Event rules and local electrical codes decide. */
function wireCheck(where: 'main' | 'branch', words: Pick<CheckRule, 'id' | 'name'>): CheckRule {
  return {
    ...words,
    link: 'branch',
    needs: [where === 'main' ? 'main breaker' : 'branch breaker', 'wiring'],
    run: false,
    levers: [where === 'branch' ? 'thicker-wire' : 'thicker-main'],
    applies: (path) => path[where]?.breaker !== undefined,
    answer: (path) => {
      const { breaker, gauge } = path[where]!;
      const largest = largestBreaker(gauge);
      return {
        outcome: { multiple: largest / breaker!.rated },
        asked: { value: breaker!.rated, dimension: 'current' },
        there: { value: largest, dimension: 'current' },
        sentence: say`${amount(gauge, 'gauge')} typically goes behind ${amount(largest, 'current')} at most; your event’s rules and local electrical codes decide.`,
        working: () =>
          named(
            'x',
            'largest breaker for the wire over the breaker',
            'number',
            div(
              found(
                'I_{wire}',
                'largest breaker for this wire',
                'current',
                largest,
                `the table of short robot runs at ${gauge} AWG`,
              ),
              figureOf(path, `${where}.rated`),
            ),
          ),
      };
    },
  };
}

export const branchWire = wireCheck('branch', { id: 'branch-wire', name: 'branch wire behind its breaker' });
export const mainWire = wireCheck('main', { id: 'main-wire', name: 'main wire behind its breaker' });
