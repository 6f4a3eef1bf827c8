import type { Mechanism, Plan } from './plan.js';

/** Where something is kept in the plan, as the keys that lead to it. */
export type Place = readonly (string | number)[];

/** The index of what has this id. Throws where nothing has it: a change sent to a place that is not there would be lost. */
function indexOf(list: readonly { readonly id: string }[], id: string, what: string): number {
  const index = list.findIndex((item) => item.id === id);
  if (index < 0) throw new Error(`the plan has no ${what} ${id}`);
  return index;
}

/**
 * A mechanism by its id.
 *
 * @throws where the plan has none of that id
 *
 * @example mechanismById(plan, 'lift').name //=> 'Mast lift'
 */
export const mechanismById = (plan: Plan, id: string): Mechanism =>
  plan.mechanisms[indexOf(plan.mechanisms, id, 'mechanism')]!;

/**
 * Where a mechanism is kept.
 *
 * @throws where the plan has none of that id
 * @example mechanismAt(plan, 'lift') //=> ['mechanisms', 1]
 */
export const mechanismAt = (plan: Plan, id: string): Place => ['mechanisms', indexOf(plan.mechanisms, id, 'mechanism')];

/**
 * Where the choice in force of a mechanism is kept.
 *
 * @throws where the plan has no such mechanism, or the mechanism no such choice
 * @example choiceAt(plan, mast) //=> ['mechanisms', 1, 'choices', 0]
 */
export const choiceAt = (plan: Plan, { id, choices, current }: Mechanism): Place => [
  ...mechanismAt(plan, id),
  'choices',
  indexOf(choices, current, 'choice'),
];

/**
 * Where a job of a mechanism is kept.
 *
 * @throws where the plan has no such mechanism, or the mechanism no such job
 *
 * @example jobAt(plan, mast, 'raise') //=> ['mechanisms', 1, 'jobs', 0]
 */
export const jobAt = (plan: Plan, { id, jobs }: Mechanism, jobId: string): Place => [
  ...mechanismAt(plan, id),
  'jobs',
  indexOf(jobs, jobId, 'job'),
];

/**
 * Where a node of the supply is kept.
 *
 * @throws where the plan has none of that id
 *
 * @example supplyAt(plan, 'pack') //=> ['supply', 0]
 */
export const supplyAt = (plan: Plan, id: string): Place => ['supply', indexOf(plan.supply, id, 'supply')];
