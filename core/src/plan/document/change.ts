import type { Plan } from './plan.js';

/** One replacement in a plan: the place as a list of keys, and what stands there afterwards. */
export interface Change {
  readonly at: readonly (string | number)[];
  /** Absent takes the key away. */
  readonly to?: unknown;
}

/**
 * Applies changes and returns a new plan that shares everything untouched with the old one. What is
 * missing on the way to a place is made where something is put there, not where it is taken away.
 * Throws when the way leads through something that has no keys.
 *
 * @example applyChanges(plan, [{ at: ['name'], to: 'Egret' }]).name //=> 'Egret'
 */
export function applyChanges(plan: Plan, changes: readonly Change[]): Plan {
  return changes.reduce<Plan>((doc, change) => replaceAt(doc, change.at, change.to) as Plan, plan);
}

function replaceAt(found: unknown, at: readonly (string | number)[], to: unknown): unknown {
  const [key, ...rest] = at;
  if (key === undefined || (found === undefined && to === undefined)) return to;
  const node = found ?? {};
  if (typeof node !== 'object') throw new Error(`nothing to change at ${String(key)}`);
  if (Array.isArray(node)) {
    const copy: unknown[] = node.slice();
    copy[Number(key)] = replaceAt(copy[Number(key)], rest, to);
    return copy;
  }
  const record = node as Record<string, unknown>;
  if (rest.length === 0 && to === undefined) {
    return Object.fromEntries(Object.entries(record).filter(([name]) => name !== String(key)));
  }
  return { ...record, [key]: replaceAt(record[key], rest, to) };
}
