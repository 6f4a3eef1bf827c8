import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import {
  applyChanges,
  evaluateMechanism,
  mechanismById,
  MOST,
  choiceAt,
  proposeBeside,
  withChoice,
  type Plan,
  type Shelved,
  type WishMachine,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';

const read = (name: string) => JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8'));
const heron = read('heron') as Plan;
const { parts: shelf } = read('shelf') as { parts: Shelved[] };

type Step =
  | { readonly does: 'try'; readonly mechanism: string; readonly machine: WishMachine }
  | { readonly does: 'drop'; readonly mechanism: string };

const mechanism = fc.constantFrom('turntable', 'grip', 'arm');
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({
      does: fc.constant('try' as const),
      mechanism,
      machine: fc.constantFrom<WishMachine>('dc', 'step', 'step-servo', 'servo'),
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('drop' as const), mechanism }) },
);

/** As by clicks: what cannot be done is refused with a reason, and changes nothing. */
function taken(plan: Plan, { mechanism: id, ...does }: Step): Plan {
  const there = mechanismById(plan, id);
  if (does.does === 'drop') {
    if (there.choices.length < 2) return plan;
    const other = there.choices.find((choice) => choice.id !== there.current)!.id;
    const put = withChoice(plan, there, other).plan;
    const at = choiceAt(put, mechanismById(put, id)).slice(0, 3);
    return applyChanges(put, [{ at, to: mechanismById(put, id).choices.filter((choice) => choice.id === other) }]);
  }
  if (there.choices.length >= MOST.choices) return plan;
  try {
    const made = applyChanges(plan, proposeBeside(plan, id, does.machine, shelf));
    const tried = mechanismById(made, id);
    return withChoice(made, tried, tried.choices.at(-1)!.id).plan;
  } catch (problem) {
    expect((problem as Error).message).toMatch(/shelf/);
    return plan;
  }
}

describe('Trying one machine after another', () => {
  it('leaves a plan that can be saved and judged, whatever was tried before', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 2, maxLength: 7 }), (steps) => {
        let plan = heron;
        for (const one of steps) {
          plan = taken(plan, one);
          const result = readPlan(plan);
          expect(result.ok ? [] : result.problems).toEqual([]);
          expect(evaluateMechanism(plan, mechanismById(plan, one.mechanism)).jobs.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 25 },
    );
  });
});
