import type { Plan } from './plan.js';

/** Every id that something in a plan has: parts, the supply's nodes, mechanisms, their jobs, choices and stages. */
function idsIn({ parts, supply, mechanisms }: Plan): ReadonlySet<string> {
  const ids = new Set(Object.keys(parts));
  for (const { id } of supply) ids.add(id);
  for (const { id, jobs, choices } of mechanisms) {
    ids.add(id);
    for (const job of jobs) ids.add(job.id);
    for (const choice of choices) {
      ids.add(choice.id);
      for (const stage of choice.stages) ids.add(stage.id);
    }
  }
  return ids;
}

/**
 * An id that nothing in the whole plan has: "breaker-2".
 *
 * @example freshId(plan, 'skua') //=> 'skua-1'
 */
export const freshId = (plan: Plan, stem: string): string => freshAmong(idsIn(plan), stem);

/**
 * The same among ids that are known.
 *
 * @example freshAmong(new Set(['go-1']), 'go') //=> 'go-2'
 */
export function freshAmong(taken: ReadonlySet<string>, stem: string): string {
  let i = 1;
  while (taken.has(`${stem}-${i}`)) i++;
  return `${stem}-${i}`;
}
