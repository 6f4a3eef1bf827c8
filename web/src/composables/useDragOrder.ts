import { onScopeDispose, type Ref } from 'vue';

/**
 * Lets the children of a list be dragged by a handle into another order. What drags is fetched at `ready`, when a pointer
 * first comes near: most visits never drag.
 */
export function useDragOrder<T>(list: Ref<HTMLElement | undefined>, order: Ref<T[]>, handle: string) {
  let asked = false;
  let stop: (() => void) | undefined;
  onScopeDispose(() => stop?.());
  async function ready(): Promise<void> {
    if (asked) return;
    asked = true;
    try {
      const { useDraggable } = await import('vue-draggable-plus');
      if (list.value) stop = useDraggable(list.value, order, { handle, animation: 120 }).destroy;
    } catch {
      // The server is away: the arrows still move, and the next approach asks again.
      asked = false;
    }
  }
  return { ready };
}
