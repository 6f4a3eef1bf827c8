import { applyChanges, type Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import { LONGEST_NAME } from '../../plan/document/most.js';
import { mechanismById } from '../../plan/document/place.js';
import type { MachineDrive, Plan } from '../../plan/document/plan.js';
import { withoutGoesOf } from './scripts.js';
import { withoutUnused } from './unused.js';

/** A mechanism taken away, with the branches and the copies of parts that only it used, and its goes in every script. */
export function removeMechanism(plan: Plan, mechanismId: string): readonly Change[] {
  const rest = plan.mechanisms.filter(({ id }) => id !== mechanismId);
  const changes: readonly Change[] = [{ at: ['mechanisms'], to: rest }, ...withoutGoesOf(plan, mechanismId)];
  return [...changes, ...withoutUnused(plan, applyChanges(plan, changes))];
}

/**
 * A mechanism once more, behind it: with copies of its parts and a branch of its own, so that the two are changed apart. A
 * servo rail and a board stay shared, as they are on the robot. It does nothing in a match until it is scripted.
 *
 * @example duplicateMechanism(plan, 'lift').id //=> 'mechanism-1'
 */
export function duplicateMechanism(
  plan: Plan,
  mechanismId: string,
): { readonly id: string; readonly changes: readonly Change[] } {
  const from = mechanismById(plan, mechanismId);
  const own = new Map<string, string>();
  let made = plan;
  const copied = (id: string, copy: (fresh: string) => readonly Change[]): string => {
    const known = own.get(id);
    if (known !== undefined) return known;
    const fresh = freshId(made, id.replace(/-\d+$/, ''));
    own.set(id, fresh);
    made = applyChanges(made, copy(fresh));
    return fresh;
  };
  const part = (id: string) => copied(id, (fresh) => [{ at: ['parts', fresh], to: made.parts[id] }]);
  const node = (id: string): string => {
    const found = made.supply.find((one) => one.id === id);
    if (found?.kind !== 'branch') return id;
    const breaker = found.breaker === undefined ? {} : { breaker: part(found.breaker) };
    return copied(id, (fresh) => [{ at: ['supply'], to: [...made.supply, { ...found, id: fresh, ...breaker }] }]);
  };
  const drive = (of: MachineDrive): MachineDrive => {
    const on = node(of.node);
    if (of.kind === 'servo') return { ...of, node: on, servo: part(of.servo) };
    if (of.kind === 'dc') return { ...of, node: on, motor: part(of.motor), controller: part(of.controller) };
    return { ...of, node: on, motor: part(of.motor), driver: part(of.driver) };
  };
  const choices = from.choices.map((choice) => ({ ...choice, drive: drive(choice.drive) }));
  const id = freshId(made, 'mechanism');
  const name = `${from.name.slice(0, LONGEST_NAME - 8)} again`;
  const mechanisms = plan.mechanisms.flatMap((one) => (one === from ? [one, { ...from, id, name, choices }] : [one]));
  return {
    id,
    changes: [
      { at: ['parts'], to: made.parts },
      { at: ['supply'], to: made.supply },
      { at: ['mechanisms'], to: mechanisms },
    ],
  };
}
