import { readFileSync } from 'node:fs';
import {
  applyChanges,
  inMetric,
  quantityOf,
  worded,
  type Drive,
  type Mechanism,
  type Plan,
  type Quantity,
  type Words,
} from '../src/index.js';

/** A demo robot's plan as the repository holds it. */
export function demoPlan(name: 'heron' | 'limpet'): Plan {
  return JSON.parse(readFileSync(new URL(`../../contract/demo/${name}.json`, import.meta.url), 'utf8')) as Plan;
}

/** The same with plain motors only: where a choice has them it is taken, what has none is left out. */
export function plainPlan(name: 'heron' | 'limpet'): Plan {
  const plan = demoPlan(name);
  const mechanisms = plan.mechanisms.flatMap((mechanism) => {
    const plain = mechanism.choices.find(({ drive }) => drive.kind === 'dc');
    return plain ? [{ ...mechanism, current: plain.id }] : [];
  });
  return { ...plan, mechanisms };
}

export function mechanismOf(plan: Plan, id: string): Mechanism {
  const found = plan.mechanisms.find((mechanism) => mechanism.id === id);
  if (!found) throw new Error(`no mechanism ${id}`);
  return found;
}

export const typed = (si: number): Quantity => quantityOf(si, String(si));

/** The plan with one place changed. */
export function withChange(plan: Plan, at: readonly (string | number)[], to: unknown): Plan {
  return applyChanges(plan, [{ at, to }]);
}

/** What a computation that yields between its steps comes to. */
export function through<T>(steps: Generator<unknown, T>): T {
  let next = steps.next();
  while (!next.done) next = steps.next();
  return next.value;
}

/** Every number in a result that is NaN, by its place. */
export function nansIn(value: unknown, at = 'result'): readonly string[] {
  if (typeof value === 'number') return Number.isNaN(value) ? [at] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => nansIn(inner, `${at}.${key}`));
}

/** One motor with round numbers behind a controller without limits. */
export const sampleDrive: Drive = {
  motor: { resistance: 0.1, torqueConstant: 0.018, backEmfConstant: 0.019, freeCurrent: 2, freeCurrentPerSpeed: 0 },
  motors: 1,
  rotorInertia: 6e-5,
  controllerResistance: 0.005,
  restVoltage: 12.24,
  supplyResistance: 0.02,
  greatestDuty: 1,
};

/** What core says, as plans are written: its values in metric units. */
export const said = (words: Words): string => worded(words, inMetric);
