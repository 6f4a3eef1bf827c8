import { branchOf } from '../../plan/document/branchOf.js';
import type { Plan } from '../../plan/document/plan.js';
import type { WireRun } from '../../plan/document/supply.js';
import { wire, type Wire } from './wire.js';

const run = (of: WireRun | undefined): Pick<Wire, 'gauge' | 'length'> => ({
  gauge: of?.gauge?.si,
  length: of?.length?.si,
});

/** From the pack through the main breaker to the branch, as far as they are there; the minus goes back past the breakers. */
export function mainWires(plan: Plan, nodeId: string): readonly Wire[] {
  const main = plan.supply.find((node) => node.kind === 'main');
  const branch = branchOf(plan, nodeId);
  const to = branch ? 'board of branches' : 'whatever hangs on the pack';
  if (main?.kind !== 'main') return [wire('plus', 'pack +', `${to} +`), wire('minus', 'pack −', `${to} −`)];
  return [
    wire('plus', 'pack +', 'main breaker, in', run(main.wire)),
    wire('plus', 'main breaker, out', `${to} +`, run(main.wire)),
    wire('minus', 'pack −', `${to} −`, run(main.wire)),
  ];
}

/** One branch to what it feeds: a slot for each unless they hang on it together. */
export function branchWires(plan: Plan, nodeId: string, ends: readonly string[]): readonly Wire[] {
  const branch = branchOf(plan, nodeId);
  const breaker = branch?.breaker === undefined ? undefined : plan.parts[branch.breaker]?.part.name;
  const slot = (i: number): string =>
    branch
      ? `${breaker ?? 'branch, no breaker'}${ends.length > 1 && !branch.together ? `, slot ${i + 1}` : ''}`
      : 'pack';
  return ends.flatMap((end, i) => [
    ...(branch && (i === 0 || !branch.together) ? [wire('plus', 'board of branches +', `${slot(i)}, in`)] : []),
    wire('plus', branch ? `${slot(i)}, out` : slot(i), `${end}, supply +`, run(branch?.wire)),
    wire('minus', branch ? 'board of branches −' : 'pack −', `${end}, supply −`, run(branch?.wire)),
  ]);
}
