import { amount, say } from '../../../plan/words/phrase.js';
import { workingFlow } from '../workingFlow.js';
import type { AnyPath } from '../../../path/powerpath/anyPath.js';
import { add, div, found, mul, named, num, type Expression } from '../../../path/worked/expression.js';
import { flowingSupplyCurrent } from '../../../path/terms/flow.js';
import { figureOf, motorsOf } from '../../../path/terms/pathTerms.js';
import type { CheckRule } from '../check.js';
import { FLOW_NEEDS } from '../../motion/needs.js';

/** What runs through the plugs while working: n motors and the others on the main, else one branch. */
function through(path: AnyPath, where: 'main' | 'branch'): number | undefined {
  const { supplyCurrent } = workingFlow(path);
  if (supplyCurrent === undefined) return undefined;
  if (where === 'main') return path.motors * supplyCurrent + path.pack.others;
  return (path.branch.together ? path.motors : 1) * supplyCurrent;
}

/** What one motor takes; flows are of all that pass the plug. */
function oneCurrent(path: AnyPath, flows: number): Expression {
  if (path.machine === 'dc') return flowingSupplyCurrent(path);
  const { supplyCurrent = flows } = workingFlow(path);
  return found(
    'I_b',
    'taken from the supply while working',
    'current',
    supplyCurrent,
    'the power it takes over the volts it gets',
  );
}

/** A plug must carry the working current, or it melts. */
function plugCheck(where: 'main' | 'branch', words: Pick<CheckRule<AnyPath>, 'id' | 'name'>): CheckRule<AnyPath> {
  return {
    ...words,
    link: 'branch',
    needs: [...FLOW_NEEDS, 'throw'],
    run: false,
    levers: ['deeper', 'motors', 'lighter', 'longer', 'less-push'],
    applies: (path) => path[where]?.connectorRated !== undefined,
    answer: (path) => {
      const rated = path[where]!.connectorRated!;
      const flows = through(path, where);
      const there = { value: rated, dimension: 'current' as const };
      if (flows === undefined)
        return {
          outcome: { holds: false },
          asked: 'more than the pack gives',
          there,
          sentence: 'The job asks more than the pack can give.',
        };
      return {
        outcome: { multiple: rated / Math.max(flows, 1e-9) },
        asked: { value: flows, dimension: 'current' },
        there,
        sentence: say`The plug carries ${amount(rated, 'current')} for long; ${amount(flows, 'current')} pass through it while working.`,
        hint: 'A larger plug, or the wires soldered through.',
        working: () => {
          const one = oneCurrent(path, flows);
          const all = where === 'main' || path.branch.together ? mul(motorsOf(path), one) : one;
          const passing = where === 'main' ? add(all, figureOf(path, 'pack.others')) : add(all, num(0));
          return named(
            'x',
            'what the plug carries over what passes',
            'number',
            div(figureOf(path, `${where}.connectorRated`), passing),
          );
        },
      };
    },
  };
}

export const branchPlug = plugCheck('branch', { id: 'branch-plug', name: 'branch plug' });
export const mainPlug = plugCheck('main', { id: 'main-plug', name: 'main plug' });
