import { printable } from '@rough-gear/contract/text';
import { applyChanges, type Change, type Plan } from '@rough-gear/core';
import { computed, shallowRef } from 'vue';

/** What was pasted along with a name and cannot be printed is left out. */
const cleaned = (change: Change): Change =>
  typeof change.to === 'string' ? { ...change, to: printable(change.to) } : change;

/**
 * A document with the way back and forth. One gesture (begin, preview, commit) is one undo step and one baseline of what
 * moved.
 *
 * @param changed is told after every step, forth or back
 */
export function useHistory(changed: () => void) {
  const document = shallowRef<Plan>();
  /** The document before the last gesture: what "moved" compares with. */
  const baseline = shallowRef<Plan>();
  const past = shallowRef<readonly Plan[]>([]);
  const future = shallowRef<readonly Plan[]>([]);
  const canUndo = computed(() => past.value.length > 0);
  const canRedo = computed(() => future.value.length > 0);
  let gestureStart: Plan | undefined;

  /** Begins anew with a document; `before` is one undo away. */
  function take(plan: Plan | undefined, before?: Plan): void {
    document.value = plan;
    gestureStart = undefined;
    baseline.value = undefined;
    past.value = before ? [before] : [];
    future.value = [];
  }

  function step(to: Plan, from: Plan, behind: readonly Plan[], ahead: readonly Plan[]): void {
    document.value = to;
    baseline.value = from;
    past.value = behind;
    future.value = ahead;
    changed();
  }

  /** Starts a gesture: what follows until `commit` is one step. */
  function begin(): void {
    gestureStart ??= document.value;
  }

  /** Shows changes on top of where the gesture began, without keeping them. */
  function preview(changes: readonly Change[]): void {
    begin();
    if (gestureStart) document.value = applyChanges(gestureStart, changes);
    baseline.value = gestureStart;
  }

  /** Gives the gesture up. */
  function cancel(): void {
    if (!gestureStart) return;
    document.value = gestureStart;
    gestureStart = undefined;
    baseline.value = past.value.at(-1);
  }

  /** Ends a gesture with these changes. What changes nothing is no step. */
  function commit(changes: readonly Change[]): void {
    const before = gestureStart ?? document.value;
    gestureStart = undefined;
    if (!before) return;
    const after = applyChanges(before, changes.map(cleaned));
    if (JSON.stringify(after) === JSON.stringify(before)) document.value = before;
    else step(after, before, [...past.value, before], []);
  }

  function undo(): void {
    cancel();
    const [before, now] = [past.value.at(-1), document.value];
    if (before && now) step(before, now, past.value.slice(0, -1), [now, ...future.value]);
  }

  function redo(): void {
    const [[next, ...rest], now] = [future.value, document.value];
    if (next && now) step(next, now, [...past.value, now], rest);
  }

  /** Brings in an older document whole, as one step that can be undone. */
  function replace(plan: Plan): void {
    const now = document.value;
    if (now) step(plan, now, [...past.value, now], []);
  }

  return { document, baseline, canUndo, canRedo, take, begin, preview, cancel, commit, undo, redo, replace };
}
